<?php

declare(strict_types=1);

namespace Tests;

/** A copy of what is checked out, with its packages, to be changed by a test. */
trait CopiesTheTree
{
    private function copyTree(string $to): void
    {
        mkdir($to);
        $tree = dirname(__DIR__);
        foreach (array_diff((array) scandir($tree), ['.', '..', '.git', 'var', 'node_modules']) as $part) {
            exec(sprintf('cp -a %s %s/', escapeshellarg("{$tree}/{$part}"), escapeshellarg($to)), $said, $status);
            self::assertSame(0, $status);
        }
        symlink("{$tree}/node_modules", "{$to}/node_modules");
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What templates leave to others: they arrange what presenters, drawings and view models have ready. */
final class TemplatesTest extends TestCase
{
    private const LONGEST_LINE = 160;

    /** @return iterable<string, array{string}> the text of each, by its path */
    public static function templates(): iterable
    {
        foreach ((new Finder())->files()->in(dirname(__DIR__, 2) . '/resources/views')->name('*.blade.php')->sortByName() as $file) {
            yield $file->getRelativePathname() => [$file->getContents()];
        }
    }

    #[DataProvider('templates')]
    public function testLinesFitAScreen(string $template): void
    {
        $long = array_filter(explode("\n", $template), static fn(string $line): bool => mb_strlen($line) > self::LONGEST_LINE);
        self::assertSame([], array_keys($long), 'lines, counted from 0');
    }

    #[DataProvider('templates')]
    public function testNoUtilityForcesItsWay(string $template): void
    {
        preg_match_all('/class="[^"]*(?<=[" ])(![a-z][\w\[\]().,-]*)/', $template, $forced);
        self::assertSame([], $forced[1]);
    }

    #[DataProvider('templates')]
    public function testNothingIsComputed(string $template): void
    {
        preg_match_all('/@php\s*\n(.*?)@endphp|@php(\((?:[^()]++|(?2))*\))/s', $template, $blocks);
        $code = implode("\n", [...$blocks[1], ...$blocks[2]]);
        // What is in quotes is no code, nor is a comment or an import.
        $code = (string) preg_replace(['/\'[^\']*\'|"[^"]*"/', '#//.*#', '/^\s*use .*$/m', '/<<<SVG.*?SVG;/s'], ['S', '', '', ''], $code);
        preg_match_all('#[\w)\]] [*/%] [\w$(]|\b(?:sqrt|exp|log|cos|sin|usort|array_sum|intdiv)\(#', $code, $found);
        self::assertSame([], $found[0]);
    }

    #[DataProvider('templates')]
    public function testNothingIsAskedOfTheDatabaseOrTheModel(string $template): void
    {
        self::assertDoesNotMatchRegularExpression('/\bDB::|::query\(\)|->where\(\'|Simulator::|->newQuery\(/', $template);
    }
}

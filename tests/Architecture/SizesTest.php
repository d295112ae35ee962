<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PhpToken;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** A file, a function and a line fit a screen, and what is built of many values is built of few that belong together. */
final class SizesTest extends TestCase
{
    private const LINE_CHARACTERS = 140;
    private const FILE_LINES = 400;
    private const FUNCTION_LINES = 60;
    private const PARAMETERS = 10;

    /** A text that is longer than this many characters may make its line longer: broken, it could not be searched for. */
    private const LONG_TEXT = 70;

    /** Each of them a step of the past, which nobody changes any more. */
    private const BESIDE = 'database/migrations';

    /** How many are larger still: a number here only ever falls. */
    private const STILL = ['files' => 17, 'functions' => 29, 'parameters' => 16];

    public function testNothingIsLargerThanAScreenHolds(): void
    {
        $found = ['lines' => [], 'files' => [], 'functions' => [], 'parameters' => []];
        foreach ($this->sources() as $path => $code) {
            $lines = explode("\n", $code);
            if (count($lines) - 1 > self::FILE_LINES) {
                $found['files'][] = "{$path}: " . (count($lines) - 1);
            }
            $texts = null;
            foreach ($lines as $number => $line) {
                if (mb_strlen($line) > self::LINE_CHARACTERS && (($texts ??= self::texts($code))[$number + 1] ?? 0) < self::LONG_TEXT) {
                    $found['lines'][] = "{$path}:" . ($number + 1) . ': ' . mb_strlen($line);
                }
            }
            foreach (self::functions($code) as [$name, $line, $length, $parameters]) {
                $length <= self::FUNCTION_LINES || $found['functions'][] = "{$path}:{$line} {$name}: {$length}";
                $parameters <= self::PARAMETERS || $found['parameters'][] = "{$path}:{$line} {$name}: {$parameters}";
            }
        }
        self::assertSame([], $found['lines']);
        foreach (self::STILL as $of => $many) {
            self::assertLessThanOrEqual($many, count($found[$of]), "{$of}: " . implode("\n", $found[$of]));
        }
    }

    /** @return iterable<string, string> by its path */
    private function sources(): iterable
    {
        $root = dirname(__DIR__, 2);
        $folders = array_map(
            static fn(string $folder): string => "{$root}/{$folder}",
            ['app', 'bootstrap', 'config', 'core', 'database', 'deploy', 'devices', 'live', 'routes', 'tests'],
        );
        foreach ((new Finder())->files()->in($folders)->name('*.php')->notPath('bootstrap/cache') as $file) {
            $path = substr($file->getPathname(), strlen($root) + 1);
            if (!str_starts_with($path, self::BESIDE)) {
                yield $path => $file->getContents();
            }
        }
    }

    /** @return array<int, int> the longest text on each line (characters); a type that a comment gives counts as one */
    private static function texts(string $code): array
    {
        $longest = [];
        $opened = null;
        foreach (PhpToken::tokenize($code) as $token) {
            if ($token->text === '"') {
                $length = $opened === null ? 0 : $token->pos - $opened;
                $opened = $opened === null ? $token->pos : null;
                $longest[$token->line] = max($longest[$token->line] ?? 0, $length);
            }
            $isText = $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_INLINE_HTML]);
            if ($isText || $token->is(T_DOC_COMMENT)) {
                foreach (explode("\n", $token->text) as $at => $part) {
                    $counts = $isText || preg_match('/@(?:var|return|param|phpstan)/', $part) === 1;
                    $longest[$token->line + $at] = max($longest[$token->line + $at] ?? 0, $counts ? mb_strlen($part) : 0);
                }
            }
        }

        return $longest;
    }

    /** @return list<array{string, int, int, int}> name, line, lines, parameters */
    private static function functions(string $code): array
    {
        $tree = (new ParserFactory())->createForHostVersion()->parse($code) ?? [];
        $named = static fn(Node $node): bool => $node instanceof Node\Stmt\ClassMethod || $node instanceof Node\Stmt\Function_;

        return array_map(static function (Node $node): array {
            assert($node instanceof Node\Stmt\ClassMethod || $node instanceof Node\Stmt\Function_);

            return [$node->name->name, $node->getStartLine(), $node->getEndLine() - $node->getStartLine() + 1, count($node->params)];
        }, array_values((new NodeFinder())->find($tree, $named)));
    }
}

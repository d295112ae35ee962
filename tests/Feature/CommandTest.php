<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What bin/skivo says to those who mistype it. */
final class CommandTest extends TestCase
{
    /** @return iterable<string, array{list<string>, int, string}> */
    public static function calls(): iterable
    {
        yield 'help' => [['help'], 0, 'bin/skivo COMMAND'];
        yield 'nothing' => [[], 0, 'bin/skivo COMMAND'];
        yield 'no such command' => [['fly'], 2, "there is no command 'fly'"];
        yield 'a port that is none' => [['start', '--port', 'high'], 1, "'high' is not a port"];
        yield 'a port out of range' => [['start', '--port', '70000'], 1, "'70000' is not a port"];
        yield 'a host that is none' => [['start', '--host', 'every where'], 1, 'is not an IPv4 address'];
        yield 'an unknown option' => [['start', '--fast'], 1, "start does not know '--fast'"];
        yield 'findings of nothing' => [['findings'], 2, 'it wants one file with a class in JSON on each line'];
        yield 'findings of no file' => [['findings', 'no such.json'], 2, "the file 'no such.json' cannot be read"];
        yield 'findings by no draws' => [['findings', '-', '--draws', 'few'], 2, '--draws wants a number from 10 to 1000000'];
        yield 'findings with an unknown option' => [['findings', '--fast', '-'], 2, "there is no option '--fast'"];
        yield 'findings of what is no class' => [['findings', 'composer.json'], 2, 'line 1: The class is not JSON'];
        yield 'a number of classes that is none' => [
            ['test', '--classes', 'many'], 1, '--classes wants how many times as many, from 1 to 9999.',
        ];
        yield 'a suite that is none' => [['test', '--suite', 'all of it'], 1, "there is no suite 'all of it'"];
    }

    /** @param list<string> $words */
    #[DataProvider('calls')]
    public function testSaysWhatIsWrongAndHowToMendIt(array $words, int $status, string $message): void
    {
        $process = proc_open([dirname(__DIR__, 2) . '/bin/skivo', ...$words], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        $said = stream_get_contents($pipes[1]) . stream_get_contents($pipes[2]);

        self::assertSame($status, proc_close($process), $said);
        self::assertStringContainsString($message, $said);
    }
}

<?php

declare(strict_types=1);

namespace Tests;

/** As when the power goes: processes end at once, with no word of warning. */
final readonly class PowerCut
{
    /** @return list<int> whom it struck: the process, and those that it started */
    public static function of(int $pid): array
    {
        $struck = [$pid, ...self::workersOf($pid)];
        foreach ($struck as $each) {
            posix_kill($each, SIGKILL);
        }

        return $struck;
    }

    /** @return list<int> */
    public static function workersOf(int $pid): array
    {
        return array_values(array_filter(array_map(intval(...), explode("\n", (string) shell_exec("pgrep -P {$pid}")))));
    }

    /** The process that a file tells of, in its first line. */
    public static function pidIn(string $file): int
    {
        return (int) explode("\n", (string) file_get_contents($file))[0];
    }
}

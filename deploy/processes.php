<?php

declare(strict_types=1);

// Whose processes serve what, from /proc.
//   ours RUN SOCKET          the ids of nginx and PHP-FPM that run by folder RUN or hold SOCKET; of those with a master, the master
//   holder PORT RUN SOCKET   who listens on PORT: "ours", or the program, its id and its folder

[, $what] = $argv;

/** @return list<string> inodes of the sockets that listen at a path or a TCP port */
function listening(string $at): array
{
    $inodes = [];
    if (str_starts_with($at, '/')) {
        foreach (file('/proc/net/unix') ?: [] as $line) {
            $parts = preg_split('/\s+/', trim($line), 8) ?: [];
            if (($parts[7] ?? '') === $at) {
                $inodes[] = $parts[6];
            }
        }

        return $inodes;
    }
    foreach (['/proc/net/tcp', '/proc/net/tcp6'] as $table) {
        foreach (is_readable($table) ? (file($table) ?: []) : [] as $line) {
            $parts = preg_split('/\s+/', trim($line)) ?: [];
            if (($parts[3] ?? '') === '0A' && (int) hexdec(substr((string) strrchr($parts[1], ':'), 1)) === (int) $at) {
                $inodes[] = $parts[9];
            }
        }
    }

    return $inodes;
}

/** When a process began, in ticks since the machine did (proc(5), field 22 of stat; the name before it may hold spaces). */
function startedAt(string $folder): int
{
    $fields = explode(' ', substr((string) strrchr((string) @file_get_contents("{$folder}/stat"), ')'), 2));

    return (int) ($fields[19] ?? 0);
}

/** @param list<string> $inodes */
function holds(string $pid, array $inodes): bool
{
    foreach ($inodes === [] ? [] : (glob("/proc/{$pid}/fd/*") ?: []) as $fd) {
        if (preg_match('/^socket:\[(\d+)\]$/', (string) @readlink($fd), $found) === 1 && in_array($found[1], $inodes, true)) {
            return true;
        }
    }

    return false;
}

/** @return array<int, int> each process's parent, by id */
function ours(string $run, string $socket): array
{
    $run = realpath($run);
    $atSocket = listening($socket);
    $parents = $found = [];
    foreach (glob('/proc/[0-9]*') ?: [] as $folder) {
        $pid = basename($folder);
        $status = (string) @file_get_contents("{$folder}/status");
        if (preg_match('/^Name:\s*(nginx|php-fpm8\.2)$/m', $status) !== 1 || preg_match('/^State:\s*Z/m', $status) === 1) {
            continue;
        }
        $parents[(int) $pid] = preg_match('/^PPid:\s*(\d+)/m', $status, $parent) === 1 ? (int) $parent[1] : 0;
        if (
            @readlink("{$folder}/cwd") === $run
            || str_contains((string) @file_get_contents("{$folder}/cmdline"), "{$run}/")
            || holds($pid, $atSocket)
        ) {
            $found[(int) $pid] = $parents[(int) $pid];
        }
    }
    foreach ($parents as $pid => $parent) {
        if (isset($found[$parent])) {
            $found[$pid] = $parent;
        }
    }

    return $found;
}

switch ($what) {
    case 'ours':
        $found = ours($argv[2], $argv[3]);
        // Where a master is there, it sees to its own.
        $masters = array_keys(array_filter($found, static fn(int $parent): bool => !isset($found[$parent])));
        echo implode("\n", $masters), $masters === [] ? '' : "\n";
        break;
    case 'holder':
        $inodes = listening($argv[2]);
        $ours = ours($argv[3], $argv[4]);
        // Whoever opened it is older than all that inherited it.
        $folders = glob('/proc/[0-9]*') ?: [];
        usort($folders, static fn(string $a, string $b): int => startedAt($a) <=> startedAt($b));
        foreach ($folders as $folder) {
            $pid = basename($folder);
            if (!holds($pid, $inodes)) {
                continue;
            }
            if (isset($ours[(int) $pid])) {
                echo 'ours';
            } else {
                echo trim((string) @file_get_contents("{$folder}/comm")) . " (process {$pid}, in " . (
                    @readlink("{$folder}/cwd") ?: 'a folder of its own'
                ) . ')';
            }
            break;
        }
        break;
}

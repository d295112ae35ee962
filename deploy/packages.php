<?php

declare(strict_types=1);

// The PHP packages of php-packages.txt: one a line, its name, exact version, and the SHA-256 of its files as installed, which is the
// same from whatever registry they came.
//   pins [,NAME,NAME]       the options that make composer update install just those, less the named ones
//   lost LOG [,NAME,NAME]   which of them Composer's output says cannot be had, by comma
//   check                   whether what is installed is what is listed
//   list                    what is installed, in the form of the list

$root = dirname(__DIR__);
$listed = $hashes = [];
foreach (file("{$root}/php-packages.txt", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
    [$name, $version, $hash] = explode(' ', $line) + [2 => ''];
    [$listed[$name], $hashes[$name]] = [$version, $hash];
}
$without = static fn(?string $names): array => array_flip(array_filter(explode(',', (string) $names)));

/** @return array<string, string> */
function installed(string $root): array
{
    $found = json_decode((string) @file_get_contents("{$root}/vendor/composer/installed.json"), true)['packages'] ?? [];
    $versions = array_column($found, 'version', 'name');
    ksort($versions);

    return $versions;
}

/** Of the names and contents of a package's files. */
function treeHash(string $folder): string
{
    $lines = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        if ($file->isFile()) {
            $lines[] = hash_file('sha256', $file->getPathname()) . ' ' . substr($file->getPathname(), strlen($folder));
        }
    }
    sort($lines);

    return hash('sha256', implode("\n", $lines));
}

switch ($argv[1] ?? '') {
    case 'pins':
        foreach (array_diff_key($listed, $without($argv[2] ?? '')) as $name => $version) {
            echo "--with\n{$name}:{$version}\n";
        }
        break;
    case 'lost':
        $said = (string) file_get_contents($argv[2]);
        preg_match_all('~temporary update constraint \(([\w./-]+):~', $said, $found);
        $lost = array_diff(array_unique($found[1]), array_keys($without($argv[3] ?? '')));
        echo implode(',', $lost);
        break;
    case 'check':
        $installed = installed($root);
        $hasDev = is_file("{$root}/vendor/.skivo-dev");
        $wrong = [];
        foreach ($installed as $name => $version) {
            if (($listed[$name] ?? null) !== $version) {
                $wrong[] = "{$name} is installed at {$version}, and listed " . (
                    isset($listed[$name]) ? "at {$listed[$name]}" : 'not at all'
                );
            } elseif ($hashes[$name] !== treeHash("{$root}/vendor/{$name}")) {
                $wrong[] = "{$name} {$version} holds other files than when it was listed: look at them before you run them";
            }
        }
        foreach ($hasDev ? array_diff_key($listed, $installed) : [] as $name => $version) {
            $wrong[] = "{$name} is listed at {$version}, and not installed";
        }
        if ($wrong !== []) {
            fwrite(STDERR, implode("\n", $wrong) . "\nbin/skivo packages lists anew what is installed.\n");
            exit(1);
        }
        break;
    case 'list':
        foreach (installed($root) as $name => $version) {
            echo "{$name} {$version} " . treeHash("{$root}/vendor/{$name}") . "\n";
        }
        break;
    default:
        fwrite(STDERR, "packages.php: pins, lost, check or list.\n");
        exit(2);
}

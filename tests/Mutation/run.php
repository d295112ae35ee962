<?php

declare(strict_types=1);

/*
 * Changes one number or comparison of core/ at a time and runs the tests that name its class, then the core suite, then
 * the reference suite: a change that none notices marks a rule that no test holds. Not part of the tests: it takes some
 * seconds a change.
 *
 *     php tests/Mutation/run.php [--sample=N] [--seed=N] [--at-once=N] [path of core/ …]
 *
 * Tables of facts, which a test could only repeat, are left out.
 */

use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use Tests\Mutation\Mutant;

const TABLES = ['Car/Catalogue.php', 'Car/CarAttribute.php'];
const SUITES = ['named', 'core', 'reference'];
const SECONDS = 120;

$root = dirname(__DIR__, 2);
require "{$root}/vendor/autoload.php";

$options = ['sample' => '100', 'seed' => '1', 'at-once' => '2'];
$paths = [];
foreach (array_slice($argv, 1) as $argument) {
    if (preg_match('/^--([a-z-]+)=(\d+)$/', $argument, $found) === 1 && isset($options[$found[1]])) {
        $options[$found[1]] = $found[2];
    } else {
        $paths[] = $argument;
    }
}

$files = (new Finder())->files()->in("{$root}/core")->name('*.php')->sortByName();
$mutants = [];
foreach ($files as $file) {
    $path = $file->getRelativePathname();
    $isAsked = $paths === [] || array_filter($paths, static fn(string $asked): bool => str_starts_with("core/{$path}", $asked)) !== [];
    if ($isAsked && !in_array($path, TABLES, true)) {
        array_push($mutants, ...Mutant::of($file->getPathname()));
    }
}
$all = count($mutants);
$random = new Random\Randomizer(new Random\Engine\Xoshiro256StarStar((int) $options['seed']));
$mutants = array_slice($random->shuffleArray($mutants), 0, (int) $options['sample']);
fprintf(STDERR, "%d of %d changes, %d at once\n", count($mutants), $all, (int) $options['at-once']);

$directory = sys_get_temp_dir() . '/mutants-' . getmypid();
mkdir($directory);
/** @return list<string> the tests that name a class */
$naming = static function (string $class) use ($root): array {
    $tests = (new Finder())->files()->in(["{$root}/tests/Core", "{$root}/tests/Reference"])->name('*Test.php')->sortBySize();

    return array_values(array_map(
        static fn(SplFileInfo $test): string => $test->getPathname(),
        iterator_to_array($tests->contains('/\b' . substr((string) strrchr($class, '\\'), 1) . '\b/')),
    ));
};
/** The tests, run with a changed class. */
$try = static function (Mutant $mutant, string $file, string $suite) use ($root, $naming): Process {
    $class = $mutant->className("{$root}/core");
    $tests = $suite === 'named' ? $naming($class) : [];
    $process = new Process(
        [
            PHP_BINARY, '-d', 'memory_limit=512M', 'vendor/bin/phpunit',
            ...($tests === [] ? ['--testsuite', $suite === 'named' ? 'core' : $suite] : $tests), '--bootstrap',
            'tests/Mutation/bootstrap.php', '--stop-on-defect', '--no-progress', '--no-output',
        ],
        $root,
        ['MUTANT_CLASS' => $class, 'MUTANT_FILE' => $file],
        timeout: SECONDS,
    );
    $process->start();

    return $process;
};

/** @var array<int, array{Process<string, string>, Mutant, int}> $running */
$running = [];
$survived = [];
$done = 0;
foreach ([...array_keys($mutants), null] as $next) {
    while (count($running) >= ($next === null ? 1 : (int) $options['at-once'])) {
        foreach ($running as $key => [$process, $mutant, $suite]) {
            try {
                $process->checkTimeout();
                if ($process->isRunning()) {
                    continue;
                }
                $lives = $process->getExitCode() === 0;
            } catch (ProcessTimedOutException) {
                $lives = false;
            }
            if ($lives && isset(SUITES[$suite + 1])) {
                $running[$key] = [$try($mutant, "{$directory}/{$key}.php", SUITES[$suite + 1]), $mutant, $suite + 1];
                continue;
            }
            unset($running[$key]);
            $done++;
            if ($lives) {
                $survived[] = $mutant->describe($root);
                fprintf(STDERR, "%d/%d survived: %s\n", $done, count($mutants), end($survived));
            }
        }
        usleep(20_000);
    }
    if ($next !== null) {
        $mutant = $mutants[$next];
        $mutant->write("{$directory}/{$next}.php");
        $running[$next] = [$try($mutant, "{$directory}/{$next}.php", SUITES[0]), $mutant, 0];
    }
}
array_map(unlink(...), glob("{$directory}/*.php") ?: []);
rmdir($directory);

sort($survived);
printf("%d changes, %.0f %% noticed\n", count($mutants), 100 * (1 - count($survived) / max(1, count($mutants))));
foreach ($survived as $line) {
    echo "  {$line}\n";
}

<?php

declare(strict_types=1);

// bin/skivo findings: reads classes, one a line, prints what is found of each, a line each. Needs the core alone.

use Skivo\Core\Exchange\ClassReader;
use Skivo\Core\Exchange\FindingsReport;
use Skivo\Core\Exchange\JsonFaultException;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Measurement\OutOfRangeException;

require __DIR__ . '/../vendor/autoload.php';

$complain = static function (string $message): never {
    fwrite(STDERR, "skivo findings: {$message}\n");
    exit(2);
};

$words = array_slice($argv, 1);
$draws = 2000;
$place = array_search('--draws', $words, true);
if ($place !== false) {
    $given = array_splice($words, $place, 2)[1] ?? '';
    $draws = ctype_digit($given) && (int) $given >= 10 && (int) $given <= 1_000_000
        ? (int) $given
        : $complain('--draws wants a number from 10 to 1000000.');
}
foreach ($words as $word) {
    if ($word !== '-' && str_starts_with($word, '-')) {
        $complain("there is no option '{$word}'.");
    }
}
if (count($words) !== 1) {
    $complain('it wants one file with a class in JSON on each line, or - for standard input.');
}
$lines = @fopen($words[0] === '-' ? 'php://stdin' : $words[0], 'r');
if ($lines === false) {
    $complain("the file '{$words[0]}' cannot be read.");
}

$kept = new KeptInMemory();
for ($number = 1; ($line = fgets($lines)) !== false; $number++) {
    if (trim($line) === '') {
        continue;
    }
    try {
        $report = FindingsReport::of(Findings::of(ClassReader::read($line), $kept, $draws));
    } catch (JsonFaultException|OutOfRangeException $fault) {
        $complain("line {$number}: {$fault->getMessage()}");
    }
    echo json_encode($report, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE), "\n";
}

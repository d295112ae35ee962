<?php

declare(strict_types=1);

// bin/skivo simulate: reads a design, prints what the model says of it. Needs the core alone.

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Exchange\JsonFaultException;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Exchange\RunReport;
use Skivo\Core\Simulation\ElasticSimulator;
use Skivo\Core\Simulation\Simulator;

require __DIR__ . '/../vendor/autoload.php';

$complain = static function (string $message): never {
    fwrite(STDERR, "skivo simulate: {$message}\n");
    exit(2);
};

$words = array_slice($argv, 1);
$withTrajectory = in_array('--trajectory', $words, true);
$files = array_values(array_filter($words, static fn(string $word): bool => $word !== '--trajectory'));
foreach ($files as $file) {
    if ($file !== '-' && str_starts_with($file, '-')) {
        $complain("there is no option '{$file}'.");
    }
}
if (count($files) !== 1) {
    $complain('it wants one file with a design in JSON, or - for standard input.');
}
$json = @file_get_contents($files[0] === '-' ? 'php://stdin' : $files[0]);
if ($json === false) {
    $complain("the file '{$files[0]}' cannot be read.");
}

try {
    $report = DesignReader::isElastic($json)
        ? RunReport::ofElastic(ElasticSimulator::run(DesignReader::readElastic($json)))
        : RunReport::of(Simulator::run(DesignReader::read($json), withTrajectory: $withTrajectory));
} catch (JsonFaultException|OutOfRangeException $fault) {
    $complain($fault->getMessage());
}
echo json_encode($report, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_PRETTY_PRINT), "\n";

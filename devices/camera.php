<?php

declare(strict_types=1);

// A stand-in for a phone beside the lane: makes a film of simulated runs, by the scene that a seed draws. Needs Debian's ffmpeg.

use Devices\FilmedScene;
use Devices\FilmMaker;
use Skivo\Core\Car\Attribute\CarAttribute;

require __DIR__ . '/../vendor/autoload.php';

$given = getopt('', ['help', 'out:', 'seed:', 'width:', 'height:', 'rate:', 'runs:', 'lanes:', 'turned', 'marks']);
$options = array_map(static fn(mixed $value): string => is_string($value) ? $value : '', $given === false ? [] : $given);
if (isset($options['help']) || (!isset($options['out']) && !isset($options['marks']))) {
    fwrite(STDERR, <<<'TEXT'
    php devices/camera.php --out run.mp4
      --out FILE      where the film goes; its ending says what kind it is (.mp4, .webm)
      --seed N        chance begins here (1)
      --width PX      of a picture (1280)
      --height PX     (720)
      --rate N        pictures a second (30 or 60, as chance has it)
      --runs N        so many, one after the other (1)
      --lanes N       1 or 2 cars at a time (1)
      --turned        as from a phone that was held upright
      --marks         prints where lines and tapes are in it, and what is true of the runs, as JSON

    TEXT);
    exit(isset($options['help']) ? 0 : 2);
}
/** How far the second lane lies behind the first (m). */
const BESIDE_M = 0.8;

$seed = (int) ($options['seed'] ?? 1);
$size = [(int) ($options['width'] ?? 1280), (int) ($options['height'] ?? 720)];
$rate = isset($options['rate']) ? max(1, (int) $options['rate']) : null;
$first = new FilmedScene($seed, ...$size, rate: $rate);
$runs = [];
for ($run = 0; $run < max(1, (int) ($options['runs'] ?? 1)); $run++) {
    $runs[$run][] = $run === 0 ? $first : new FilmedScene($seed + 1000 * $run, ...$size, same: $first, rate: $rate);
    if (($options['lanes'] ?? '1') === '2') {
        $runs[$run][] = new FilmedScene($seed + 1000 * $run + 500, ...$size, same: $first, laneAtM: BESIDE_M, rate: $rate);
    }
}
if (isset($options['out'])) {
    FilmMaker::make($runs, $options['out'], isset($options['turned']));
}
if (isset($options['marks'])) {
    $told = static fn(FilmedScene $scene): array => [
        'line' => $scene->line(),
        'taps' => $scene->taps(5),
        'camera_m' => $scene->cameraM,
        'drawn_m' => $scene->drawnM,
        'sheet' => array_map(
            $scene->settings->get(...),
            ['mass' => CarAttribute::Mass, 'nozzle_bore' => CarAttribute::NozzleBore, 'balloon_size' => CarAttribute::BalloonSize],
        ),
        'truth' => [
            'release_s' => $scene->releaseS, 'distance_m' => $scene->run->distanceM, 'lasts_s' => $scene->run->stopTimeS,
            'limp_after_s' => $scene->run->driveEnd?->timeS, 'push_n' => $scene->pushN(), 'friction' => $scene->truth->rollingCoefficient(),
        ],
    ];
    echo json_encode(
        array_map(static fn(array $lanes): array => array_map($told, $lanes), $runs),
        JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT,
    ), "\n";
}

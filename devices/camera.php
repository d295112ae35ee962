<?php

declare(strict_types=1);

// A stand-in for a phone beside the lane: makes a film of a simulated run, by the scene that a seed draws. Needs Debian's ffmpeg.

use Devices\FilmedScene;
use Devices\FilmMaker;

require __DIR__ . '/../vendor/autoload.php';

$given = getopt('', ['help', 'out:', 'seed:', 'width:', 'height:', 'marks']);
$options = array_map(static fn(mixed $value): string => is_string($value) ? $value : '', $given === false ? [] : $given);
if (isset($options['help']) || (!isset($options['out']) && !isset($options['marks']))) {
    fwrite(STDERR, <<<'TEXT'
    php devices/camera.php --out run.mp4
      --out FILE      where the film goes; its ending says what kind it is (.mp4, .webm)
      --seed N        chance begins here (1)
      --width PX      of a picture (1280)
      --height PX     (720)
      --marks         prints where line and tapes are in it, and what is true of the run, as JSON

    TEXT);
    exit(isset($options['help']) ? 0 : 2);
}
$scene = new FilmedScene((int) ($options['seed'] ?? 1), (int) ($options['width'] ?? 1280), (int) ($options['height'] ?? 720));
if (isset($options['out'])) {
    FilmMaker::make($scene, $options['out']);
}
if (isset($options['marks'])) {
    echo json_encode([
        'line' => $scene->line(),
        'taps' => $scene->taps(5),
        'camera_m' => $scene->cameraM,
        'drawn_m' => $scene->drawnM,
        'truth' => [
            'release_s' => $scene->releaseS, 'distance_m' => $scene->run->distanceM, 'lasts_s' => $scene->run->stopTimeS,
            'limp_after_s' => $scene->run->driveEnd?->timeS, 'push_n' => $scene->pushN(), 'friction' => $scene->truth->rollingCoefficient(),
        ],
    ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT), "\n";
}

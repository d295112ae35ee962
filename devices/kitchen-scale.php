<?php

declare(strict_types=1);

// A stand-in for a kitchen scale: weighs a car, or the push of a car that blows against it, to whole grams with a little noise.

use Devices\Instrument;

require __DIR__ . '/../vendor/autoload.php';

$options = Instrument::options(['site', 'token', 'what', 'mass', 'design', 'seed', 'noise', 'step'], <<<'TEXT'
    php devices/kitchen-scale.php --site http://ADDRESS --token TOKEN
      --what WHAT     mass or thrust (mass)
      --mass G        what lies on it (60 g)
      --design FILE   the car whose push is weighed, as for bin/skivo simulate (a usual one)
      --seed N        chance begins here (1)
      --noise G       standard deviation (0.4 g)
      --step G        what it shows to (1 g)
      --print         print what would be posted

    TEXT);
$instrument = new Instrument($options);
$isThrust = ($options['what'] ?? 'mass') === 'thrust';
$grams = $isThrust ? 1000 * $instrument->run->initialThrustN / 9.80665 : (float) ($options['mass'] ?? 60);
$step = max(0.01, (float) ($options['step'] ?? 1));
$shown = round(($grams + (float) ($options['noise'] ?? 0.4) * $instrument->normal()) / $step) * $step;
$instrument->post(
    [['id' => Instrument::id(), 'kind' => $isThrust ? 'thrust' : 'mass', 'at' => Instrument::moment(), 'value_kg' => $shown / 1000]],
);

<?php

declare(strict_types=1);

// A stand-in for a motion sensor behind the start line: follows one car by echo, with noise, and loses it now and then.

use Devices\Instrument;

require __DIR__ . '/../vendor/autoload.php';

$options = Instrument::options(['site', 'token', 'lane', 'design', 'seed', 'rate', 'noise', 'missing'], <<<'TEXT'
    php devices/motion-sensor.php --site http://ADDRESS --token TOKEN
      --lane N        lane it watches (1)
      --design FILE   the car, as for bin/skivo simulate (a usual one)
      --seed N        chance begins here (1)
      --rate HZ       points a second (50)
      --noise M       standard deviation of a point (0.002 m)
      --missing P     probability that a point is lost (0.03)
      --print         print what would be posted

    TEXT);
$instrument = new Instrument($options);
$points = [];
$step = 1.0 / max(5.0, (float) ($options['rate'] ?? 50));
for ($t = -0.3; $t <= $instrument->run->stopTimeS + 0.8; $t += $step) {
    if (!$instrument->happens((float) ($options['missing'] ?? 0.03))) {
        $points[] = [round($t + 0.3, 4), round($instrument->placeAt($t) + (float) ($options['noise'] ?? 0.002) * $instrument->normal(), 4)];
    }
}
$instrument->post(
    [[
        'id' => Instrument::id(), 'kind' => 'trace', 'lane' => (int) ($options['lane'] ?? 1), 'at' => Instrument::moment(),
        'points' => $points,
    ]],
);

<?php

declare(strict_types=1);

// A stand-in for light gates along a lane: sees one car pass, as gates do, with jitter, an event now and then
// twice and now and then not at all.

use Devices\Instrument;

require __DIR__ . '/../vendor/autoload.php';

$options = Instrument::options(['site', 'token', 'lane', 'gates', 'design', 'seed', 'jitter', 'missing', 'double'], <<<'TEXT'
    php devices/timing-gate.php --site http://ADDRESS --token TOKEN
      --lane N        lane it watches (1)
      --gates LIST    places of the gates in m, with commas (0,1)
      --design FILE   the car, as for bin/skivo simulate (a usual one)
      --seed N        chance begins here (1)
      --jitter S      standard deviation of an event (0.002 s)
      --missing P     probability that a gate sees nothing (0.02)
      --double P      probability that an event comes twice (0.1)
      --print         print what would be posted

    TEXT);
$instrument = new Instrument($options);
$readings = [];
foreach (array_map(floatval(...), explode(',', $options['gates'] ?? '0,1')) as $place) {
    $at = $place <= 0.0 ? 0.0 : $instrument->timeAt($place);
    if ($at === null || $instrument->happens((float) ($options['missing'] ?? 0.02))) {
        continue;
    }
    $seen = 1000.0 + $at + (float) ($options['jitter'] ?? 0.002) * $instrument->normal();
    $events = $instrument->happens((float) ($options['double'] ?? 0.1)) ? [$seen, $seen + 0.03] : [$seen];
    foreach ($events as $event) {
        $readings[] = [
            'id' => Instrument::id(), 'kind' => 'gate', 'lane' => (int) ($options['lane'] ?? 1),
            'position_m' => $place, 't_s' => round($event, 4), 'at' => Instrument::moment($event - 1000.0 - $instrument->run->stopTimeS),
        ];
    }
}
if ($readings === []) {
    fwrite(STDERR, "No gate saw anything this time.\n");
    exit(0);
}
$instrument->post($readings);

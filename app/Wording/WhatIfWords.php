<?php

declare(strict_types=1);

namespace App\Wording;

use App\Reading\WhatIf;
use Skivo\Core\Measurement\OutOfRange;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\Prediction;
use Skivo\Core\Simulation\Regime;
use Skivo\Core\Simulation\Setting;
use Skivo\Core\Simulation\Simulator;

/** What a design's run shows, in words: what takes the push, and which school is right for this car. */
final readonly class WhatIfWords
{
    public function __construct(
        private UnitSystem $units,
        private Prediction $prediction,
    ) {}

    /** @return list<Sentence> */
    public function said(): array
    {
        $run = $this->prediction->run;
        $energy = $run->energy;
        $spent = max(1e-12, $energy->rolling + $energy->drag + $energy->carriedOff);
        $air = number_format(100 * ($energy->drag + $energy->carriedOff) / $spent, 0);
        $rolling = number_format(100 * $energy->rolling / $spent, 0);
        $first = match ($this->prediction->regime()) {
            Regime::DoesNotStart => new Sentence('It does not start.', 'The first push is weaker than what holds the wheels: make it lighter, the nozzle wider, or the axles freer.'),
            Regime::Rolling => new Sentence('Rolling takes most of the push', "({$rolling} %), air little. What frees the wheels pays most; a strong short push loses little."),
            Regime::Air => new Sentence('Air takes most of the push', "({$air} %). Speed is expensive here: a gentler, longer push and a smaller front go farther."),
            Regime::Both => new Sentence('Rolling and air share the push', "({$rolling} % and {$air} %), so neither school is right by itself: try both ways."),
        };

        return array_values(array_filter([
            $first,
            $run->moves && $run->balloonEmpty === null ? new Sentence('', 'It stops while the balloon still blows.') : null,
        ]));
    }

    /** What one step of each of the disputed choices would do; null for a car that does not start. */
    public function schools(): ?Sentence
    {
        if (!$this->prediction->run->moves) {
            return null;
        }
        $metric = $this->units === UnitSystem::Metric;
        $said = [];
        foreach ([
            ['a wider nozzle', 'a narrower nozzle', Setting::Bore, $metric ? 0.001 : 0.001016],
            ['a bigger balloon', 'a smaller balloon', Setting::BalloonSize, $metric ? 0.01 : 0.0127],
            ['more mass', 'less mass', Setting::Mass, $metric ? 0.01 : 0.0141747615625],
        ] as [$more, $less, $setting, $step]) {
            $up = $this->change($setting, $step);
            $down = $this->change($setting, -$step);
            if ($up === null && $down === null) {
                continue;
            }
            [$name, $sign, $gain] = ($up ?? -INF) >= ($down ?? -INF) ? [$more, '+', $up] : [$less, '−', $down];
            $shown = ltrim((new WhatIf($this->units))->show($step, $setting), '0');
            $shown = str_starts_with($shown, '.') ? "0{$shown}" : $shown;
            $said[] = $gain > 0.0
                ? "{$name} helps ({$sign}{$shown}: about +" . (new WhatIf($this->units))->distance((float) $gain) . ')'
                : 'the ' . mb_strtolower($setting->label()) . ' is about right';
        }

        return new Sentence('On this car', Lists::and($said) . '.');
    }

    private function change(Setting $setting, float $step): ?float
    {
        try {
            $settings = $this->prediction->settings->with($setting, $this->prediction->settings->get($setting) + $step);

            return Simulator::run($settings->design(), 1e-4)->distanceM - $this->prediction->run->distanceM;
        } catch (OutOfRange) {
            return null;
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\DryRun;

use App\Language\Label;
use App\Language\Lists;
use App\Language\Sentence;
use App\Language\Text;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\ElasticRun;
use Skivo\Core\Simulation\Regime;

/** What a design's run shows, in words: what takes the push, and which school is right for this car. */
final readonly class DryRunWords
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
        $source = $this->prediction->settings->source;
        $spent = max(1e-12, $energy->moved());
        $air = number_format(100 * ($energy->drag + $energy->carriedOff) / $spent, 0);
        $rolling = number_format(100 * $energy->rolling / $spent, 0);
        $first = match ($this->prediction->regime()) {
            Regime::DoesNotStart => new Sentence(
                Text::of('dry_run.dry_run_words.it_does_not_start'),
                Text::of(match (true) {
                    $source->winds() => 'dry_run.dry_run_words.the_band_is_too_weak',
                    $source->blows() => 'dry_run.dry_run_words.the_first_push_is_weaker_than',
                    default => 'dry_run.dry_run_words.the_ramp_is_too_low',
                }),
            ),
            Regime::Rolling => new Sentence(
                Text::of('dry_run.dry_run_words.rolling_takes_most_of_the_push'),
                Text::of('dry_run.dry_run_words.air_little_what_frees_the_wheels', ['rolling' => $rolling]),
            ),
            Regime::Air => new Sentence(
                Text::of('dry_run.dry_run_words.air_takes_most_of_the_push'),
                Text::of('dry_run.dry_run_words.speed_is_expensive_here_a_gentler', ['air' => $air]),
            ),
            Regime::Both => new Sentence(
                Text::of('dry_run.dry_run_words.rolling_and_air_share_the_push'),
                Text::of('dry_run.dry_run_words.and_so_neither_school_is_right', ['rolling' => $rolling, 'air' => $air]),
            ),
        };

        return array_values(array_filter([
            $first,
            $source->blows() && $run->moves && $run->driveEnd === null
                ? new Sentence('', Text::of('dry_run.dry_run_words.it_stops_while_the_balloon_still'))
                : null,
            $source->winds() ? $this->spinning() : null,
        ]));
    }

    /** Whether the driven wheels spin, and what would cure it. */
    private function spinning(): ?Sentence
    {
        $design = $this->prediction->settings->elasticDesign();
        if (!$design->slipsAtFirst()) {
            $slips = $this->prediction->run instanceof ElasticRun && $this->prediction->run->slipTimeS > 0.0;

            return $slips ? null : new Sentence('', Text::of('dry_run.dry_run_words.the_rims_hold'));
        }
        $ballast = $design->ballastToHoldKg();
        $turns = $design->turnsThatHold();

        return new Sentence(
            Text::of('dry_run.dry_run_words.its_wheels_spin'),
            $ballast === null
                ? Text::of('dry_run.dry_run_words.no_ballast_holds', ['turns' => (int) floor($turns ?? 0.0)])
                : Text::of(
                    'dry_run.dry_run_words.ballast_or_turns',
                    ['ballast' => $this->units->show($ballast, Scale::Weight), 'turns' => (int) floor($turns ?? 0.0)],
                ),
        );
    }

    /** What one step of each of the disputed choices would do; null for a car that does not start. */
    public function schools(): ?Sentence
    {
        if (!$this->prediction->run->moves) {
            return null;
        }
        $metric = $this->units === UnitSystem::Metric;
        $said = [];
        $source = $this->prediction->settings->source;
        foreach ([
            [Text::of('dry_run.dry_run_words.more_turns'), Text::of('dry_run.dry_run_words.fewer_turns'), CarAttribute::TurnsWound, 2.0],
            [
                Text::of('dry_run.dry_run_words.a_higher_ramp'), Text::of('dry_run.dry_run_words.a_lower_ramp'), CarAttribute::RampHeight,
                $metric ? 0.01 : 0.0127,
            ],
            [
                Text::of('dry_run.dry_run_words.a_wider_nozzle'),
                Text::of('dry_run.dry_run_words.a_narrower_nozzle'),
                CarAttribute::NozzleBore,
                $metric ? 0.001
                                   : 0.001016,
            ],
            [
                Text::of('dry_run.dry_run_words.a_bigger_balloon'),
                Text::of('dry_run.dry_run_words.a_smaller_balloon'),
                CarAttribute::BalloonSize,
                $metric ? 0.01
                                   : 0.0127,
            ],
            [
                Text::of('dry_run.dry_run_words.more_mass'), Text::of('dry_run.dry_run_words.less_mass'), CarAttribute::Mass, $metric
                    ? 0.01
                    : 0.0141747615625,
            ],
        ] as [$more, $less, $setting, $step]) {
            if (!$setting->belongsTo($source)) {
                continue;
            }
            $up = $this->change($setting, $step);
            $down = $this->change($setting, -$step);
            if ($up === null && $down === null) {
                continue;
            }
            [$name, $sign, $gain] = ($up ?? -INF) >= ($down ?? -INF) ? [$more, '+', $up] : [$less, '−', $down];
            $shown = ltrim((new DryRun($this->units))->show($step, $setting), '0');
            $shown = str_starts_with($shown, '.') ? "0{$shown}" : $shown;
            $said[] = $gain > 0.0
                ? Text::of(
                    'dry_run.dry_run_words.helps',
                    ['name' => $name, 'step' => "{$sign}{$shown}", 'gain' => (new DryRun($this->units))->distance((float) $gain)],
                )
                : Text::of('dry_run.dry_run_words.the_is_about_right', ['setting' => Label::inside($setting)]);
        }

        return new Sentence(Text::of('dry_run.dry_run_words.on_this_car'), Lists::and($said) . '.');
    }

    private function change(CarAttribute $setting, float $step): ?float
    {
        try {
            $settings = $this->prediction->settings->with($setting, $this->prediction->settings->get($setting) + $step);

            return $settings->run(1e-4)->distanceM - $this->prediction->run->distanceM;
        } catch (OutOfRangeException) {
            return null;
        }
    }
}

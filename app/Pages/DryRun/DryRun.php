<?php

declare(strict_types=1);

namespace App\Pages\DryRun;

use App\Language\ForecastWords;
use App\Language\Label;
use App\Language\Text;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\BalloonRun;
use Skivo\Core\Simulation\ElasticRun;
use Skivo\Core\Simulation\Moment;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Sweep;

/** What the What-if bench shows of a design, in the class's units. */
final readonly class DryRun
{
    public function __construct(private UnitSystem $units) {}

    /**
     * A design as an address holds it: "bore:0.007,mass:0.058", SI, the rest usual; "energy_source" by the number of its case.
     *
     * @throws OutOfRangeException|\InvalidArgumentException
     */
    public static function read(string $text): Settings
    {
        $values = [];
        $source = EnergySource::Balloon;
        foreach ($text === '' ? [] : explode(',', $text) as $pair) {
            [$key, $value] = [...explode(':', $pair, 2), ''];
            if ($key === CarAttribute::EnergySource->value && isset(EnergySource::cases()[(int) $value])) {
                $source = EnergySource::cases()[(int) $value];
                continue;
            }
            if (CarAttribute::tryFrom($key) === null || !is_numeric($value)) {
                throw new \InvalidArgumentException(Text::of('dry_run.dry_run.the_address_holds_no_design_that'));
            }
            $values[$key] = (float) $value;
        }

        return Settings::of($values, $source);
    }

    /** @return array<string, float> what differs from the usual car, as an address and the page hold it */
    public static function unusual(Settings $settings): array
    {
        $number = (float) array_search($settings->source, EnergySource::cases(), true);

        return ($number === 0.0 ? [] : [CarAttribute::EnergySource->value => $number]) + $settings->unusual();
    }

    /** @return array<string, mixed> */
    public function design(Prediction $prediction): array
    {
        $run = $prediction->run;
        $forecast = $prediction->forecast;
        $layout = $prediction->settings->layout();
        $energy = $run->energy;

        return [
            'moves' => $run->moves,
            'distance' => $this->along($run->distanceM),
            'low' => $this->along($forecast->band95->low),
            'high' => $this->along($forecast->band95->high),
            'limp' => $run->driveEnd === null ? null : $this->along($run->driveEnd->distanceM),
            'shown' => [
                'distance' => $this->distance($forecast->medianM),
                // None where it says nothing: then the figure has none either.
                'band' => $forecast->saysWhere() ? (new ForecastWords($this->units))->band($forecast) : null,
                'stops' => (new ForecastWords($this->units))->whereItStops($forecast),
                'time' => $this->units->show($run->stopTimeS, Scale::Stopwatch),
                'limp' => $run->driveEnd === null ? null : $this->distance($run->driveEnd->distanceM),
                'thrust' => number_format($prediction->settings->firstPushN() * 1000, 0) . "\u{00A0}mN",
                'pressure' => $run instanceof BalloonRun ? number_format($run->initialGaugePressurePa / 1000, 2) . "\u{00A0}kPa" : null,
                'jet' => $run instanceof BalloonRun ? number_format($run->initialExitSpeedMS, 0) . "\u{00A0}m/s" : null,
                'slip' => $run instanceof ElasticRun ? $this->units->show($run->slipTimeS, Scale::Stopwatch) : null,
                'peak' => number_format($run->peakSpeedMS, 2) . "\u{00A0}m/s",
                'friction' => number_format($prediction->settings->rollingCoefficient(), 3),
            ],
            'clearance' => !$prediction->settings->source->blows()
                ? ''
                : Text::of($layout->wheelClearance() < 0.0 ? 'dry_run.dry_run.touches' : 'dry_run.dry_run.clears', [
                    'floor' => $this->units->show(max(0.0, $layout->balloonClearance()), Scale::Part),
                    'wheels' => $this->units->show(abs($layout->wheelClearance()), Scale::Part),
                ]),
            'frictionMeasured' => $prediction->settings->frictionIsMeasured(),
            'trajectory' => array_map(
                fn(Moment $moment): array => [
                    round($moment->timeS, 4),
                    $this->along($moment->distanceM),
                    round($moment->speedMS, 4),
                    round($moment->thrustN * 1000, 3),
                    round($moment->resistanceN * 1000, 3),
                    round($moment->dragN * 1000, 3),
                ],
                $run->trajectory,
            ),
            'energy' => array_map(static fn(float $joule): float => round(max(0.0, $joule), 5), [
                'stored' => $energy->putIn(), 'work' => $energy->push + $energy->start, 'rolling' => $energy->rolling,
                'drag' => $energy->drag, 'carried' => $energy->carriedOff, 'slip' => $energy->slip + $energy->end,
            ]),
            'energySaid' => $this->energy($prediction),
        ];
    }

    /** @return array{string, string} what was put in and how much of it pushes the car, and what took that back */
    private function energy(Prediction $prediction): array
    {
        $energy = $prediction->run->energy;
        $source = $prediction->settings->source;
        $given = $energy->push + $energy->start;
        $percent = static fn(float $part, float $of): string => number_format(
            100 * max(0.0, $part) / max(1e-12, $of),
            $of === $energy->putIn() ? 1 : 0,
        );

        return [
            Text::of(match (true) {
                $source === EnergySource::BalloonAndRamp => 'dry_run.dry_run.energy_of_both',
                $source->winds() => 'dry_run.dry_run.energy_of_band',
                $source->rollsDown() => 'dry_run.dry_run.energy_of_ramp',
                default => 'dry_run.dry_run.energy_of_balloon',
            }, ['stored' => number_format($energy->putIn(), 2), 'share' => $percent($given, $energy->putIn())]),
            Text::of($source->winds() ? 'dry_run.dry_run.of_the_bands_work' : (
                $source->blows() ? 'dry_run.dry_run.of_the_push' : 'dry_run.dry_run.of_the_start'
            ), [
                'rolling' => $percent($energy->rolling, $given), 'drag' => $percent($energy->drag, $given),
                'carried' => $percent($energy->carriedOff, $given), 'slip' => $percent($energy->slip + $energy->end, $given),
            ]),
        ];
    }

    /** @return array<string, mixed> */
    public function sweep(Prediction $prediction, CarAttribute $along, ?CarAttribute $across): array
    {
        $settings = $prediction->settings;
        if ($across !== null && $across !== $along) {
            [$x, $y, $distances] = Sweep::across($settings, $along, $across);
            $best = (int) array_search(max([0.0, ...$distances]), $distances, true);

            return [
                'x' => array_map(fn(float $value): float => $this->setting($value, $along), $x),
                'y' => array_map(fn(float $value): float => $this->setting($value, $across), $y),
                'distances' => array_map(fn(float $metres): ?float => $metres < 0.0 ? null : $this->along($metres), $distances),
                'at' => [$this->setting($settings->get($along), $along), $this->setting($settings->get($across), $across)],
                'best' => [
                    'shown' => Text::of(
                        'dry_run.dry_run.and',
                        [
                            'x' => $this->show($x[$best % count($x)], $along), 'y' => $this
                                ->show($y[intdiv($best, count($x))], $across), 'distances' => $this
                                ->distance($distances[$best]),
                        ],
                    ),
                    'x' => $this->setting($x[$best % count($x)], $along),
                    'y' => $this->setting($y[intdiv($best, count($x))], $across),
                ],
            ] + $this->labels($along, $across) + ['sensitivities' => $this->sensitivities($settings)];
        }
        $curve = Sweep::along($settings, $along);
        $best = array_reduce(
            $curve,
            static fn(?array $best, array $point): array => $best === null || $point[1] > $best[1] ? $point : $best,
        );

        return [
            'curve' => array_map(fn(array $point): array => [$this->setting($point[0], $along), $this->along($point[1])], $curve),
            'at' => [$this->setting($settings->get($along), $along), $this->along($prediction->run->distanceM)],
            'best' => $best === null ? null : [
                'shown' => $this->show($best[0], $along) . ': ' . $this->distance($best[1]),
                'x' => $this->setting($best[0], $along),
                'y' => $this->along($best[1]),
            ],
        ] + $this->labels($along, null) + ['sensitivities' => $this->sensitivities($settings)];
    }

    /** Why a design cannot be, in the units of the class. */
    public function complaint(OutOfRangeException $fault): string
    {
        foreach (CarAttribute::ofModel() as $setting) {
            if ($setting->value === $fault->field) {
                return Text::of(
                    'dry_run.dry_run.must_be_from_to_on_this',
                    [
                        'setting' => Label::title($setting), 'least' => $this->show($fault->least, $setting),
                        'greatest' => $this->show($fault->greatest, $setting),
                    ],
                );
            }
        }

        return Text::of('dry_run.dry_run.together_they_go_beyond_the_model');
    }

    public function show(float $si, CarAttribute $setting): string
    {
        return $setting->scale() === null
            ? rtrim(rtrim(number_format($si, 3), '0'), '.')
            : $this->units->show($si, $setting->scale());
    }

    public function distance(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }

    private function setting(float $si, CarAttribute $setting): float
    {
        return round($setting->scale() === null ? $si : $this->units->fromSi($si, $setting->scale()), 5);
    }

    /** @return array<string, string|null> */
    private function labels(CarAttribute $along, ?CarAttribute $across): array
    {
        $label = fn(CarAttribute $setting): string => Label::title($setting) . (
            ($symbol = $setting->scale() === null ? '' : $this->units->symbol($setting->scale())) === '' ? '' : ", {$symbol}"
        );

        return [
            'xLabel' => $label($along),
            'yLabel' => $across === null ? null
                           : $label($across),
            'unit' => $this->units->symbol(Scale::Distance),
            'tape' => $this->units->value,
        ];
    }

    /** @return list<array{string, string}> */
    private function sensitivities(Settings $settings): array
    {
        $said = [];
        $swept = array_values(
            array_filter(CarAttribute::swept(), static fn(CarAttribute $each): bool => $each->belongsTo($settings->source)),
        );
        foreach (Sweep::sensitivities($settings, $swept) as $key => $percent) {
            if ($percent !== null) {
                $said[] = [Label::title(CarAttribute::from($key)), ($percent < 0 ? '−' : '+') . number_format(abs($percent), 1) . ' %'];
            }
        }

        return $said;
    }

    private function along(float $metres): float
    {
        return round($this->units->fromSi($metres, Scale::Distance), 3);
    }
}

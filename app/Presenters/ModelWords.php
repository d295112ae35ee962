<?php

declare(strict_types=1);

namespace App\Presenters;

use App\ViewModels\ClassFindings;
use App\ViewModels\ClassRecord;
use Skivo\Core\Bench\WorkBalance;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Car\CheckCard;
use Skivo\Core\Car\CheckItem;
use Skivo\Core\Car\CheckVerdict;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Steering;
use Skivo\Core\Statistics\Interval;

/** How the model and a class agree, in words. */
final readonly class ModelWords
{
    public function __construct(private ClassRecord $record, private ClassFindings $findings, private FindingWords $words) {}

    /**
     * What is recorded of a car that the model can't compute with.
     *
     * @param array<string, float> $beyond SI, by the value of a CarAttribute
     */
    public static function beyond(array $beyond, UnitSystem $units): string
    {
        $said = [];
        foreach ($beyond as $key => $value) {
            $setting = CarAttribute::from($key);
            [$least, $greatest] = $setting->limits();
            $show = static fn(float $si): string => $setting->scale() === null ? (string) +$si : $units->show($si, $setting->scale());
            $said[] = Text::of(
                'findings.model_words.it_takes_to',
                ['setting' => Label::title($setting), 'value' => $show($value), 'least' => $show($least), 'greatest' => $show($greatest)],
            );
        }

        return Text::of('findings.model_words.beyond_what_the_run_model_computes', ['said' => Lists::and($said, 9)]);
    }

    /** @return list<Sentence> */
    public function calibration(): array
    {
        $calibration = $this->findings->calibration;
        if ($calibration === null) {
            return [
                new Sentence(
                    Text::of('findings.model_words.too_few_cars_to_set_the'),
                    Text::of('findings.model_words.it_takes_three_with_a_distance'),
                ),
            ];
        }
        $said = [];
        $factor = static fn(float $value, Interval $interval): string => Text::of(
            'findings.model_words.times_to',
            [
                'number_format' => number_format($value, 2), 'low' => number_format($interval->low, 2), 'high' => number_format($interval->high, 2),
            ],
        );
        if ($calibration->frictionInterval !== null) {
            $said[] = new Sentence(
                Text::of(
                    'findings.model_words.friction_here_is',
                    ['friction' => $factor($calibration->friction, $calibration->frictionInterval)],
                ),
                Text::of('findings.model_words.what_the_parts_say_over_the'),
            );
        }
        if ($calibration->dischargeInterval !== null) {
            $said[] = new Sentence(
                Text::of(
                    'findings.model_words.air_leaves_at',
                    ['discharge' => $factor($calibration->discharge, $calibration->dischargeInterval)],
                ),
                Text::of('findings.model_words.the_models_speed_thrust_goes_with'),
            );
        } elseif ($calibration->areInseparable) {
            $said[] = new Sentence(
                Text::of('findings.model_words.thrust_is_left_as_it_is'),
                Text::of('findings.model_words.a_weaker_push_and_more_friction'),
            );
        }
        $percent = static fn(float $share): string => number_format(100 * $share) . ' %';
        $said[] = new Sentence(
            Text::of('findings.model_words.the_model_is_off_by'),
            Text::of(
                'findings.model_words.of_the_distance_before_after_and',
                [
                    'miss_before' => $percent($calibration->missBefore), 'miss_after' => $percent($calibration->missAfter), 'miss_left_out' => $percent($calibration->missLeftOut),
                ],
            ),
            Text::of('findings.model_words.root_mean_square_the_last_figure'),
        );

        return $said;
    }

    /**
     * Cars that are not where the model has them, with what was noted of them; and those that lie off the line of the
     * others since their balloons blew over another stretch.
     *
     * @return list<array{Sentence, list<string>}>
     */
    public function offTheLine(): array
    {
        $said = [];
        $typical = $this->findings->balances[$this->findings->typical ?? 0] ?? null;
        if ($typical === null) {
            return [];
        }
        foreach ($this->findings->cars as $compared) {
            $car = (int) $compared->id;
            $balance = $this->findings->balances[$car] ?? null;
            if ($compared->sample->mean() <= 0.0) {
                // It never started: no ratio of distances is to be had.
                continue;
            }
            // How much farther a typical car with this ratio would have come.
            $times = ($this->findings->ratioOf($car) ?? 0.0) * $typical->stretchM / $compared->sample->mean();
            if ($balance !== null && WorkBalance::isOffTheLine($times)) {
                $said[] = [
                    new Sentence(
                        Text::of(
                            'findings.model_words.lies_the_others',
                            [
                                'car' => $this->words->name($car), 'where' => Text::of(
                                    $times > 1.0 ? 'findings.model_words.above' : 'findings.model_words.below',
                                ),
                            ],
                        ),
                        Text::of(
                            'findings.model_words.its_balloon_blew_over_a_typical',
                            [
                                'stretch' => $this->words->distance($balance->stretchM), 'typical' => $this->words->distance($typical->stretchM), 'meaning' => $times > 1.0
                                    ? Text::of('findings.model_words.a_strong_push_that_is_soon')
                                    : Text::of('findings.model_words.a_push_that_lasts_comes_as'),
                            ],
                        ),
                    ),
                    [(string) $car],
                ];
            }
        }
        foreach ($this->findings->cars as $compared) {
            $balance = $this->findings->balances[(int) $compared->id] ?? null;
            $mean = $compared->sample->mean();
            if ($balance === null || $balance->distanceInterval->contains($mean)) {
                continue;
            }
            $short = $mean < $balance->distanceM;
            $noted = $this->noted((int) $compared->id);
            $said[] = [
                new Sentence(
                    $this->words->name($compared->id) . (
                        $short ? ' ' . Text::of('findings.model_words.stopped_short') : ' ' . Text::of('findings.model_words.outran_the_model')
                    ),
                    Text::of(
                        'findings.model_words.where_its_forces_would_take_it',
                        [
                            'mean' => $this->words->distance($mean), 'low' => $this->words->distance($balance->distanceInterval->low), 'high' => $this->words->distance($balance->distanceInterval->high), 'noted' => $noted === []
                                ? (
                                    $short
                                        ? ' ' . Text::of('findings.model_words.nothing_is_noted_of_it_check')
                                        : ' ' . Text::of('findings.model_words.measure_its_friction_it_may_be')
                                )
                                : ' ' . Text::of('findings.model_words.noted', ['noted' => Lists::and($noted, 9)]),
                        ],
                    ),
                ),
                [$compared->id],
            ];
        }

        return $said;
    }

    /** @return list<string> what was noted of a car that could make it stop short */
    public function noted(int $id): array
    {
        [$group, $car] = $this->words->cars[$id] ?? [null, null];
        if ($group === null || $car === null) {
            return [];
        }
        $card = $group->currentCar()?->id === $id ? $this->record->card($group) : null;
        $noted = array_map(
            static fn(CheckItem $item): string => match ($item) {
                CheckItem::Spin => Text::of('findings.model_words.wheels_that_stop_soon'),
                CheckItem::EndPlay => Text::of('findings.model_words.its_end_play'),
                CheckItem::Wobble => Text::of('findings.model_words.a_wheel_that_wobbles'),
                CheckItem::Parallel => Text::of('findings.model_words.axles_out_of_parallel'),
                CheckItem::Drift => Text::of('findings.model_words.a_drift_when_rolled_by_hand'),
                CheckItem::Airtight => Text::of('findings.model_words.a_leak_at_the_joint'),
                CheckItem::BalloonClears => Text::of('findings.model_words.a_balloon_that_drags'),
                CheckItem::NozzleStraight => Text::of('findings.model_words.a_nozzle_not_straight_or_crushed'),
                CheckItem::PointsOff => Text::of('findings.model_words.points_left_on'),
            },
            $card === null ? [] : $this->faulty($card),
        );
        $tries = $this->record->tries($car);
        $drift = $tries->each(
            static fn(Run $run): ?float => $run->driftM === null
                || ($run->distanceM ?? 0.0) <= 0.0 ? null : abs($run->driftM) / $run->distanceM,
        );
        if ($drift !== null && $drift->mean() > Steering::MUCH) {
            $noted[] = Text::of(
                'findings.model_words.a_drift_of',
                ['mean' => $this->record->challenge->units->show($drift->mean(), Scale::Slope)],
            );
        }
        $void = count($tries->void);
        if ($void > 0) {
            $noted[] = $void === 1
                ? Text::of('findings.model_words.a_void_try')
                : Text::of('findings.model_words.void_tries', ['void' => $void]);
        }

        return $noted;
    }

    /** @return list<CheckItem> */
    private function faulty(CheckCard $card): array
    {
        return array_values(
            array_filter(
                [...$card->with(CheckVerdict::Fix), ...$card->with(CheckVerdict::Note)],
                static fn(CheckItem $item): bool => $item !== CheckItem::PointsOff,
            ),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Figure;
use App\Language\Label;
use App\Language\Lists;
use App\Language\Sentence;
use App\Language\Text;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Steering;
use Skivo\Core\Simulation\Beyond;
use Skivo\Core\Statistics\Interval;

/** How the model and a class agree, in words. */
final readonly class ModelWords
{
    public function __construct(private ClassRecord $record, private ClassFindings $findings, private FindingWords $words) {}

    /**
     * What is recorded of a car that the model can't compute with.
     *
     * @param array<string, Beyond> $beyond by the value of a CarAttribute; none where its drive is another
     */
    public static function beyond(array $beyond, UnitSystem $units): string
    {
        if ($beyond === []) {
            return Text::of('findings.model_words.not_blown');
        }
        $said = [];
        foreach ($beyond as $key => $value) {
            $setting = CarAttribute::from($key);
            $show = static fn(float $si): string => $setting->scale() === null ? (string) +$si : $units->show($si, $setting->scale());
            $said[] = Text::of(
                'findings.model_words.it_takes_to',
                [
                    'setting' => Label::title($setting), 'value' => $show($value->value), 'least' => $show($value->least),
                    'greatest' => $show($value->greatest),
                ],
            );
        }

        return Text::of('findings.model_words.beyond_what_the_run_model_computes', ['said' => Lists::and($said, 9)]);
    }

    /** @return list<Sentence> what the class's hands and balloons are like, and how well cars are predicted before they run */
    public function hands(): array
    {
        $hands = $this->findings->found->forecast->hands;
        $between = static fn(Interval $interval, int $decimals): string => Text::of('findings.model_words.from_to', [
            'low' => number_format($interval->low, $decimals), 'high' => number_format($interval->high, $decimals),
        ]);
        $said = [
            new Sentence(
                Text::of('findings.model_words.hands_add', ['friction' => number_format($hands->workmanship, 3)]),
                Text::of('findings.model_words.to_what_the_parts_have', ['between' => $between($hands->workmanshipInterval, 3)]),
            ),
            $this->findings->found->forecast->isOfBands
                ? new Sentence(
                    Text::of('findings.model_words.bands_pull', ['share' => Figure::percent($hands->pressure)]),
                    Text::of('findings.model_words.of_the_models_pull', ['between' => $between($hands->pressureInterval, 2)]),
                )
                : new Sentence(
                    Text::of('findings.model_words.balloons_give', ['share' => Figure::percent($hands->pressure)]),
                    Text::of('findings.model_words.of_the_models_pressure', ['between' => $between($hands->pressureInterval, 2)]),
                ),
        ];
        $forces = $this->findings->found->forecast->forces;
        $judged = array_filter(
            $this->judged(),
            static fn(array $row): bool => ($forces[$row[0]->id] ?? null)?->frictionIsMeasured() !== true,
        );
        if ($judged !== []) {
            $inside = count(array_filter($judged, static fn(array $row): bool => $row[1]->band95->contains($row[0]->sample->mean())));
            $said[] = new Sentence(
                Text::of('findings.model_words.inside_their_bands', ['inside' => $inside, 'of' => count($judged)]),
                Text::of('findings.model_words.each_predicted_before_its_runs'),
            );
        }

        return [...$said, $this->checks()];
    }

    /** What failed checks do to what is expected, by other classes on record. */
    private function checks(): Sentence
    {
        $shifts = $this->findings->found->forecast->shifts;
        if ($shifts->applied() === []) {
            return new Sentence(
                Text::of('findings.model_words.failed_checks_change_nothing_yet'),
                $shifts->cars === 0 ? Text::of('findings.model_words.no_other_class_says_so')
                    : Text::plural('findings.model_words.no_check_shows_it', $shifts->cars),
            );
        }
        $each = [];
        foreach ($shifts->applied() as $item => $shift) {
            $each[] = Text::of('findings.model_words.times_for_a_check', [
                'check' => Label::of(CheckItem::from($item)),
                'times' => number_format(exp($shift->value), 2),
                'between' => Text::of('findings.model_words.from_to', [
                    'low' => number_format(exp($shift->interval()->low), 2), 'high' => number_format(exp($shift->interval()->high), 2),
                ]),
            ]);
        }

        return new Sentence(
            Text::of('findings.model_words.failed_checks_change'),
            Text::of(
                'findings.model_words.over_other_classes',
                ['each' => Lists::and($each, 9), 'cars' => Text::plural('findings.model_words.cars', $shifts->cars)],
            ),
        );
    }

    /** @return list<array{ComparedCar, Forecast}> every car that ran, with what could be said of it before */
    public function judged(): array
    {
        $judged = [];
        foreach ($this->findings->found->cars as $car) {
            $before = $this->findings->found->forecast->beforeRuns[$car->id] ?? null;
            if ($before !== null) {
                $judged[] = [$car, $before];
            }
        }

        return $judged;
    }

    /**
     * Cars that stopped outside the band in which 95 % of such cars would, with what was noted of them.
     *
     * @return list<array{Sentence, list<string>}>
     */
    public function outside(): array
    {
        $said = [];
        foreach ($this->judged() as [$car, $before]) {
            $mean = $car->sample->mean();
            if ($before->band95->contains($mean)) {
                continue;
            }
            $short = $mean < $before->medianM;
            $noted = $this->noted((int) $car->id);
            $said[] = [
                new Sentence(
                    Text::of(
                        $short ? 'findings.model_words.stopped_short' : 'findings.model_words.outran_the_model',
                        ['car' => $this->words->name($car->id)],
                    ),
                    Text::of(
                        'findings.model_words.where_such_cars_go',
                        [
                            'mean' => $this->words->distance($mean),
                            'low' => $this->words->distance($before->band95->low),
                            'high' => $this->words->distance($before->band95->high),
                            'noted' => $noted === []
                                ? ' ' . Text::of(
                                    $short
                                        ? 'findings.model_words.nothing_is_noted_of_it_check'
                                        : 'findings.model_words.measure_its_friction_it_may_be',
                                )
                                : ' ' . Text::of('findings.model_words.noted', ['noted' => Lists::and($noted, 9)]),
                        ],
                    ),
                ),
                [$car->id],
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
                CheckItem::BandClear => Text::of('findings.model_words.a_band_that_rubs'),
                CheckItem::BandFree => Text::of('findings.model_words.a_band_that_brakes'),
                CheckItem::HookHolds => Text::of('findings.model_words.a_hook_that_gives'),
                CheckItem::Firm => Text::of('findings.model_words.something_loose'),
                CheckItem::Height => Text::of('findings.model_words.too_tall_or_too_low'),
                CheckItem::WheelsTight => Text::of('findings.model_words.wheels_loose_on_their_axle'),
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

<?php

declare(strict_types=1);

namespace App\Presenters;

use App\Models\Car;
use App\Models\Group;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassRecord;
use App\ViewModels\Counting;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\FairPair;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Verdict;

/** What a class found out, in words first; every claim with the cars behind it. */
final readonly class FindingWords
{
    private UnitSystem $units;

    /** @var array<int, array{Group, Car}> by the id of the car */
    public array $cars;

    public function __construct(private ClassRecord $record, private ClassFindings $findings)
    {
        $this->units = $record->challenge->units;
        $this->cars = $record->carsById();
    }

    /** As in "Reef, version 2". */
    public function name(int|string $car): string
    {
        [$group, $model] = $this->cars[(int) $car] ?? [null, null];

        return $group === null || $model === null
            ? Text::of('findings.a_car')
            : $group->name . ($group->cars->count() > 1 ? Text::of('findings.finding_words.version', ['version' => $model->version]) : '');
    }

    /** What the page says first. */
    public function headline(): Sentence
    {
        $cars = count($this->findings->cars);
        if ($cars < 3) {
            return new Sentence(
                $cars === 0 ? Text::of('findings.finding_words.nothing_to_say_yet') : (
                    Text::plural('findings.finding_words.one_car_makes_no_finding_two', $cars)
                ),
                $cars === 0
                ? Text::of('findings.finding_words.findings_need_cars_with_tries_that')
                : Text::of('findings.finding_words.two_points_always_lie_on_a'),
            );
        }
        if ($this->findings->answer !== null) {
            return $this->answer($this->findings->answer);
        }
        $clear = array_values(array_filter($this->findings->effects, $this->findings->claims->effect(...)));
        if ($clear !== []) {
            return $this->effect($clear[0]);
        }
        $confounded = $this->findings->confounded[0] ?? null;
        if ($confounded !== null) {
            return new Sentence(
                Text::of('findings.finding_words.these_cars_cant_tell_what_mattered'),
                ucfirst(
                    Text::of(
                        'findings.finding_words.and_go_along_with_each_other',
                        ['one' => Label::of($confounded->one), 'other' => Label::of($confounded->other)],
                    ),
                ),
            );
        }

        return new Sentence(Text::of('findings.finding_words.nothing_is_clear_yet'), $this->findings->effects === []
            ? Text::of('findings.finding_words.no_two_cars_differ_in_one')
            : Text::of('findings.finding_words.the_fair_pairs_there_are_dont'));
    }

    /** The answer to the class's question, with the effect behind it. */
    private function answer(Answer $answer): Sentence
    {
        return new Sentence(
            Text::of("findings.answer.{$answer->value}"),
            $this->reason($answer),
            $this->record->challenge->asks_changed_at === null
                ? ''
                : Text::of('findings.answer.the_question_was_changed', ['day' => Moment::day($this->record->challenge->asks_changed_at)]),
        );
    }

    /** Why the answer is what it is. */
    private function reason(Answer $answer): string
    {
        $effect = $this->findings->effectAsked();
        $asked = $this->findings->question->attribute ?? throw new \LogicException('An answer has its question.');
        if ($effect !== null && $answer === Answer::HardlyMatters) {
            return Text::of('findings.answer.made_a_difference_of', [
                'pairs' => count($effect->pairs),
                'what' => FactorWords::one($asked, $effect->mean >= 0.0),
                'by' => $this->distance(abs($effect->mean)),
                'interval' => $this->interval($effect->interval, $effect->mean >= 0.0),
            ]);
        }
        if ($effect !== null) {
            $said = $this->effect($effect);

            return "{$said->lead} {$said->rest}";
        }
        foreach ($this->findings->confounded as $pair) {
            if ($pair->one === $asked || $pair->other === $asked) {
                return ucfirst(Text::of(
                    'findings.finding_words.and_go_along_with_each_other',
                    ['one' => Label::of($pair->one), 'other' => Label::of($pair->other)],
                ));
            }
        }

        return Text::of('findings.answer.no_group_changed_it_alone', ['factor' => Label::of($asked)]);
    }

    /** As in "A wider bore went farther in 4 of 5 fair pairs, by 38 cm on average (12 to 64)." */
    public function effect(Effect $effect): Sentence
    {
        $pairs = count($effect->pairs);
        $kinds = $effect->from !== null && $effect->to !== null;
        $more = $effect->mean >= 0.0;
        [$winner, $loser] = $kinds
            ? [
                FactorWords::value(
                    $effect->factor,
                    $more ? $effect->to : $effect->from,
                    $this->units,
                ),
                FactorWords::value($effect->factor, $more ? $effect->from : $effect->to, $this->units),
            ]
            : [FactorWords::one($effect->factor, $more), null];
        $ahead = $more ? $effect->ahead : $pairs - $effect->ahead;
        $by = $this->distance(abs($effect->mean));
        $interval = $this->interval($effect->interval, $more);
        if (!$effect->isPooled()) {
            $pair = $effect->pairs[0];
            $judged = match ($effect->verdict) {
                Verdict::ClearlyApart => Text::of('findings.finding_words.their_tries_tell_them_apart'),
                Verdict::TooCloseToCall => Text::of('findings.finding_words.their_tries_cant_tell_them_apart'),
                Verdict::NoSpreadYet => Text::of('findings.finding_words.one_of_them_has_a_single'),
            };

            return new Sentence(
                Text::of('findings.finding_words.one_fair_pair', ['factor' => Label::title($effect->factor)]),
                Text::of(
                    'findings.finding_words.went_farther_than_with_two_cars',
                    [
                        'first' => $this->name($more ? $pair->more->id : $pair->less->id),
                        'by' => $by,
                        'other' => $this->name($more ? $pair->less->id
                                                   : $pair->more->id),
                        'interval' => $interval,
                        'difference' => $kinds ? Text::of('findings.finding_words.instead_of', ['winner' => $winner, 'loser' => $loser])
                                                   : $winner,
                        'judged' => $judged,
                    ],
                ),
            );
        }
        $against = $loser === null ? '' : ' ' . Text::of('findings.finding_words.than', ['loser' => $loser]);

        return $effect->isClear()
            ? new Sentence(
                $this->findings->claims->effect($effect)
                    ? Text::of('findings.finding_words.went_farther', ['winner' => ucfirst($winner), 'against' => $against])
                    : Text::of('findings.finding_words.a_hint_went_farther', ['winner' => $winner, 'against' => $against]),
                Text::of(
                    'findings.finding_words.in_of_fair_pairs_by_on',
                    ['ahead' => $ahead, 'pairs' => $pairs, 'by' => $by, 'interval' => $interval],
                ),
            )
            : new Sentence(
                Text::of('findings.finding_words.no_clear_effect_of', ['factor' => Label::of($effect->factor)]),
                Text::of(
                    'findings.finding_words.went_farther_in_of_fair_pairs',
                    [
                        'winner' => ucfirst($winner), 'against' => $against, 'ahead' => $ahead, 'pairs' => $pairs, 'by' => $by, 'interval' => $interval,
                    ],
                ),
            );
    }

    /** @return list<array{Sentence, list<string>}> each effect with the cars behind it */
    public function effects(): array
    {
        return array_map(
            fn(Effect $effect): array => [
                $this->effect($effect),
                $this->behind($effect),
            ],
            $this->findings->effects,
        );
    }

    /** The choices that every class makes and that no fair pair here speaks of; null where there is none. */
    public function notJudged(): ?Sentence
    {
        $judged = array_map(static fn(Effect $effect): CarAttribute => $effect->factor, $this->findings->effects);
        $same = $open = [];
        foreach (
            [
                CarAttribute::NozzleBore, CarAttribute::BalloonSize, CarAttribute::Mass, CarAttribute::WheelDiameter, CarAttribute::Surface,
            ] as $factor
        ) {
            if (in_array($factor, $judged, true)) {
                continue;
            }
            $values = array_unique(
                array_filter(
                    array_map(static fn(ComparedCar $car): string => (string) $car->choices->explanation($factor), $this->findings->cars),
                    static fn(string $value): bool => $value !== '',
                ),
            );
            if (count($values) > 1) {
                $open[] = Label::of($factor);
            } else {
                $same[] = Label::of($factor);
            }
        }
        $said = array_filter([
            $open === [] ? null : Text::of('findings.finding_words.no_two_cars_differ_in_alone', ['open' => Lists::or($open, 9)]),
            $same === []
                ? null
                : Text::of(
                    'findings.finding_words.the_same_on_every_car_or',
                    ['same' => Lists::and($same, 9), 'is' => Text::plural('findings.finding_words.is_are', count($same))],
                ),
        ]);

        return $said === [] ? null : new Sentence(Text::of('findings.finding_words.not_judged'), implode('; ', $said) . '.');
    }

    /** @return list<Sentence> what goes along with what, and so can't be told apart */
    public function confounded(): array
    {
        $said = [];
        foreach (array_slice($this->findings->confounded, 0, 4) as $pair) {
            $said[] = new Sentence(
                Text::of('findings.finding_words.and', ['one' => Label::title($pair->one), 'other' => Label::of($pair->other)]),
                Text::of('findings.finding_words.go_along_with_each_other_of', ['share' => number_format(100 * $pair->share)]),
            );
        }

        return $said;
    }

    public function severalFactors(): ?Sentence
    {
        $several = $this->findings->several;
        if (count($several->factors) < 2) {
            return null;
        }
        $names = Lists::and(array_map(static fn(CarAttribute $factor): string => Label::of($factor), $several->factors), 9);
        if ($several->isSeparable()) {
            $clear = [];
            foreach ($several->factors as $index => $factor) {
                if ($this->findings->claims->slope($factor)) {
                    $clear[] = FactorWords::one($factor, $several->slopes[$index] > 0.0);
                }
            }

            return new Sentence(
                Text::of('findings.finding_words.all_at_once'),
                $clear === []
                    ? Text::of('findings.finding_words.with_in_one_regression_over_cars', ['names' => $names, 'cars' => $several->cars])
                    : Text::of(
                        'findings.finding_words.with_in_one_regression_over_cars_2',
                        ['names' => $names, 'cars' => $several->cars, 'clear' => Lists::and($clear)],
                    ),
            );
        }
        if ($several->confounded !== null) {
            return new Sentence(
                Text::of('findings.finding_words.all_at_once'),
                Text::of(
                    'findings.finding_words.a_regression_over_is_no_use',
                    [
                        'names' => $names, 'one' => Label::of($several->confounded[0]), 'other' => Label::of($several->confounded[1]),
                    ],
                ),
            );
        }

        return new Sentence(
            Text::of('findings.finding_words.all_at_once'),
            Text::of(
                'findings.finding_words.vary_more_than_cars_with_all',
                [
                    'names' => $names, 'cars' => $several->cars, 'more' => $several->carsMissing() > 0
                        ? Text::of('findings.finding_words.it_would_take_more', ['cars_missing' => $several->carsMissing()])
                        : '',
                ],
            ),
        );
    }

    public function nextTest(): ?Sentence
    {
        $next = $this->findings->next;
        if ($next === null) {
            return null;
        }
        $expected = $this->findings->nextExpectedM;
        $why = $next->confoundedWith === null
            ? Text::of('findings.finding_words.no_fair_pair_settles_yet', ['factor' => Label::of($next->factor)])
            : Text::of(
                'findings.finding_words.that_takes_and_apart_best',
                ['factor' => Label::of($next->factor), 'confounded_with' => Label::of($next->confoundedWith)],
            );

        return new Sentence(
            Text::of(
                'findings.finding_words.next_fair_test_changes',
                ['id' => $this->name($next->car->id), 'factor' => Label::of($next->factor)],
            ),
            Text::of(
                'findings.finding_words.from_to_and_nothing_else',
                [
                    'from' => FactorWords::value(
                        $next->factor,
                        $next->from,
                        $this->units,
                    ),
                    'to' => FactorWords::value($next->factor, $next->to, $this->units),
                    'why' => $why,
                    'expected' => $expected === null ? ''
                                           : ' ' . Text::of(
                                               'findings.finding_words.the_model_expects_it_to_go',
                                               [
                                                   'how_far' => $expected >= 0.0
                                                       ? Text::of(
                                                           'findings.finding_words.farther',
                                                           ['expected' => $this->distance($expected)],
                                                       )
                                                       : Text::of(
                                                           'findings.finding_words.less_far',
                                                           ['expected' => $this->distance(-$expected)],
                                                       ),
                                               ],
                                           ),
                ],
            ),
        );
    }

    /** @return list<string> the cars behind an effect */
    public function behind(Effect $effect): array
    {
        return array_merge(...array_map(static fn(FairPair $pair): array => [$pair->less->id, $pair->more->id], $effect->pairs));
    }

    /** @return list<string> the cars behind what the page says first */
    public function behindHeadline(): array
    {
        foreach ($this->findings->effects as $effect) {
            if ($this->findings->claims->effect($effect)) {
                return $this->behind($effect);
            }
        }

        return array_map(static fn(ComparedCar $car): string => $car->id, $this->findings->cars);
    }

    /** @return list<array{Sentence, list<string>}> */
    public function outliers(): array
    {
        $said = [];
        foreach ($this->findings->outliers as $car => $odd) {
            foreach ($odd as $outlier) {
                $said[] = [
                    new Sentence(
                        Text::of('findings.finding_words.one_try_of_lies_far_from', ['car' => $this->name($car)]),
                        "{$this->distance($outlier->value)}. " . (
                            $this->findings->counting === Counting::WithoutOutliers
                                ? Text::of('findings.finding_words.it_is_left_out_below')
                                : Text::of('findings.finding_words.it_counts_all_the_same')
                        ),
                        Text::of(
                            'findings.finding_words.studentized_residual_beyond_for_the_scatter',
                            ['t' => number_format($outlier->t, 1), 'critical' => number_format($outlier->critical, 1)],
                        ),
                    ),
                    [(string) $car],
                ];
            }
        }

        return $said;
    }

    /** How the void tries are treated here; null where none has a distance. */
    public function voids(): ?string
    {
        $void = $this->findings->voidMeasured;
        $tries = $void === 1
            ? Text::of('findings.finding_words.one_void_try_was_measured')
            : Text::of('findings.finding_words.void_tries_were_measured', ['void' => $void]);

        return $void === 0
            ? null
            : $tries . (
                $this->findings->counting === Counting::WithVoid
                    ? Text::of('findings.finding_words.and_in_here', ['is' => Text::plural('findings.finding_words.is_are', $void)])
                    : Text::of('findings.finding_words.and_left_out_by_the_rule')
            );
    }

    /** The cars that the class figure leaves out, and why; null where it has all. */
    public function notDrawn(): ?string
    {
        $missing = array_values(
            array_filter($this->findings->cars, fn(ComparedCar $car): bool => $this->findings->ratioOf((int) $car->id) === null),
        );
        $names = Lists::and(array_map(fn(ComparedCar $car): string => $this->name($car->id), $missing), 9);

        return $missing === []
            ? null
            : Text::of(
                'findings.finding_words.not_drawn_would_not_start_at',
                ['names' => $names, 'they' => Text::plural('findings.finding_words.by_the_model_it_by_the', count($missing))],
            );
    }

    public function distance(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }

    /** As in " (12 to 64)"; turned round where less of it went farther. */
    public function interval(?Interval $interval, bool $more): string
    {
        if ($interval === null) {
            return '';
        }
        [$low, $high] = $more ? [$interval->low, $interval->high] : [-$interval->high, -$interval->low];
        $figure = fn(float $metres): string => str_replace('-', '−', $this->units->figure($metres, Scale::Distance));

        return ' ' . Text::of('findings.finding_words.to', ['low' => $figure($low), 'high' => $figure($high)]);
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\FactorWords;
use App\Language\Label;
use App\Language\Lists;
use App\Language\Moment;
use App\Language\Sentence;
use App\Language\Text;
use App\Models\Car;
use App\Models\Group;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use App\Record\Counting;
use Illuminate\Support\Str;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Alike;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Dose;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Known;
use Skivo\Core\Findings\LikeCars;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Findings\Work;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** What a class found out, in words first; every claim with the cars behind it. */
final readonly class FindingWords
{
    private UnitSystem $units;

    private Findings $found;

    /** @var array<int, array{Group, Car}> by the id of the car */
    public array $cars;

    public function __construct(private ClassRecord $record, private ClassFindings $findings)
    {
        $this->found = $findings->found;
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

    /**
     * Whether a medium fill takes a car farthest: only where the top lies inside what was tried, at the level that all such claims share.
     */
    public function dose(Dose $dose): string
    {
        $isTurns = $dose->of === CarAttribute::TurnsWound;
        $show = fn(float $best): string => $isTurns ? (string) round($best) : $this->units->show($best, Scale::Body);
        $said = $dose->best === null || $dose->interval === null
            ? Text::of(
                $isTurns ? 'findings.dose.cant_tell_turns' : 'findings.dose.cant_tell',
                ['car' => $this->name($dose->car), 'tries' => count($dose->points)],
            )
            : Text::of($isTurns ? 'findings.dose.best_turns' : 'findings.dose.best', [
                'car' => $this->name($dose->car), 'best' => $show($dose->best), 'low' => $show($dose->interval->low),
                'high' => $show($dose->interval->high),
            ]);
        $spins = $isTurns ? $this->spinsFrom($dose) : null;

        return $spins === null ? $said : "{$said} " . Text::of('findings.dose.spins_from', ['turns' => $spins]);
    }

    /** From how many turns on the model has its wheels spin; null where they hold with all that were tried. */
    private function spinsFrom(Dose $dose): ?int
    {
        $forces = $this->found->forecast->forces[$dose->car] ?? null;
        if ($forces === null || !$forces->model->source()->winds()) {
            return null;
        }
        try {
            $turns = $forces->model->settings->elasticDesign()->wound(max(array_column($dose->points, 0)))->turnsThatHold();
        } catch (OutOfRangeException) {
            return null;
        }

        return $turns === null ? null : (int) ceil($turns);
    }

    /** What the page says first. */
    public function headline(): Sentence
    {
        $cars = count($this->found->cars);
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
        if ($this->found->question !== null) {
            return $this->answer($this->found->question);
        }
        $told = array_values(array_filter($this->found->effects, $this->isTold(...)));

        return $told === []
            ? new Sentence(Text::of('findings.finding_words.nothing_is_clear_yet'), Text::of('findings.finding_words.no_choice_stands_out'))
            : $this->effect($told[0]);
    }

    /** The answer to the class's question, with its size. */
    private function answer(Question $question): Sentence
    {
        $answer = $this->found->answer ?? Answer::CannotTell;
        $agrees = $answer->agrees($question->direction());
        $word = match (true) {
            $answer === Answer::HardlyMatters => 'hardly',
            $agrees === true => 'yes',
            $agrees === false => 'other',
            default => 'cannot',
        };

        return new Sentence(
            Text::of("findings.answer.{$word}"),
            $this->found->asked === null ? $this->whyNot($question) : $this->size($this->found->asked),
            $this->record->challenge->asks_changed_at === null
                ? ''
                : Text::of('findings.answer.the_question_was_changed', ['day' => Moment::day($this->record->challenge->asks_changed_at)]),
        );
    }

    /** Why no car speaks of the question. */
    private function whyNot(Question $question): string
    {
        if ($this->found->unrecorded !== []) {
            return Text::of('findings.answer.nobody_recorded', [
                'what' => Lists::and(array_map(static fn(CarAttribute $each): string => Label::of($each), $this->found->unrecorded), 9),
            ]);
        }
        foreach ($this->found->confounded as $pair) {
            $other = $pair->besides($question->attribute);
            if ($other !== null) {
                return ucfirst(Text::of(
                    'findings.finding_words.and_change_together',
                    ['one' => Label::of($question->attribute), 'other' => Label::of($other)],
                ));
            }
        }

        return Text::of('findings.answer.no_cars_are_alike_but_for', ['factor' => Label::of($question->attribute)]);
    }

    /** As in "With 8 mm instead of 6 mm a car goes about 54 cm farther, somewhere between 33 cm and 75 cm." */
    public function size(Effect $effect): string
    {
        $values = ['more' => $this->value($effect, true), 'less' => $this->value($effect, false)];
        $outcome = $effect->outcome->value;
        $interval = $effect->interval;
        if ($interval?->contains(0.0) === true) {
            return Text::of("findings.effect.{$outcome}.open", $values + [
                'low' => $this->amount($effect, -$interval->low), 'high' => $this->amount($effect, $interval->high),
            ]);
        }
        $isMore = $effect->mean >= 0.0;
        $does = $isMore ? 'more' : 'less';

        return Text::of("findings.effect.{$outcome}.{$does}", $values + [
            'by' => $this->amount($effect, abs($effect->mean)),
            'interval' => $interval === null ? '' : Text::of('findings.effect.between', [
                'low' => $this->amount($effect, $isMore ? $interval->low : -$interval->high),
                'high' => $this->amount($effect, $isMore ? $interval->high : -$interval->low),
            ]),
        ]);
    }

    private function value(Effect $effect, bool $most): string
    {
        return $effect->from === null
            ? FactorWords::value($effect->factor, $most ? $effect->most : $effect->least, $this->units)
            : FactorWords::value($effect->factor, (string) ($most ? $effect->to : $effect->from), $this->units);
    }

    private function amount(Effect $effect, float $si): string
    {
        return $this->units->show($si, $effect->outcome->scale());
    }

    /** As in "A wider bore goes farther. With 8 mm instead of 6 mm …". */
    public function effect(Effect $effect): Sentence
    {
        $verdict = $this->found->claims->verdict($effect);
        $outcome = $effect->outcome->value;
        $isMore = $effect->mean >= 0.0;
        // Of a number more of it is spoken of; of two kinds the one of which there is more to say.
        $isOfKinds = $effect->from !== null;
        $what = $isOfKinds
            ? FactorWords::value($effect->factor, (string) ($isMore ? $effect->to : $effect->from), $this->units)
            : FactorWords::one($effect->factor, true);
        $does = $isOfKinds ? 'kind' : ($isMore ? 'more' : 'less');
        $lead = match ($verdict) {
            Answer::More,
            Answer::Less => Text::of("findings.effect.{$outcome}.does_{$does}", ['what' => $isOfKinds ? $what : Str::ucfirst($what)]),
            Answer::Hint => Text::of("findings.effect.{$outcome}.may_do_{$does}", ['what' => $what]),
            Answer::HardlyMatters => Text::of("findings.effect.{$outcome}.hardly", ['factor' => Label::title($effect->factor)]),
            Answer::CannotTell => Text::of(
                $effect->isPooled() ? "findings.effect.{$outcome}.cannot" : 'findings.effect.two_cars_alone',
                ['factor' => Label::title($effect->factor)],
            ),
        };

        return new Sentence($lead, $this->size($effect));
    }

    /** @return list<array{Sentence, list<string>}> what like cars say of distances, with the cars behind it */
    public function effects(): array
    {
        return array_map(
            fn(Effect $effect): array => [$this->effect($effect), $effect->cars()],
            array_values(array_filter($this->found->effects, fn(Effect $effect): bool => $effect->outcome === Outcome::Distance)),
        );
    }

    /** What changes together with it over the class. */
    public function alongWith(ChoiceReading $choice): string
    {
        return Text::of('findings.choices.over_the_class_it_changes_together', [
            'others' => Lists::and(array_map(static fn(CarAttribute $each): string => Label::of($each), $choice->alongWith)),
        ]);
    }

    private function isTold(Effect $effect): bool
    {
        return in_array($this->found->claims->verdict($effect), [Answer::More, Answer::Less, Answer::HardlyMatters], true);
    }

    /** What the model says of the effect, for this class's cars; null where it has no opinion. */
    public function why(Effect $effect): ?string
    {
        foreach ($this->found->rulings as $ruling) {
            if ($ruling->belief->factor() === $effect->factor && $ruling->modelSays !== null && $effect->outcome === Outcome::Distance) {
                $schools = new BeliefWords($this->record, $this->findings, $this);
                $what = Label::of($ruling->belief, $ruling->modelSays > 0 ? 'claim' : 'otherwise');

                return $ruling->modelSays === 0
                    ? $schools->reason($ruling, $schools->regime())
                    : Text::of('findings.answer.by_the_model', ['what' => lcfirst($what)]) . $schools->forSuchCars($schools->regime());
            }
        }

        return null;
    }

    /** Which cars speak, and who rebuilt theirs. */
    public function howWeKnow(Effect $effect): string
    {
        $rebuilt = $effect->rebuilt();
        $ran = array_filter($effect->sets, static fn(LikeCars $set): bool => $set->group === null);
        $who = $ran === [] ? 'groups_rebuilt' : 'groups_ran_cars_that_are_alike';
        $said = [Text::of("findings.answer.{$who}", [
            'groups' => Text::plural('findings.answer.count_groups', $effect->groups()), 'factor' => Label::of($effect->factor),
        ])];
        foreach (array_slice($rebuilt, 0, 3) as [$less, $more]) {
            $difference = $more->y - $less->y;
            [$group] = $this->cars[(int) $more->car->id] ?? [null];
            $did = $effect->outcome->value . ($effect->to === null ? '_rebuilt' : '_kind') . ($difference >= 0.0 ? '_more' : '_less');
            $said[] = Text::of("findings.answer.{$did}", [
                'group' => $group->name ?? Text::of('findings.a_car'),
                'factor' => Label::of($effect->factor),
                'to' => $effect->to === null ? '' : FactorWords::value($effect->factor, $effect->to, $this->units),
                'by' => $this->amount($effect, abs($difference)),
            ]);
        }
        if (count($rebuilt) > 3) {
            $said[] = Text::plural('findings.answer.more_rebuilt', count($rebuilt) - 3);
        }
        foreach ($effect->sets as $set) {
            if (array_filter($set->cars, static fn(Alike $each): bool => $each->error > 0.0) !== []) {
                $said[] = Text::of('findings.answer.what_else_differed');
                break;
            }
        }
        if ($effect->left !== []) {
            $said[] = Text::of('findings.answer.left_out', [
                'cars' => Lists::and(array_map(fn(ComparedCar $car): string => $this->name($car->id), $effect->left), 4),
            ]);
        }

        return implode(' ', $said);
    }

    /** The choices that every class makes and that no like cars here speak of; null where there is none. */
    public function notJudged(): ?Sentence
    {
        $judged = array_map(static fn(Effect $effect): CarAttribute => $effect->factor, $this->found->effects);
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
                    array_map(static fn(ComparedCar $car): string => (string) $car->choices->explanation($factor), $this->found->cars),
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
        foreach (array_slice($this->found->confounded, 0, 4) as $pair) {
            $said[] = new Sentence(
                Text::of('findings.finding_words.and', ['one' => Label::title($pair->one), 'other' => Label::of($pair->other)]),
                Text::of('findings.finding_words.go_along_with_each_other_of', ['share' => number_format(100 * $pair->share)]),
            );
        }

        return $said;
    }

    public function severalFactors(): ?Sentence
    {
        $several = $this->found->several;
        if (count($several->factors) < 2) {
            return null;
        }
        $names = Lists::and(array_map(static fn(CarAttribute $factor): string => Label::of($factor), $several->factors), 9);
        if ($several->isSeparable()) {
            $clear = [];
            foreach ($several->factors as $index => $factor) {
                if ($this->found->claims->slope($factor)) {
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
        $next = $this->found->next;
        if ($next === null) {
            return null;
        }
        $expected = $this->found->nextExpectedM;
        $why = $next->confoundedWith === null
            ? Text::of('findings.finding_words.no_like_cars_settle_yet', ['factor' => Label::of($next->factor)])
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
                    'shows' => $next->showsM === null ? '' : ' ' . Text::of(
                        'findings.finding_words.after_that_will_show',
                        ['by' => $this->distance($next->showsM)],
                    ),
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

    /** @return list<string> the cars behind what the page says first */
    public function behindHeadline(): array
    {
        $told = $this->found->question === null
            ? array_values(array_filter($this->found->effects, $this->isTold(...)))
            : [$this->found->asked];

        return ($told[0] ?? null)?->cars() ?? array_map(static fn(ComparedCar $car): string => $car->id, $this->found->cars);
    }

    /** @return list<array{Sentence, list<string>}> */
    public function outliers(): array
    {
        $said = [];
        foreach ($this->found->outliers as $car => $odd) {
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

    /** As in "push 330 mN · held back by 81 mN". */
    public function forces(Work $work): string
    {
        return Text::of(
            'findings.work.push_and_hold',
            ['push' => self::millinewtons($work->pushN), 'hold' => self::millinewtons($work->holdN)],
        );
    }

    /** The two blocks of a car, for who can't see them. */
    public function work(Work $work): string
    {
        return Text::of('findings.work.pushed_over_and_held_back_over', [
            'push' => self::millinewtons($work->pushN),
            'stretch' => $this->distance($work->stretchM),
            'hold' => self::millinewtons($work->holdN),
            'distance' => $this->distance($work->distanceM),
        ]);
    }

    /** The same in few words and without forces, for a class that does not know them yet. */
    public function workInShort(Work $work): string
    {
        return Text::of("findings.work.in_short.{$work->source->key()}", [
            'stretch' => $this->distance($work->stretchM), 'distance' => $this->distance($work->distanceM),
        ]);
    }

    /**
     * Which edge of the blocks was worked out from the other three.
     *
     * @param array<array-key, Work>|null $works of the drawn cars; null for all of the class
     */
    public function workedOut(?array $works = null): string
    {
        $edges = array_count_values(array_map(
            static fn(Work $work): string => $work->push === Known::WorkedOut ? 'push' : 'hold',
            array_values($works ?? $this->found->works),
        ));

        $edge = match (true) {
            !isset($edges['push']) => 'hold_is_worked_out',
            !isset($edges['hold']) => 'push_is_worked_out',
            default => 'either_is_worked_out',
        };

        return Text::of("findings.work.{$edge}");
    }

    private static function millinewtons(float $newtons): string
    {
        return number_format(1000 * $newtons);
    }

    public function distance(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }
}

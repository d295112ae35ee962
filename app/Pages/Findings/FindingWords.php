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
use App\Models\Run;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use App\Record\Counting;
use App\Record\TestTime;
use Illuminate\Support\Str;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\AllowedFor;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Change;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Dose;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Known;
use Skivo\Core\Findings\NextTest;
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
            $answer === Answer::LooksMore, $answer === Answer::LooksLess => 'looks',
            default => 'cannot',
        };

        return new Sentence(
            $this->which($answer, $question) ?? Text::of("findings.answer.{$word}"),
            $this->found->asked === null ? Text::of('findings.answer.no_two_cars_differ', ['factor' => Label::of($question->attribute)])
                : implode(
                    ' ',
                    array_filter(
                        [$this->which($answer, $question), $this->size($this->found->asked), $this->restsOn($this->found->asked, $answer)],
                    ),
                ),
            $this->record->challenge->asks_changed_at === null
                ? ''
                : Text::of('findings.answer.the_question_was_changed', ['day' => Moment::day($this->record->challenge->asks_changed_at)]),
        );
    }

    /** Of two kinds the answer names the one that does more; null of a number, and where nothing is told. */
    private function which(Answer $answer, Question $question): ?string
    {
        $kind = match (true) {
            $question->from === null => null,
            $answer === Answer::More => $question->to,
            $answer === Answer::Less => $question->from,
            default => null,
        };

        return $kind === null ? null : Text::of("findings.effect.{$question->outcome->value}.does_kind", [
            'what' => FactorWords::value($question->attribute, $kind, $this->units),
        ]);
    }

    /** What changed together with it: was allowed for by the run model, or could be it instead. */
    private function restsOn(Effect $effect, Answer $answer): ?string
    {
        $together = array_map(static fn(AllowedFor $each): string => FactorWords::beside($each->attribute), $effect->together());
        if ($together === [] || !$effect->isPooled()) {
            return null;
        }
        $which = match (true) {
            $answer->isTold() => 'rests_on_the_model',
            $answer === Answer::LooksMore, $answer === Answer::LooksLess => 'may_be_that_instead',
            default => 'changed_along',
        };

        return Str::ucfirst(
            Text::of("findings.answer.{$which}", ['others' => Lists::and($together, 4), 'factor' => Label::of($effect->factor)]),
        );
    }

    /**
     * As in "Of the 385 cm between the cars with 30 mm and those with 120 mm, the wheel diameter makes about 300 cm …"; null where that
     * can't be said.
     */
    public function shares(Effect $effect): ?string
    {
        $shares = $effect->shares();
        if ($shares === null || !$this->found->claims->verdict($effect)->isTold()) {
            return null;
        }
        $parts = [[Label::of($effect->factor), $shares->own]];
        foreach ($shares->others as $each) {
            $parts[] = [FactorWords::beside($each->attribute), $each->makes];
        }

        $hands = $this->amount($effect, abs($shares->hands));
        $how = match (true) {
            $hands === $this->amount($effect, 0.0) => 'said_exactly',
            $shares->hands > 0.0 => 'said',
            default => 'said_against',
        };

        return Text::of("findings.shares.{$how}", [
            'total' => $this->amount($effect, abs($shares->total())),
            'least' => $this->value($effect, false), 'most' => $this->value($effect, true),
            'parts' => Lists::and(array_map(fn(array $part): string => Text::of(
                $part[1] >= 0.0 ? 'findings.shares.makes' : 'findings.shares.takes',
                ['what' => $part[0], 'by' => $this->amount($effect, abs($part[1]))],
            ), $parts), 9),
            'hands' => $hands,
        ]);
    }

    /** As in "With 8 mm instead of 6 mm a car goes about 54 cm farther, somewhere between 33 cm and 75 cm." */
    public function size(Effect $effect): string
    {
        $values = ['more' => $this->value($effect, true), 'less' => $this->value($effect, false)];
        $outcome = $effect->outcome->value;
        $interval = $effect->interval;
        if ($interval === null) {
            return $effect->groups() > 2 && $effect->hangsOnOneGroup()
                ? Text::of('findings.effect.one_group_alone')
                : Text::plural('findings.effect.too_few', $effect->groups());
        }
        if ($interval->contains(0.0)) {
            return Text::of("findings.effect.{$outcome}.open", $values + [
                'low' => $this->amount($effect, -$interval->low), 'high' => $this->amount($effect, $interval->high),
            ]);
        }
        $isMore = $effect->mean >= 0.0;
        $does = $isMore ? 'more' : 'less';

        return Text::of("findings.effect.{$outcome}.{$does}", $values + [
            'by' => $this->amount($effect, abs($effect->mean)),
            'interval' => Text::of('findings.effect.between', [
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
            Answer::LooksMore,
            Answer::LooksLess,
            Answer::Hint => Text::of("findings.effect.{$outcome}.may_do_{$does}", ['what' => $what]),
            Answer::HardlyMatters => Text::of("findings.effect.{$outcome}.hardly", ['factor' => Label::title($effect->factor)]),
            Answer::CannotTell => Text::of(
                $effect->isPooled() ? "findings.effect.{$outcome}.cannot" : 'findings.effect.too_few_groups',
                ['factor' => Label::title($effect->factor)],
            ),
        };

        // What does not hold among all that was looked at has a direction, and no size that anybody should repeat.
        return new Sentence($lead, $verdict === Answer::Hint ? Text::of('findings.effect.too_little_for_a_size') : $this->size($effect));
    }

    /** @return list<array{Sentence, list<string>}> what the class says of distances, with the cars behind it */
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

    /** @return list<Sentence> what can be said of distances beside the class's question */
    public function toldBeside(): array
    {
        return array_map(
            fn(Effect $effect): Sentence => $this->effect($effect),
            array_values(array_filter($this->found->effects, fn(Effect $effect): bool => $effect->outcome === Outcome::Distance
                && $effect !== $this->found->asked
                && $this->isTold($effect))),
        );
    }

    private function isTold(Effect $effect): bool
    {
        return $this->found->claims->verdict($effect)->isTold();
    }

    /** Why, by the model, where the class has an answer; where model and class differ, that; null where the model has no opinion. */
    public function why(Effect $effect): ?string
    {
        foreach ($this->found->rulings as $ruling) {
            if (
                $ruling->belief->factor() !== $effect->factor || $ruling->modelSays === null || $ruling->isSupported === null
                || $effect->outcome !== Outcome::Distance
            ) {
                continue;
            }
            $schools = new BeliefWords($this->record, $this->findings, $this);
            if ($ruling->modelSays === 0) {
                return $schools->reason($ruling, $schools->regime());
            }
            $what = Label::of($ruling->belief, $ruling->modelSays > 0 ? 'claim' : 'otherwise');
            $agrees = ($ruling->modelSays > 0) === $ruling->isSupported;

            return Text::of($agrees ? 'findings.answer.by_the_model' : 'findings.answer.the_model_differs', ['what' => lcfirst($what)])
                . $schools->forSuchCars($schools->regime());
        }

        return null;
    }

    /** Which cars speak, and who rebuilt theirs. */
    public function howWeKnow(Effect $effect): string
    {
        $rebuilt = $effect->rebuilt();
        $said = [Text::of(count($rebuilt) === $effect->groups() ? 'findings.answer.groups_rebuilt' : 'findings.answer.groups_ran', [
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
        $others = array_map(static fn(AllowedFor $each): string => FactorWords::beside($each->attribute), $effect->allowed);
        if ($others !== []) {
            $said[] = Text::of('findings.answer.what_else_differed', ['others' => Lists::and($others, 4)]);
        }
        if ($effect->left !== []) {
            $said[] = Text::of('findings.answer.left_out', [
                'cars' => Lists::and(array_map(fn(ComparedCar $car): string => $this->name($car->id), $effect->left), 4),
            ]);
        }

        return implode(' ', $said);
    }

    public function nextTest(): ?Sentence
    {
        $next = $this->found->next;
        if ($next === null) {
            return null;
        }
        $changes = array_map(fn(Change $change): string => Text::of('findings.next.change', [
            'group' => $this->name($change->car->id),
            'from' => FactorWords::value($next->factor, $change->from, $this->units),
            'to' => FactorWords::value($next->factor, $change->to, $this->units),
        ]), $next->changes);

        return new Sentence(
            Text::plural('findings.next.lead', count($changes), ['factor' => Label::of($next->factor)]),
            Text::of('findings.next.rest', [
                'changes' => Lists::and($changes, 9),
                'expected' => $this->distance(abs($next->expectsM)),
                'does' => Text::of($next->expectsM >= 0.0 ? 'findings.next.farther' : 'findings.next.less_far'),
                'shows' => $this->distance($next->showsM),
            ]) . ' ' . $this->timeOf($next),
        );
    }

    /** How long the next test takes, and whether the session has that long. */
    private function timeOf(NextTest $next): string
    {
        $time = TestTime::of($this->record, $next);
        $minutes = static fn(float $min): int => (int) (5 * ceil($min / 5));
        if ($time->leftMin === null) {
            return Text::of('findings.next.takes', ['minutes' => $minutes($time->takesMin)]);
        }

        return Text::of($time->fits() ? 'findings.next.fits' : 'findings.next.does_not_fit', [
            'minutes' => $minutes($time->takesMin), 'left' => (int) floor($time->leftMin),
        ]);
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
                        ) . ' ' . $this->reasonOf((int) $car, $outlier->index),
                    ),
                    [(string) $car],
                ];
            }
        }

        return $said;
    }

    /** What somebody wrote beside a try that lies far from the others of its car, or else that they should. */
    private function reasonOf(int $car, int $index): string
    {
        [, $model] = $this->cars[$car] ?? [null, null];
        $id = $model === null ? null : $this->record->tries($model)->counted[$index]->id ?? null;
        $note = $id === null ? null : Run::query()->whereKey($id)->value('note');

        return is_string($note) && $note !== ''
            ? Text::of('findings.finding_words.somebody_wrote', ['note' => $note])
            : Text::of('findings.finding_words.what_happened');
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

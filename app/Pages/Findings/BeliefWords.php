<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Label;
use App\Language\Lists;
use App\Language\Sentence;
use App\Language\Text;
use App\Models\Group;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Simulation\Regime;

/** Which school was right in a class, in words. */
final readonly class BeliefWords
{
    /** Where people differ, and no distance can tell who is right. */
    public const OPEN = ['bearing', 'straws', 'decoration', 'points', 'tube', 'measured', 'many'];

    public function __construct(private ClassRecord $record, private ClassFindings $findings, private FindingWords $words) {}

    /** The verdict on a school, as one word or three. */
    public function verdict(Ruling $ruling): string
    {
        return match ($ruling->isSupported) {
            true => Text::of('findings.belief_words.supported_here'),
            false => Text::of('findings.belief_words.not_supported_here'),
            null => Text::of($ruling->answer === Answer::Hint ? 'findings.belief_words.a_hint' : 'findings.belief_words.cant_tell'),
        };
    }

    /** What some say, of the outcome that it is said of. */
    public function claim(Ruling $ruling): string
    {
        return Label::of(
            $ruling->belief,
            $ruling->outcome === $ruling->belief->outcomes()[0] ? 'claim' : "{$ruling->outcome->value}_claim",
        );
    }

    /** The data behind it, or what is missing. */
    public function evidence(Ruling $ruling): string
    {
        $effect = $ruling->effect;
        $factor = $ruling->belief->factor();

        return match (true) {
            $effect !== null => $this->words->size($effect),
            !$ruling->varies => Text::of('findings.belief_words.every_car_here_has_the_same', ['factor' => Label::of($factor)]),
            default => Text::of('findings.belief_words.no_two_cars_compare'),
        };
    }

    /** What would let the class tell. */
    public function missing(Ruling $ruling): string
    {
        return Text::of($ruling->varies ? 'findings.belief_words.two_groups_rebuild' : 'findings.belief_words.cars_that_differ', [
            'factor' => Label::of($ruling->belief->factor()),
        ]);
    }

    /** What the model has to say of it, for a typical car of this class. */
    public function reason(Ruling $ruling, ?Regime $regime): string
    {
        $said = match ($ruling->modelSays) {
            1 => Text::of('findings.belief_words.the_model_agrees'),
            -1 => Text::of('findings.belief_words.the_model_would_have_it_the'),
            0 => Text::of('findings.belief_words.the_model_has_it_make_no'),
            null => null,
        };

        return $said === null ? Text::of('findings.belief_words.the_model_has_no_opinion') : $said . $this->forSuchCars($regime);
    }

    /** As in " for a car that spends its push on friction.". */
    public function forSuchCars(?Regime $regime): string
    {
        return match ($regime) {
            Regime::Rolling => ' ' . Text::of('findings.belief_words.for_a_car_that_spends_its'),
            Regime::Air => ' ' . Text::of('findings.belief_words.for_a_car_that_spends_its_2'),
            Regime::Both => ' ' . Text::of('findings.belief_words.for_a_car_that_spends_its_3'),
            default => '.',
        };
    }

    /** What the typical car here spends its push on. */
    public function regime(): ?Regime
    {
        $work = $this->findings->found->works[$this->findings->found->typical ?? ''] ?? null;

        return $work === null ? null : Regime::of($work->energy);
    }

    /** Whether it matters here how tries count: who comes first by the best, the mean and the median. */
    public function scoringVerdict(): Sentence
    {
        $names = $this->record->groups->mapWithKeys(static fn(Group $group): array => [$group->id => $group->name]);
        $first = [];
        foreach (Scoring::cases() as $scoring) {
            $places = $this->record->standingsFor($this->record->challenge->mainAward(), $scoring)->places;
            $first[$scoring->value] = Lists::and(array_values(array_map(
                static fn(Standing $place): string => $names[(int) $place->entrant->id] ?? '',
                array_filter($places, static fn(Standing $place): bool => $place->rank === 1),
            )));
        }

        return match (true) {
            $first['mean'] === '' => new Sentence(
                Text::of('findings.belief_words.cant_tell'),
                Text::of('findings.belief_words.no_try_counts_yet'),
            ),
            count(array_unique($first)) === 1 => new Sentence(
                Text::of('findings.belief_words.makes_no_difference'),
                Text::of('findings.belief_words.comes_first_by_each_of_them', ['first' => $first['mean']]),
            ),
            default => new Sentence(
                Text::of('findings.belief_words.makes_a_difference'),
                Text::of(
                    'findings.belief_words.by_the_best_by_the_mean',
                    ['best' => $first['best'], 'mean' => $first['mean'], 'median' => $first['median']],
                ),
            ),
        };
    }
}

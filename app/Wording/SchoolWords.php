<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Group;
use App\Reading\ClassFindings;
use App\Reading\ClassRecord;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Simulation\Regime;

/** Which school was right in a class, in words. */
final readonly class SchoolWords
{
    public function __construct(private ClassRecord $record, private ClassFindings $findings, private FindingWords $words) {}

    /** The verdict on a school, as one word or three. */
    public function verdict(Ruling $ruling): string
    {
        return match ($ruling->isSupported) {
            true => 'supported here',
            false => 'not supported here',
            null => 'can’t tell',
        };
    }

    /** The data behind it, or what is missing. */
    public function evidence(Ruling $ruling): string
    {
        $effect = $ruling->effect;
        $factor = $ruling->school->factor();

        return match (true) {
            $ruling->isSupported !== null && $ruling->byRegression => 'By the regression over all cars, not by fair pairs.',
            $effect !== null && $effect->isPooled() => ($effect->mean >= 0.0 ? $effect->ahead : count($effect->pairs) - $effect->ahead) . ' of ' . count($effect->pairs) . " fair pairs, by {$this->words->distance(abs($effect->mean))}{$this->words->interval($effect->interval, $effect->mean >= 0.0)}.",
            $effect !== null => 'One fair pair only.',
            !$ruling->varies => "Every car here has the same {$factor->label()}, or it is not on record.",
            $ruling->confoundedWith !== null => "No fair pair, and {$factor->label()} goes along with {$ruling->confoundedWith->label()}.",
            default => 'No fair pair: no two cars differ in this alone.',
        };
    }

    /** What the model has to say of it, for a typical car of this class. */
    public function reason(Ruling $ruling, ?Regime $regime): string
    {
        $said = match ($ruling->modelSays) {
            1 => 'The model agrees',
            -1 => 'The model would have it the other way round',
            0 => 'The model has it make no difference',
            null => null,
        };

        return $said === null ? 'The model has no opinion.' : $said . match ($regime) {
            Regime::Rolling => ' for a car that spends its push on friction.',
            Regime::Air => ' for a car that spends its push on the air.',
            Regime::Both => ' for a car that spends its push on friction and air alike.',
            default => '.',
        };
    }

    /** What the typical car here spends its push on. */
    public function regime(): ?Regime
    {
        return $this->findings->typical === null ? null : Regime::of($this->findings->energies[$this->findings->typical]);
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
            $first['mean'] === '' => new Sentence('can’t tell', 'No try counts yet.'),
            count(array_unique($first)) === 1 => new Sentence('makes no difference', "{$first['mean']} comes first by each of them."),
            default => new Sentence('makes a difference', "By the best {$first['best']}, by the mean {$first['mean']}, by the median {$first['median']}."),
        };
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;

/** The runs of a whole class, sorted by the rule of its challenge: how far a run past the end went is judged by the class's own scatter. */
final readonly class ClassTries
{
    /**
     * @template K of array-key
     *
     * @param array<K, list<Run>> $runs of each car, in the order in which they were made
     * @param \Closure(list<Run>, float|null): Tries $count by the rule, with the scatter of one try over how far a car goes where the class shows it
     *
     * @return array<K, Tries>
     */
    public static function of(array $runs, \Closure $count): array
    {
        $tries = array_map(static fn(array $own): Tries => $count($own, null), $runs);
        $stopped = array_filter(array_map(
            static fn(Tries $each): ?Sample => $each->passedTheEnd() ? null : $each->distances(),
            $tries,
        ), static fn(?Sample $sample): bool => $sample !== null);
        $scatter = ModeratedScatter::of($stopped, Goal::Farthest->resolution());
        if ($scatter === null) {
            return $tries;
        }
        foreach ($tries as $car => $each) {
            if ($each->passedTheEnd()) {
                $tries[$car] = $count($runs[$car], sqrt($scatter->priorVariance));
            }
        }

        return $tries;
    }
}

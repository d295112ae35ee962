<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;

/** A goal with the length on the lane that it needs. */
final readonly class Award
{
    /** @param float|null $lengthM where the mark is, how far a load must be carried, or what is timed; null where the goal needs none */
    public function __construct(
        public Goal $goal,
        public ?float $lengthM = null,
    ) {}

    /**
     * How tries scatter in what the goal asks for, by all cars together.
     *
     * @param array<array-key, Tries> $tries of each car
     *
     * @return ModeratedScatter|null null where no car has two tries
     */
    public function scatter(array $tries): ?ModeratedScatter
    {
        $samples = array_filter(array_map($this->measure(...), $tries), static fn(?Sample $sample): bool => $sample !== null);

        return ModeratedScatter::of($samples, $this->goal->resolution(), $this->goal->scattersInProportion());
    }

    /**
     * What the counted tries show of the goal, in the unit of Goal::scale(); null where none has it yet.
     *
     * Straightness is the drift over the distance, since a car that stops early has had less way to stray.
     * A load counts where the car carried it at least as far as the length.
     */
    public function measure(Tries $tries): ?Sample
    {
        return match ($this->goal) {
            Goal::Farthest => $tries->distances(),
            Goal::Fastest => $tries->times($this->lengthM),
            Goal::Straightest => $tries->each(
                static fn(Run $run): ?float => $run->driftM === null
                    || ($run->distanceM ?? 0.0) <= 0.0 ? null : abs($run->driftM) / $run->distanceM,
            ),
            Goal::NearestMark => $tries->each(
                fn(Run $run): ?float => $run->distanceM === null ? null : abs($run->distanceM - ($this->lengthM ?? 0.0)),
            ),
            Goal::HeaviestLoad => $tries->each(
                fn(Run $run): ?float => $run->loadKg === null || ($run->distanceM ?? 0.0) < ($this->lengthM ?? 0.0) ? null : $run->loadKg,
            ),
        };
    }
}

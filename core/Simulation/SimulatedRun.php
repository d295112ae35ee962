<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** What the model says a design does, whatever drives it. SI throughout. */
readonly class SimulatedRun
{
    /**
     * @param bool $moves whether the car starts at all
     * @param Moment|null $driveEnd where the car was when its balloon went limp or its band came off; null where it stopped first,
     *     did not start, or nothing drove it
     * @param list<Moment> $trajectory from start to stop; empty unless asked for
     */
    public function __construct(
        public bool $moves,
        public float $distanceM,
        public float $stopTimeS,
        public float $peakSpeedMS,
        public ?Moment $driveEnd,
        public EnergyLedger $energy,
        public array $trajectory = [],
    ) {}

    /**
     * When it passed a place (s), the acceleration between two moments taken as steady.
     *
     * @return float|null null where it never came so far, or the trajectory was not asked for
     */
    public function timeAt(float $placeM): ?float
    {
        $before = null;
        foreach ($this->trajectory as $moment) {
            if ($moment->distanceM >= $placeM && $before !== null) {
                $gap = $placeM - $before->distanceM;
                $duration = $moment->timeS - $before->timeS;
                $acceleration = $duration > 0.0 ? ($moment->speedMS - $before->speedMS) / $duration : 0.0;
                $root = sqrt(max(0.0, $before->speedMS ** 2 + 2.0 * $acceleration * $gap));
                $needed = $before->speedMS + $root;

                return $before->timeS + ($needed > 0.0 ? 2.0 * $gap / $needed : $duration);
            }
            $before = $moment;
        }

        return null;
    }
}

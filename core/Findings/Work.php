<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Simulation\EnergyLedger;

/**
 * Why a car stopped where it did: what pushed it, over the stretch on which its balloon blew or its band pulled, is what rolling,
 * drag and the air that left took back over the whole way, so push · stretch = hold · distance. Of the four, one is worked out
 * from the other three. What a ramp gave counts with the push: alone, it is drawn over the length of the ramp.
 */
final readonly class Work
{
    /**
     * @param float $pushN mean thrust over the stretch, along the way
     * @param float $stretchM on which the balloon blew or the band pulled
     * @param float $holdN mean of what held it back, over the way
     * @param float $distanceM mean of its counted tries; of the forecast where none counts
     * @param Known $push how that is known
     * @param Known $stretch likewise
     * @param Known $hold likewise
     * @param Known $distance likewise
     * @param EnergyLedger $energy by the run model, at the car's own friction and pressure
     */
    private function __construct(
        public float $pushN,
        public float $stretchM,
        public float $holdN,
        public float $distanceM,
        public Known $push,
        public Known $stretch,
        public Known $hold,
        public Known $distance,
        public EnergyLedger $energy,
        public EnergySource $source,
    ) {}

    /**
     * @param float $modelDistanceM that the run model has at the car's own friction and pressure, above zero
     * @param float $modelStretchM likewise
     * @param float|null $measuredM mean of its counted tries; null where none counts
     * @param float|null $limpM where its balloon went limp or its band came off; null where that was not marked
     * @param bool $isThrustMeasured on the bench
     * @param bool $isFrictionMeasured likewise
     */
    public static function of(
        EnergyLedger $energy,
        float $modelDistanceM,
        float $modelStretchM,
        ?float $measuredM,
        ?float $limpM,
        bool $isThrustMeasured,
        bool $isFrictionMeasured,
        EnergySource $source = EnergySource::Balloon,
    ): self {
        $distance = $measuredM ?? $modelDistanceM;
        $stretch = min($distance, $limpM ?? $modelStretchM);
        $push = ($energy->push + $energy->start - $energy->slip - $energy->end) / $modelStretchM;
        $hold = $energy->moved() / $modelDistanceM;
        // What was measured on the bench stands; what only the model says gives way.
        $isPushWorkedOut = $isFrictionMeasured && !$isThrustMeasured;

        return new self(
            $isPushWorkedOut ? $hold * $distance / $stretch : $push,
            $stretch,
            $isPushWorkedOut ? $hold : $push * $stretch / $distance,
            $distance,
            $isPushWorkedOut ? Known::WorkedOut : ($isThrustMeasured ? Known::Measured : Known::Predicted),
            $limpM === null ? Known::Predicted : Known::Measured,
            $isPushWorkedOut ? Known::Measured : Known::WorkedOut,
            $measuredM === null ? Known::Predicted : Known::Measured,
            $energy,
            $source,
        );
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\State;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Statistics\Normal;

/**
 * What was put into a car before a try, and how much of it moved the car: rolling and drag over the way that it went. By the run
 * model, at what is known of the car's hands and drive; what is not known makes the intervals wide.
 */
final readonly class EnergyUse
{
    private const TOLERANCE = 1e-3;

    /**
     * Balloons of one bag differ in the pressure at which they are filled (relative standard deviation), and a ramp's height in what a tape
     * is off by. From memory.
     */
    private const FILLING = 0.10;
    private const HEIGHT = 0.02;

    /** Shares no divisor with the number of draws, so that it visits each. */
    private const STRIDE = 77;

    /**
     * @param Likely $putInJ work of filling the balloon or winding the band, and m·g·h of a ramp
     * @param Likely $movedJ what rolling and drag took over the distance that it went
     * @param Likely $share of what was put in, what moved it
     * @param Likely $perJouleM distance for each joule put in (m/J)
     */
    private function __construct(
        public Likely $putInJ,
        public Likely $movedJ,
        public Likely $share,
        public Likely $perJouleM,
    ) {}

    /**
     * @param Settings $settings of the car, without what its hands added
     * @param State $state what is known of those
     * @param float $distanceM that it went, the mean of its tries
     *
     * @return self|null null where the model can say nothing of it, or has it not start
     */
    public static function of(Settings $settings, State $state, float $distanceM): ?self
    {
        try {
            $begin = Prediction::begin($settings, $state);
            $run = $begin->run(self::TOLERANCE);
            $filled = self::filledJ($settings);
        } catch (OutOfRangeException) {
            return null;
        }
        if ($run->distanceM <= 0.0 || $distanceM <= 0.0) {
            return null;
        }
        $weight = $settings->get(CarAttribute::Mass) * Constants::GRAVITY_M_S2;
        $drag = ($run->energy->drag + $run->energy->carriedOff) / $run->distanceM * $distanceM;
        $parts = $begin->rollingCoefficient() - $begin->get(CarAttribute::Workmanship);
        $ramp = $begin->ramp()?->potentialJ($settings->get(CarAttribute::Mass)) ?? 0.0;
        $count = count($state->draws);
        $putIn = $moved = $share = $perJoule = [];
        foreach ($state->draws as $i => [$workmanship, $strength]) {
            // Neither goes with the car's hands: from anywhere among the draws.
            $z = Normal::quantile((($i * self::STRIDE) % $count + 0.5) / $count);
            $in = $filled * ($settings->source->winds() ? $strength : exp(self::FILLING * $z)) + $ramp * (1.0 + self::HEIGHT * $z);
            $out = ($parts + $workmanship) * $weight * $distanceM + $drag;
            [$putIn[], $moved[], $share[], $perJoule[]] = [$in, $out, $out / $in, $distanceM / $in];
        }

        return new self(Likely::ofDraws($putIn), Likely::ofDraws($moved), Likely::ofDraws($share), Likely::ofDraws($perJoule));
    }

    /** The work of filling its balloons, or of winding its band as the model has it (J). */
    private static function filledJ(Settings $settings): float
    {
        if ($settings->source->winds()) {
            $design = $settings->elasticDesign();

            return $design->band->storedJ($design->drive->woundM($design->band->turns));
        }

        return $settings->source->blows() ? $settings->design()->balloon->storedJ() : 0.0;
    }
}

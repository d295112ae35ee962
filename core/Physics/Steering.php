<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\Side;

/**
 * How axles that are not parallel make a car circle, and by how much one end must move.
 *
 * Seen from above, each wheel rolls at a right angle to its axle. Two axles at an angle δ to each other meet, when
 * drawn out, at the centre of the circle on which the car rolls, at the distance R = w/δ for a wheelbase w and a
 * small δ (rad). They meet on the side where they lie closer together: a car whose left wheelbase is the shorter
 * one turns left.
 *
 * A car that starts along x and ends y beside the line has rolled on the circle through both points that is tangent
 * to x at the start: R² = x² + (R − y)², so R = (x² + y²)/(2y).
 *
 * Over a track b the two ends of an axle are b·tan δ apart along the car. To cure a drift to the left, the longer
 * side is shortened: the right end of the front axle moves back by b·tan δ (or its left end forward by as much).
 *
 * Worked: 30 cm to the left over 2 m gives R = (4 + 0.09)/0.6 = 6.817 m; with w = 100 mm, δ = 0.01467 rad = 0.84°;
 * over b = 80 mm the right end of the front axle moves back 1.17 mm.
 */
final readonly class Steering
{
    /** A drift of more than this over the distance costs some of it. Common practice, no source. */
    public const MUCH = 0.08;

    private function __construct(
        /** Of the circle (m). */
        public float $radiusM,
        /** To which side the car turns. */
        public Side $towards,
        /** By which the axles are out of parallel (rad). */
        public float $angle,
        /** By which the front axle's end on the other side must move back (m). */
        public float $moveM,
    ) {}

    /**
     * From where a car stopped.
     *
     * @param float $driftM beside the line, above zero
     * @param float $distanceM along the line, above zero
     */
    public static function ofDrift(float $driftM, Side $towards, float $distanceM, float $wheelbaseM, float $trackM): self
    {
        if ($driftM <= 0.0 || $distanceM <= 0.0) {
            throw new \DomainException('A drift is judged from how far off the line a car was, and over what distance.');
        }
        $radius = ($distanceM ** 2 + $driftM ** 2) / (2 * $driftM);
        $angle = $wheelbaseM / $radius;

        return new self($radius, $towards, $angle, $trackM * tan($angle));
    }

    /**
     * From the distance between the axles, measured at both ends; null where they are parallel.
     *
     * @param float $apartM between the two places where it was measured: the track
     */
    public static function ofAxles(float $leftM, float $rightM, float $apartM): ?self
    {
        if ($leftM === $rightM) {
            return null;
        }
        $angle = atan(abs($rightM - $leftM) / $apartM);

        return new self(($leftM + $rightM) / 2 / $angle, $leftM < $rightM ? Side::Left : Side::Right, $angle, abs($rightM - $leftM));
    }

    /** How far such a car ends beside the line (m) after it has gone so far along it; the radius where it has turned further than that. */
    public function driftOver(float $distanceM): float
    {
        return $distanceM >= $this->radiusM ? $this->radiusM : $this->radiusM - sqrt($this->radiusM ** 2 - $distanceM ** 2);
    }

    /**
     * The difference between left and right wheel diameter that would make the same circle, where both sit fast on
     * one axle: the two roll as a cone, whose tip is the centre, so ΔD/D = b/R.
     */
    public function asUnequalWheelsM(float $wheelDiameterM, float $trackM): float
    {
        return $wheelDiameterM * $trackM / $this->radiusM;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

use Skivo\Core\Measurement\OutOfRangeException;

/**
 * The lengths to which bearings and axles are cut, from the chassis and the wheels.
 *
 * From the middle outwards on either side: half the chassis, the bearing standing out by the side gap so that
 * the wheel meets the bearing and never the chassis, half the end play, the wheel's thickness, the axle's overhang. So
 *
 *     bearing = chassis width + 2 × side gap
 *     axle    = bearing + end play + 2 × wheel thickness + 2 × overhang
 *     track   = bearing + end play + wheel thickness        (middle of wheel to middle of wheel)
 */
final readonly class CutSizes
{
    /** Common practice, no source: an axle 25 mm longer than its straw. */
    public const RULE_OF_THUMB_M = 0.0254;

    /** Common practice, no source: so much end play neither binds nor wanders. */
    public const USUAL_END_PLAY_M = [0.001, 0.002];


    /**
     * @param float $sideGapM by which the bearing stands out beyond the chassis, on each side
     * @param float $endPlayM in all
     * @param float $overhangM of the axle beyond the wheel, on each side
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $chassisWidthM,
        public float $wheelThicknessM,
        public float $endPlayM = 0.0015,
        public float $overhangM = 0.003,
        public float $sideGapM = 0.003,
    ) {
        OutOfRangeException::check('chassis_width_m', $chassisWidthM, 0.005, 0.6);
        OutOfRangeException::check('wheel_thickness_m', $wheelThicknessM, 0.0003, 0.1);
        OutOfRangeException::check('end_play_m', $endPlayM, 0.0, 0.05);
        OutOfRangeException::check('overhang_m', $overhangM, 0.0, 0.1);
        OutOfRangeException::check('side_gap_m', $sideGapM, 0.0, 0.1);
    }

    public function bearingLengthM(): float
    {
        return $this->chassisWidthM + 2 * $this->sideGapM;
    }

    public function axleLengthM(): float
    {
        return $this->bearingLengthM() + $this->endPlayM + 2 * $this->wheelThicknessM + 2 * $this->overhangM;
    }

    public function trackM(): float
    {
        return $this->bearingLengthM() + $this->endPlayM + $this->wheelThicknessM;
    }

    /** The axle by the rule of thumb, beside which the computed one stands. */
    public function axleByRuleOfThumbM(): float
    {
        return $this->bearingLengthM() + self::RULE_OF_THUMB_M;
    }

    /**
     * How far the axle by the rule of thumb sticks out beyond each wheel (m); below zero it does not reach through both. A wheel is pushed
     * on until the end play is right, so what is left over stands outside.
     *
     * @param float $hubM where the axle goes through a wheel: of a cap its bottom alone
     */
    public function overhangByRuleOfThumbM(float $hubM): float
    {
        return (self::RULE_OF_THUMB_M - $this->endPlayM) / 2 - $hubM;
    }
}

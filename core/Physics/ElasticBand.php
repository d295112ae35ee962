<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/**
 * A chain of elastic bands from a hook to the driven axle, wound onto it. At stretch λ it pulls F = G·A·(λ − λ⁻²), and nothing
 * for λ ≤ 1 (Gaussian network: L. R. G. Treloar, The Physics of Rubber Elasticity, 1975); on the way back a fraction of that.
 */
final readonly class ElasticBand
{
    /** Beyond this stretch rubber bands snap, and long before it the formula is too soft (from memory). */
    public const GREATEST_STRETCH = 8.0;

    /**
     * @param float $relaxedLengthM of the whole chain, hook to axle, 0.01 to 5 m
     * @param float $sectionAreaM2 of all strands side by side, 1e-8 to 1e-3 m²
     * @param float $shearModulusPa 50 kPa to 5 MPa
     * @param float $installedLengthM from the hook to the axle, 0.01 to 5 m
     * @param float $turns wound, broken numbers too, 0 to 500
     * @param float $returnedFraction η: of the pull while winding, what is left while unwinding, 0.1 to 1
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $relaxedLengthM,
        public float $sectionAreaM2,
        public float $installedLengthM,
        public float $turns,
        public float $shearModulusPa = 450_000.0,
        public float $returnedFraction = 0.85,
        public BandEnd $release = BandEnd::Free,
    ) {
        OutOfRangeException::check('elastic.relaxed_length_m', $relaxedLengthM, 0.01, 5.0);
        OutOfRangeException::check('elastic.section_area_m2', $sectionAreaM2, 1e-8, 1e-3);
        OutOfRangeException::check('elastic.shear_modulus_pa', $shearModulusPa, 5e4, 5e6);
        OutOfRangeException::check('elastic.installed_length_m', $installedLengthM, 0.01, 5.0);
        OutOfRangeException::check('elastic.turns', $turns, 0.0, 500.0);
        OutOfRangeException::check('elastic.returned_fraction', $returnedFraction, 0.1, 1.0);
    }

    /** λ with a length of it wound (m). */
    public function stretch(float $woundM): float
    {
        return ($this->installedLengthM + $woundM) / $this->relaxedLengthM;
    }

    /** What it pulls while it is being wound (N). */
    public function pullN(float $woundM): float
    {
        $stretch = $this->stretch($woundM);

        return $stretch <= 1.0 ? 0.0 : $this->shearModulusPa * $this->sectionAreaM2 * ($stretch - $stretch ** -2);
    }

    /** By how much the pull grows with the length wound (N/m). */
    public function stiffnessNM(float $woundM): float
    {
        $stretch = $this->stretch($woundM);

        return $stretch <= 1.0 ? 0.0 : $this->shearModulusPa * $this->sectionAreaM2 * (1.0 + 2.0 * $stretch ** -3) / $this->relaxedLengthM;
    }

    /** The work of winding so much onto the axle (J): ∫ F dw = G·A·L₀·[λ²/2 + 1/λ], from λ = 1 on. */
    public function storedJ(float $woundM): float
    {
        $work = static fn(float $stretch): float => $stretch <= 1.0 ? 1.5 : $stretch ** 2 / 2.0 + 1.0 / $stretch;

        return $this->shearModulusPa * $this->sectionAreaM2 * $this->relaxedLengthM * (
            $work($this->stretch($woundM)) - $work($this->stretch(0.0))
        );
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/**
 * One or more equal balloons, each a thin sphere of rubber with its own set of nozzles.
 *
 * Gauge pressure of a Mooney–Rivlin film (Müller & Strehlow, Rubber and Rubber Balloons, 2004):
 * p(λ) = 2·s·t₀/(D₀/2)·(λ⁻¹ − λ⁻⁷)·(1 + k·λ²), with λ = D/D₀ and p = 0 for λ ≤ 1.
 */
final readonly class Balloon
{
    /** A balloon counts as empty when its volume is down to this many times the relaxed one. */
    public const EMPTY_VOLUME_RATIO = 1.0001;

    public const GREATEST_STRETCH = 8.0;

    /**
     * @param int $count how many on the car, 1 to 8
     * @param float $relaxedDiameterM D₀, 0.01 to 0.3 m
     * @param float $filmThicknessM t₀, 0.05 to 2 mm
     * @param float $modulusPa s, 10 kPa to 10 MPa; about 300 kPa for latex
     * @param float $hardening k, 0 to 1; about 0.1
     * @param float $inflatedDiameterM D as filled, from relaxed (empty) to 0.6 m and at most 8 times relaxed
     * @param float $dragCoefficient of a sphere 0.47 (standard engineering tables), 0 to 2
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $relaxedDiameterM,
        public float $filmThicknessM,
        public float $inflatedDiameterM,
        public int $count = 1,
        public float $modulusPa = 300_000.0,
        public float $hardening = 0.1,
        public float $dragCoefficient = 0.47,
    ) {
        OutOfRangeException::check('balloon.count', $count, 1, 8);
        OutOfRangeException::check('balloon.relaxed_diameter_m', $relaxedDiameterM, 0.01, 0.3);
        OutOfRangeException::check('balloon.film_thickness_m', $filmThicknessM, 5e-5, 2e-3);
        OutOfRangeException::check('balloon.modulus_pa', $modulusPa, 1e4, 1e7);
        OutOfRangeException::check('balloon.hardening', $hardening, 0.0, 1.0);
        OutOfRangeException::check(
            'balloon.inflated_diameter_m',
            $inflatedDiameterM,
            $relaxedDiameterM,
            min(0.6, self::GREATEST_STRETCH * $relaxedDiameterM),
        );
        OutOfRangeException::check('balloon.drag_coefficient', $dragCoefficient, 0.0, 2.0);
    }

    /** Gauge pressure (Pa) when the balloon has this diameter (m). */
    public function gaugePressurePa(float $diameterM): float
    {
        $stretch = $diameterM / $this->relaxedDiameterM;

        return $stretch <= 1.0 ? 0.0
            : $this->pressureScalePa() * (1.0 / $stretch - $stretch ** -7) * (1.0 + $this->hardening * $stretch ** 2);
    }

    /**
     * The work of filling all of them from relaxed, ∫p dV (J): with V = V₀·λ³ it is 3·p₀·V₀·[λ²/2 + λ⁻⁴/4 + k·(λ⁴/4 + λ⁻²/2)] from 1
     * to λ.
     */
    public function storedJ(): float
    {
        $of = fn(float $stretch): float => $stretch ** 2 / 2 + $stretch ** -4 / 4 + $this->hardening * (
            $stretch ** 4 / 4 + $stretch ** -2 / 2
        );

        return 3.0 * $this->count * $this->pressureScalePa() * $this->relaxedVolumeM3() * (
            $of($this->inflatedDiameterM / $this->relaxedDiameterM) - $of(1.0)
        );
    }

    /** 2·s·t₀/(D₀/2), in Pa. */
    public function pressureScalePa(): float
    {
        return 4.0 * $this->modulusPa * $this->filmThicknessM / $this->relaxedDiameterM;
    }

    /** Of one balloon, m³. */
    public function relaxedVolumeM3(): float
    {
        return M_PI / 6 * $this->relaxedDiameterM ** 3;
    }

    /** Of one balloon as filled, m³. */
    public function inflatedVolumeM3(): float
    {
        return M_PI / 6 * $this->inflatedDiameterM ** 3;
    }

    /** Whether there is anything in it to blow. */
    public function isInflated(): bool
    {
        return $this->inflatedVolumeM3() > self::EMPTY_VOLUME_RATIO * $this->relaxedVolumeM3();
    }
}

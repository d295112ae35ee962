<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Constants;

/**
 * A balloon car with every length so many times as long, and somebody on it: what it would take to start, and what a balloon of that
 * size gives. With rubber as thick as before the pressure falls with the radius, p = 4·s·t₀/D₀·… , so the push, p times the nozzle's area,
 * grows with the size
 * itself; what it must overcome, f·b·m·g, with its cube, and with the rider. On paper only.
 */
final readonly class LargerCar
{
    /** All that is asked about: as large as a bus, and a rider of any age. */
    public const GREATEST_SCALE = 40.0;
    public const HEAVIEST_RIDER_KG = 120.0;

    private const LITRES = 1000.0;

    private function __construct(
        public float $scale,
        public float $massKg,
        /** b·f·m·g, rider included (N). */
        public float $neededN,
        /** The first push of its balloons (N). */
        public float $thrustN,
        public float $pressurePa,
        /** Across one full balloon (m). */
        public float $balloonM,
        /** Of all balloons together (m³). */
        public float $volumeM3,
        /** How long a full balloon would blow at its first flow (s). */
        public float $blowsS,
        /** By the pump (s). */
        public float $fillingS,
    ) {}

    /**
     * @param Settings $car a usual car of the class, with what its hands add
     * @param float $scale how many times as long, 1 to 40
     * @param float $riderKg 0 to 120 kg
     * @param float $pumpLitresPerMinute above 0
     *
     * @throws OutOfRangeException
     */
    public static function of(Settings $car, float $scale, float $riderKg, float $pumpLitresPerMinute): self
    {
        OutOfRangeException::check('scale', $scale, 1.0, self::GREATEST_SCALE);
        OutOfRangeException::check('rider', $riderKg, 0.0, self::HEAVIEST_RIDER_KG);
        OutOfRangeException::check('pump', $pumpLitresPerMinute, 0.1, 10_000.0);
        $design = $car->design();
        $run = Simulator::run($design, 1e-3);
        $mass = $design->vehicle->massKg * $scale ** 3 + $riderKg;
        $volume = $design->balloon->count * $design->balloon->inflatedVolumeM3() * $scale ** 3;
        // v = √(2p/(ρ·K)) falls with √s, the area grows with s².
        $flow = $run->initialFlowM3S * $scale ** 2 / sqrt($scale);

        return new self(
            $scale,
            $mass,
            $car->get(CarAttribute::BreakawayRatio) * $car->rollingCoefficient() * $mass * Constants::GRAVITY_M_S2,
            $run->initialThrustN * $scale,
            $run->initialGaugePressurePa / $scale,
            $design->balloon->inflatedDiameterM * $scale,
            $volume,
            $flow > 0.0 ? $volume / $flow : 0.0,
            60.0 * $volume * self::LITRES / $pumpLitresPerMinute,
        );
    }

    public function starts(): bool
    {
        return $this->thrustN > $this->neededN;
    }

    /** How many times the push that it gives would be needed. */
    public function shortBy(): float
    {
        return $this->neededN / max(1e-9, $this->thrustN);
    }

    /** What such a push could just start, rider and all (kg). */
    public function couldStartKg(): float
    {
        return $this->massKg * $this->thrustN / max(1e-9, $this->neededN);
    }
}

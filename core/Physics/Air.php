<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/** The air of the room: how heavy and how viscous it is. */
final readonly class Air
{
    private const GAS_CONSTANT_DRY_AIR = 287.05287;
    private const GAS_CONSTANT_VAPOUR = 461.495;
    private const ZERO_CELSIUS_K = 273.15;

    /**
     * @param float $temperatureC from −30 to 60 °C
     * @param float $pressurePa from 50 000 to 110 000 Pa
     * @param float $relativeHumidity from 0 to 1
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $temperatureC = 20.0,
        public float $pressurePa = 101_325.0,
        public float $relativeHumidity = 0.5,
    ) {
        OutOfRangeException::check('air.temperature_c', $temperatureC, -30.0, 60.0);
        OutOfRangeException::check('air.pressure_pa', $pressurePa, 50_000.0, 110_000.0);
        OutOfRangeException::check('air.relative_humidity', $relativeHumidity, 0.0, 1.0);
    }

    /** As it comes from the lungs: 34 °C and saturated (from memory). */
    public static function breath(float $pressurePa = 101_325.0): self
    {
        return new self(34.0, $pressurePa, 1.0);
    }

    /** Pa over water, for this temperature (Alduchov & Eskridge, J. Appl. Meteor. 35, 601, 1996). */
    public function saturationVapourPressurePa(): float
    {
        return 610.94 * exp(17.625 * $this->temperatureC / ($this->temperatureC + 243.04));
    }

    /** kg/m³: dry air and water vapour, each as an ideal gas. */
    public function densityKgM3(): float
    {
        $vapour = $this->relativeHumidity * $this->saturationVapourPressurePa();
        $kelvin = $this->temperatureC + self::ZERO_CELSIUS_K;

        return ($this->pressurePa - $vapour) / (self::GAS_CONSTANT_DRY_AIR * $kelvin) + $vapour / (self::GAS_CONSTANT_VAPOUR * $kelvin);
    }

    /** Dynamic viscosity in Pa·s (U.S. Standard Atmosphere 1976, equation 51). */
    public function viscosityPaS(): float
    {
        $kelvin = $this->temperatureC + self::ZERO_CELSIUS_K;

        return 1.458e-6 * $kelvin ** 1.5 / ($kelvin + 110.4);
    }
}

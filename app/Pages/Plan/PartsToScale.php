<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;

/** Balloon, wheel and nozzle beside each other on the ground, all to one scale: 26 cm fill the height. In px. */
final readonly class PartsToScale
{
    public const GROUND = 78;
    private const PER_METRE = 76 / 0.26;
    private const MOST_OUTLETS = 8;
    private const USUAL_NOZZLE_M = 0.05;

    /** Radii; null where the size was not recorded. */
    public ?float $balloon;
    public ?float $wheel;

    /** @var list<array{y: float, width: float, height: float}> */
    public array $tubes;

    public function __construct(?Car $car)
    {
        $this->balloon = self::radius($car?->balloonDiameterM(), 38);
        $this->wheel = self::radius($car?->number(CarAttribute::WheelDiameter), 30);
        $bore = $car?->number(CarAttribute::NozzleBore);
        $tubes = [];
        if ($car !== null && $bore !== null) {
            $outlets = min(self::MOST_OUTLETS, (int) ($car->number(CarAttribute::NozzleOutlets) ?? 1));
            $length = $car->number(CarAttribute::NozzleLength) ?? self::USUAL_NOZZLE_M;
            for ($i = 1; $i <= $outlets; $i++) {
                $tubes[] = [
                    'y' => round(self::GROUND - $i * ($bore * self::PER_METRE + 1), 2),
                    'width' => round(min(46, $length * self::PER_METRE), 2),
                    'height' => round($bore * self::PER_METRE, 2),
                ];
            }
        }
        $this->tubes = $tubes;
    }

    private static function radius(?float $diameterM, float $most): ?float
    {
        return $diameterM === null ? null : round(min($most, $diameterM * self::PER_METRE / 2), 2);
    }
}

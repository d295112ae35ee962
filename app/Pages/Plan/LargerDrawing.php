<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Simulation\LargerCar;

/** What a larger car needs to start and what its balloon gives, over its size: both axes in equal steps of the logarithm. In px. */
final readonly class LargerDrawing
{
    private const LEFT = 70.0;
    private const WIDTH = 420.0;
    private const TOP = 14.0;
    private const HEIGHT = 210.0;

    public string $needed;
    public string $given;

    /** @var array{float, float, float} the size asked about: x, and y of what it needs and gets */
    public array $asked;

    /** @var list<array{float, string}> */
    public array $sizes;

    /** @var list<array{float, string}> */
    public array $forces;

    public float $floor;

    /** @param non-empty-list<LargerCar> $cars by their size, from 1 up */
    public function __construct(array $cars, LargerCar $asked)
    {
        $forces = [
            ...array_map(static fn(LargerCar $car): float => $car->neededN, $cars),
            ...array_map(static fn(LargerCar $car): float => $car->thrustN, $cars), $asked->neededN,
        ];
        [$low, $high] = [floor(log10(max(1e-6, min($forces)))), ceil(log10(max($forces)))];
        $x = static fn(float $scale): float => round(self::LEFT + self::WIDTH * log($scale) / log(LargerCar::GREATEST_SCALE), 1);
        $y = static fn(float $newtons): float => round(
            self::TOP + self::HEIGHT * (1.0 - (log10(max(1e-6, $newtons)) - $low) / max(1.0, $high - $low)),
            1,
        );
        $line = static fn(\Closure $of): string => implode(
            ' ',
            array_map(static fn(LargerCar $car): string => "{$x($car->scale)},{$y($of($car))}", $cars),
        );
        $this->needed = $line(static fn(LargerCar $car): float => $car->neededN);
        $this->given = $line(static fn(LargerCar $car): float => $car->thrustN);
        $this->asked = [$x($asked->scale), $y($asked->neededN), $y($asked->thrustN)];
        $this->sizes = array_map(static fn(int $scale): array => [$x((float) $scale), "{$scale} ×"], [1, 2, 5, 10, 20, 40]);
        $this->forces = array_map(
            static fn(int $power): array => [
                $y(10.0 ** $power),
                $power >= 0 ? number_format(10 ** $power) . ' N' : number_format(1000 * 10 ** $power, $power < -3 ? 1 : 0) . ' mN',
            ],
            range((int) $low, (int) $high),
        );
        $this->floor = self::TOP + self::HEIGHT;
    }
}

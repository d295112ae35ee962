<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Forecast\Forecast;

/** How far the model is off for each car, as a share of what was measured. In px. */
final readonly class ResidualsDrawing
{
    public const WIDTH = 880;
    public const LEFT = 190;
    private const ROW = 24;
    private const TOP = 34;
    /** Half of what stands at the scale's end needs so much (px). */
    private const RIGHT = 40;
    private const LEAST_SHOWN = 0.25;
    private const MOST_SHOWN = 1.0;

    /** What lies farther out than this share of the scale is cut off there. */
    private const BEYOND = 1.06;

    /** @var list<array{id: string, y: int, off: float, low: float, high: float}> shares that the prediction is off, with its band */
    public array $cars;

    /** The greatest share on the scale. */
    public float $most;

    /** @param list<array{ComparedCar, Forecast}> $judged every car with what could be said of it before its runs */
    public function __construct(array $judged)
    {
        $cars = [];
        foreach ($judged as [$car, $before]) {
            $mean = $car->sample->mean();
            if ($mean > 0.0) {
                $cars[] = [
                    'id' => $car->id,
                    'y' => self::TOP + self::ROW * count($cars),
                    'off' => $before->medianM / $mean - 1.0,
                    'low' => $before->band95->low / $mean - 1.0,
                    'high' => $before->band95->high / $mean - 1.0,
                ];
            }
        }
        $this->most = max(
            [
                self::LEAST_SHOWN,
                ...array_map(static fn(array $car): float => min(self::MOST_SHOWN, max(abs($car['off']), abs($car['high']))), $cars),
            ],
        );
        $this->cars = $cars;
    }

    public function x(float $share): float
    {
        $half = (self::WIDTH - self::LEFT - self::RIGHT) / 2;

        return round(self::LEFT + $half + max(-self::BEYOND, min(self::BEYOND, $share / $this->most)) * ($half - 20), 1);
    }

    /** @return list<float> the shares at which a line stands */
    public function lines(): array
    {
        return array_map(fn(float $part): float => $part * $this->most, [-1.0, -0.5, 0.0, 0.5, 1.0]);
    }

    public function height(): int
    {
        return self::TOP + self::ROW * count($this->cars);
    }
}

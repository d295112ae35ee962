<?php

declare(strict_types=1);

namespace App\Drawings;

use App\ViewModels\ClassFindings;

/** How far the model is off for each car, as a share of what was measured. In px. */
final readonly class ResidualsDrawing
{
    public const WIDTH = 880;
    public const LEFT = 190;
    private const ROW = 24;
    private const TOP = 34;
    private const LEAST_SHOWN = 0.25;

    /** What lies farther out than this share of the scale is drawn as an arrow at its end. */
    private const BEYOND = 1.06;

    /** @var list<array{id: string, y: int, before: float, foretold: float, isBeyond: bool}> shares that the model is off */
    public array $cars;

    /** The greatest share on the scale. */
    public float $most;

    public function __construct(ClassFindings $findings)
    {
        $calibration = $findings->calibration;
        $cars = [];
        foreach ($calibration === null ? [] : $findings->cars as $car) {
            if (isset($calibration->after[$car->id])) {
                $off = static fn(array $distances): float => $distances[$car->id] / $car->sample->mean() - 1;
                $cars[] = [
                    'id' => $car->id,
                    'y' => self::TOP + self::ROW * count($cars),
                    'before' => $off($calibration->before),
                    'foretold' => $off($calibration->leftOut),
                ];
            }
        }
        $this->most = max(self::LEAST_SHOWN, ...array_map(static fn(array $car): float => abs($car['foretold']), $cars));
        $this->cars = array_map(fn(array $car): array => $car + ['isBeyond' => abs($car['before']) > self::BEYOND * $this->most], $cars);
    }

    public function x(float $share): float
    {
        $half = (self::WIDTH - self::LEFT) / 2;

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

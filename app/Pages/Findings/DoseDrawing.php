<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Dose;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** Distance over fill for one car, in the units of the class: upwards, the farther. */
final readonly class DoseDrawing
{
    private const LEFT = 60.0;
    private const WIDTH = 330.0;
    private const FLOOR = 165.0;
    private const HEIGHT = 145.0;

    /** @var list<array{float, float}> */
    public array $points;

    /** Points of the parabola, as SVG has them; empty where there is none. */
    public string $curve;

    /** @var array{float, float}|null where the top may lie: from, and how wide */
    public ?array $top;

    /** @var list<array{float, string}> */
    public array $fills;

    /** @var list<array{float, string}> */
    public array $heights;

    public function __construct(Dose $dose, UnitSystem $units)
    {
        $fills = array_map(static fn(array $point): float => $point[0], $dose->points);
        [$least, $most] = [min($fills), max($fills)];
        $farthest = max(0.01, ...array_column($dose->points, 1)) * 1.1;
        $x = static fn(float $fill): float => round(self::LEFT + self::WIDTH * ($fill - $least) / max(1e-6, $most - $least), 1);
        $y = static fn(float $far): float => round(self::FLOOR - self::HEIGHT * $far / $farthest, 1);
        $this->points = array_map(static fn(array $point): array => [$x($point[0]), $y($point[1])], $dose->points);
        $curve = [];
        for ($step = 0; $dose->curve !== [] && $step <= 40; $step++) {
            $fill = $least + ($most - $least) * $step / 40;
            $curve[] = "{$x($fill)},{$y(max(0.0, $dose->curve[0] + $dose->curve[1] * $fill + $dose->curve[2] * $fill ** 2))}";
        }
        $this->curve = implode(' ', $curve);
        $this->top = $dose->interval === null
            ? null
            : [$x($dose->interval->low), round($x($dose->interval->high) - $x($dose->interval->low), 1)];
        $said = [];
        foreach ($fills as $fill) {
            $said[$units->show($fill, $dose->of === CarAttribute::TurnsWound ? Scale::Turns : Scale::Body)] = $x($fill);
        }
        $this->fills = array_map(static fn(string $words, float $at): array => [$at, $words], array_keys($said), array_values($said));
        $this->heights = [
            [$y(0.0), $units->figure(0.0, Scale::Distance)], [$y($farthest / 1.1) + 4.0, $units->show($farthest / 1.1, Scale::Distance)],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Simulation\Settings;

/** Of a car that balloons push, or a ramp: the distance bends gently with the pressure, and few runs do. */
final readonly class PushTable extends DistanceTable
{
    /** Of the pressure over the usual balloon's, in equal steps of its logarithm. */
    private const LEAST = 0.3;
    private const GREATEST = 2.0;
    private const STRENGTHS = 4;

    /** Lagrange's cubic through all four. */
    protected function shares(float $friction, float $logStrength): array
    {
        $low = log(self::LEAST);
        $step = (log(self::GREATEST) - $low) / (self::STRENGTHS - 1);
        $place = max(0.0, min(self::STRENGTHS - 1.0, ($logStrength - $low) / $step));

        return [
            ($place - 1.0) * ($place - 2.0) * ($place - 3.0) / -6.0,
            $place * ($place - 2.0) * ($place - 3.0) / 2.0,
            $place * ($place - 1.0) * ($place - 3.0) / -2.0,
            $place * ($place - 1.0) * ($place - 2.0) / 6.0,
        ];
    }

    protected static function strengths(Settings $usual): array
    {
        return array_map(
            static fn(int $row): float => self::LEAST * (self::GREATEST / self::LEAST) ** ($row / (self::STRENGTHS - 1)),
            range(0, self::STRENGTHS - 1),
        );
    }

    protected static function over(Settings $usual, float $partsFriction, float $strength, array $rows, string $key, Kept $kept): self
    {
        return new self($partsFriction, $strength, $rows, $key, $kept);
    }
}

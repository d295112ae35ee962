<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/** Which choices are set against results, and when two cars are the same in one. */
final readonly class Difference
{
    /** Hand-made parts are called the same up to this share of the larger one; a twentieth is told apart. Common practice, no source. */
    private const SAME = 0.04;

    /** End plays (m) and angles (°) that nobody could tell apart. Common practice, no source. */
    private const SAME_END_PLAY_M = 0.0004;
    private const SAME_ANGLE = 2.0;

    /** @return list<CarAttribute> all but those that only say others in another way */
    public static function compared(): array
    {
        return array_values(
            array_filter(CarAttribute::explaining(), static fn(CarAttribute $factor): bool => $factor !== CarAttribute::OutletArea),
        );
    }

    public static function isSame(CarAttribute $factor, float|string|null $one, float|string|null $other): bool
    {
        if (!is_float($one) || !is_float($other)) {
            return is_string($one) && is_string($other) ? mb_strtolower(trim($one)) === mb_strtolower(trim($other)) : $one === $other;
        }

        return abs($one - $other) <= match ($factor) {
            CarAttribute::EndPlay => self::SAME_END_PLAY_M,
            CarAttribute::NozzleAngle => self::SAME_ANGLE,
            CarAttribute::PumpStrokes, CarAttribute::TurnsWound => 0.0,
            default => self::SAME * max(abs($one), abs($other)) * (1.0 - 1e-9),
        };
    }
}

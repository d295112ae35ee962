<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;

/** In which of the choices that matter to a run two cars differ. */
final readonly class Difference
{
    /** Hand-made parts are called the same up to this share of the larger one; a twentieth is told apart. Common practice, no source. */
    private const SAME = 0.04;

    /** End plays (m) and angles (°) that nobody could tell apart. Common practice, no source. */
    private const SAME_END_PLAY_M = 0.0004;
    private const SAME_ANGLE = 2.0;

    /** A word for a part goes along with its numbers, and says nothing beside them. */
    private const GOES_ALONG = [
        CarAttribute::NozzleKind->value => [
            CarAttribute::NozzleBore, CarAttribute::WiderBore, CarAttribute::WidestBore, CarAttribute::NozzleOutlets,
            CarAttribute::NozzleLength,
        ],
        CarAttribute::WheelKind->value => [CarAttribute::WheelDiameter],
        CarAttribute::PumpStrokes->value => [CarAttribute::BalloonSize],
        CarAttribute::BandsInChain->value => [CarAttribute::ChainLength],
    ];

    /**
     * A choice that only one of them has on record counts as different: nobody can tell.
     *
     * @return list<CarAttribute>
     */
    public static function between(Car $one, Car $other): array
    {
        $differ = array_values(
            array_filter(
                self::compared(),
                static fn(CarAttribute $factor): bool => !self::isSame($factor, $one->explanation($factor), $other->explanation($factor)),
            ),
        );

        return array_values(array_filter(
            $differ,
            static fn(CarAttribute $factor): bool => array_filter(
                self::GOES_ALONG[$factor->value] ?? [],
                static fn(CarAttribute $number): bool => in_array($number, $differ, true),
            ) === [],
        ));
    }

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

<?php

declare(strict_types=1);

namespace App\Pages\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** The slider under a field of the build sheet, in the class's unit. */
final readonly class FieldRuler
{
    private const SIXTEENTH_M = 0.0254 / 16;

    private function __construct(
        public float $least,
        public float $greatest,
        public float $step,
        /** Where its pointer stands. */
        public float $at,
        /** Whether that is what was measured; otherwise it only stands where most would begin. */
        public bool $isSet,
        public string $unit,
        /** Whether it is read in fractions of an inch. */
        public bool $isInFractions,
    ) {}

    /** Null where no slider makes sense. */
    public static function of(CarAttribute $attribute, Car $car, Car $kit, UnitSystem $units): ?self
    {
        $scale = $attribute->scale();
        $ruler = $attribute->facts()->ruler;
        $range = $ruler === null ? $attribute->facts()->usual : [$ruler->least, $ruler->greatest];
        if ($scale === null || $range === null || !($attribute->isQuantity() || $scale === Scale::Angle)) {
            return null;
        }
        $own = $car->number($attribute);
        $usual = $kit->number($attribute) ?? $ruler->typical ?? ($range[0] + $range[1]) / 2;
        $fractions = $units === UnitSystem::Imperial
            && $attribute->dimension() === \Skivo\Core\Measurement\Dimension::Length
            && $scale !== Scale::Angle;
        $step = $fractions ? self::SIXTEENTH_M : ($ruler->step ?? ($scale === Scale::Part ? 0.0005 : 0.001));
        $shown = static fn(float $si): float => round($units->fromSi($si, $scale), 4);

        return new self(
            $fractions ? 0.0 : $shown(min($range[0], $own ?? $range[0])),
            $shown(max($range[1], $own ?? $range[1])),
            $fractions ? 0.0625 : max(0.01, round($shown($step), 3)),
            $shown($own ?? $usual),
            $own !== null,
            $attribute->isCount() ? '' : $units->symbol($scale),
            $fractions,
        );
    }
}

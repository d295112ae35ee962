<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Findings\Factor;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** How a choice is spoken of. */
final readonly class FactorWords
{
    /** As in "a wider bore". */
    public static function one(Factor $factor, bool $more): string
    {
        [$greater, $lesser, $noun] = self::words($factor);

        return 'a ' . ($more ? $greater : $lesser) . " {$noun}";
    }

    /** As in "Wider bores". */
    public static function many(Factor $factor, bool $more): string
    {
        [$greater, $lesser, $noun] = self::words($factor);

        return ucfirst($more ? $greater : $lesser) . " {$noun}s";
    }

    /** A value as the build sheet would have it: 8 mm, or jar lids. */
    public static function value(Factor $factor, float|string $value, UnitSystem $units): string
    {
        return is_string($value) ? ($factor === Factor::Outlets ? ($value === '1' ? '1 outlet' : "{$value} outlets") : $value) : $units->show($value, $factor->scale() ?? Scale::Count);
    }

    /** @return array{string, string, string} with more of it, with less of it, of what */
    private static function words(Factor $factor): array
    {
        return match ($factor) {
            Factor::NozzleBore => ['wider', 'narrower', 'bore'],
            Factor::OutletArea => ['larger', 'smaller', 'outlet'],
            Factor::NozzleLength => ['longer', 'shorter', 'nozzle'],
            Factor::NozzleAngle => ['steeper', 'straighter', 'nozzle'],
            Factor::BalloonSize, Factor::BalloonNominal => ['bigger', 'smaller', 'balloon'],
            Factor::PumpStrokes => ['fuller', 'less full', 'balloon'],
            Factor::Mass => ['heavier', 'lighter', 'car'],
            Factor::WheelDiameter => ['larger', 'smaller', 'wheel'],
            Factor::EndPlay => ['looser', 'tighter', 'axle'],
            default => ['greater', 'lesser', $factor->label()],
        };
    }
}

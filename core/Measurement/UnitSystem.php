<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/**
 * The units a class works in. It decides what is shown and what a bare number means, never what is stored.
 */
enum UnitSystem: string
{
    case Metric = 'metric';
    case Imperial = 'imperial';

    /** The one that this is not: where classes compare, both stand side by side. */
    public function other(): self
    {
        return $this === self::Metric ? self::Imperial : self::Metric;
    }

    /** The unit of a scale, or null where it has none of our units (counts, areas). */
    public function unit(Scale $scale): ?Unit
    {
        $metric = $this === self::Metric;

        return match ($scale) {
            Scale::Part => $metric ? Unit::Millimetre : Unit::Inch,
            Scale::Body, Scale::Distance => $metric ? Unit::Centimetre : Unit::Inch,
            Scale::Lane => $metric ? Unit::Metre : Unit::Foot,
            Scale::Weight => $metric ? Unit::Gram : Unit::Ounce,
            Scale::Stopwatch => Unit::Second,
            Scale::Turns => Unit::Turn,
            Scale::Area, Scale::Slope, Scale::Angle, Scale::Count => null,
        };
    }

    public function symbol(Scale $scale): string
    {
        return $this->unit($scale)->value ?? match ($scale) {
            Scale::Area => $this === self::Metric ? 'mm²' : 'in²',
            Scale::Slope => $this === self::Metric ? 'cm/m' : 'in/ft',
            Scale::Angle => '°',
            default => '',
        };
    }

    /** How many of the shown unit make one SI unit (m, kg, s, m²). */
    public function perSi(Scale $scale): float
    {
        $unit = $this->unit($scale);
        if ($unit !== null) {
            return 1.0 / $unit->inSiRoughly();
        }

        return match ($scale) {
            Scale::Area => $this->perSi(Scale::Part) ** 2,
            Scale::Slope => $this === self::Metric ? 100.0 : 12.0,
            default => 1.0,
        };
    }

    /** An SI value in the shown unit. */
    public function fromSi(float $si, Scale $scale): float
    {
        $unit = $this->unit($scale);

        return $unit !== null ? $si / $unit->inSiRoughly() : $si * $this->perSi($scale);
    }

    /** The decimals to which a reading of this scale is worth showing. */
    public function decimals(Scale $scale): int
    {
        $metric = $this === self::Metric;

        return match ($scale) {
            Scale::Part => $metric ? 1 : 3,
            Scale::Body => $metric ? 1 : 2,
            Scale::Distance => $metric ? 0 : 1,
            Scale::Lane => 2,
            Scale::Weight => $metric ? 1 : 2,
            Scale::Stopwatch => 2,
            Scale::Area => $metric ? 1 : 4,
            Scale::Turns => 1,
            Scale::Slope => $metric ? 1 : 2,
            Scale::Angle, Scale::Count => 0,
        };
    }

    /**
     * The number as shown, without its unit: rounded to the scale's decimals, with no trailing zeros
     * except on the stopwatch and the tape, where columns of figures must line up.
     */
    public function figure(float $si, Scale $scale, int $moreDecimals = 0): string
    {
        $decimals = $this->decimals($scale) + $moreDecimals;
        $figure = number_format($this->fromSi($si, $scale), $decimals, '.', '');
        if ($figure === '-' . number_format(0, $decimals, '.', '')) {
            $figure = substr($figure, 1);
        }
        $fixed = $scale === Scale::Stopwatch || $scale === Scale::Distance;

        return $fixed || !str_contains($figure, '.') ? $figure : rtrim(rtrim($figure, '0'), '.');
    }

    /** The number with its unit, as in 318 cm. */
    public function show(float $si, Scale $scale, int $moreDecimals = 0): string
    {
        return $this->figure($si, $scale, $moreDecimals) . match (true) {
            $scale === Scale::Angle => '°',
            $this->symbol($scale) === '' => '',
            default => "\u{00A0}{$this->symbol($scale)}",
        };
    }
}

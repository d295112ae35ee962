<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** A temperature of the air as people write it: 20, 20 °C, 68 F. */
final readonly class Temperature
{
    /** Within which a room is (°C). */
    public const COLDEST = -10.0;
    public const WARMEST = 45.0;

    private function __construct(
        public float $celsius,
        /** As typed, with its unit. */
        public string $text,
    ) {}

    /** @return self|null null where it is no temperature of a room */
    public static function read(string $typed, UnitSystem $units): ?self
    {
        if (preg_match('/^\s*([-−–]?\s*\d{1,3}(?:[.,]\d+)?)\s*°?\s*([cf])?(?:elsius|ahrenheit)?\.?\s*$/iu', $typed, $match) !== 1) {
            return null;
        }
        $number = (float) str_replace([',', '−', '–', ' '], ['.', '-', '-', ''], $match[1]);
        $unit = strtoupper($match[2] ?? '') ?: ($units === UnitSystem::Metric ? 'C' : 'F');
        $celsius = $unit === 'F' ? self::fromFahrenheit($number) : $number;
        if ($celsius < self::COLDEST - 1e-9 || $celsius > self::WARMEST + 1e-9) {
            return null;
        }

        return new self($celsius, trim(str_replace(['−', '–', ' '], ['-', '-', ''], $match[1])) . " °{$unit}");
    }

    public static function show(float $celsius, UnitSystem $units): string
    {
        return $units === UnitSystem::Metric
            ? number_format($celsius) . "\u{00A0}°C"
            : number_format(32 + $celsius * 9 / 5) . "\u{00A0}°F";
    }

    private static function fromFahrenheit(float $fahrenheit): float
    {
        return ($fahrenheit - 32.0) * 5 / 9;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;

/** What distance does when settings are turned through their range. */
final readonly class Sweep
{
    private const ROUGHLY = 1e-4;

    /**
     * @return list<array{float, float}> value of the setting and distance (m), in order; values that no design can have are left out
     */
    public static function along(Settings $settings, CarAttribute $setting, int $points = 40): array
    {
        $curve = [];
        foreach (self::values($setting, $points) as $value) {
            $distance = self::distance($settings, [[$setting, $value]]);
            if ($distance !== null) {
                $curve[] = [$value, $distance];
            }
        }

        return $curve;
    }

    /**
     * @return array{list<float>, list<float>, list<float>} values of the first, values of the second, and distances (m)
     *         row by row of the second; below zero where no design can have the two
     */
    public static function across(Settings $settings, CarAttribute $first, CarAttribute $second, int $columns = 18, int $rows = 12): array
    {
        $x = self::values($first, $columns);
        $y = self::values($second, $rows);
        $distances = [];
        foreach ($y as $high) {
            foreach ($x as $wide) {
                $distances[] = self::distance($settings, [[$first, $wide], [$second, $high]]) ?? -1.0;
            }
        }

        return [$x, $y, $distances];
    }

    /**
     * Percent more distance for a percent more of each setting, by central differences of two percent.
     *
     * @param list<CarAttribute> $of
     *
     * @return array<string, float|null> by the value of the setting; null where the car does not start
     */
    public static function sensitivities(Settings $settings, array $of): array
    {
        $found = [];
        foreach ($of as $setting) {
            $value = $settings->get($setting);
            $more = $value > 0.0 ? self::distance($settings, [[$setting, $value * 1.02]], 1e-7) : null;
            $less = $value > 0.0 ? self::distance($settings, [[$setting, $value * 0.98]], 1e-7) : null;
            $found[$setting->value] = $more === null || $less === null || $more <= 0.0 || $less <= 0.0
                ? null
                : log($more / $less) / log(1.02 / 0.98);
        }

        return $found;
    }

    /** @return list<float> */
    private static function values(CarAttribute $setting, int $points): array
    {
        [$least, $greatest] = [$setting->ruler()->least, $setting->ruler()->greatest];

        // Weighted so that rounding carries neither end over its edge.
        return array_map(static fn(int $i): float => ($least * ($points - 1 - $i) + $greatest * $i) / ($points - 1), range(0, $points - 1));
    }

    /** @param list<array{CarAttribute, float}> $turned */
    private static function distance(Settings $settings, array $turned, float $tolerance = self::ROUGHLY): ?float
    {
        try {
            foreach ($turned as [$setting, $value]) {
                $settings = $settings->with($setting, $value);
            }

            return $settings->run($tolerance)->distanceM;
        } catch (OutOfRangeException) {
            return null;
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** How a mean is made, as it is written on a board: the sum, and its division. */
final readonly class MeanWords
{
    /** The sum is worked out from what is shown, so that whoever adds it up finds the same. */
    private const DECIMALS = 1;

    /**
     * As in "405 + 398 + 412 = 1215; 1215 ÷ 3 = 405 cm".
     *
     * @param list<float> $distancesM of the tries that count (m)
     *
     * @return string|null null where there is nothing to add up
     */
    public static function of(array $distancesM, UnitSystem $units): ?string
    {
        if (count($distancesM) < 2) {
            return null;
        }
        $shown = array_map(static fn(float $m): string => $units->figure($m, Scale::Distance), $distancesM);
        $sum = array_sum(array_map(floatval(...), $shown));
        $plain = static fn(float $n): string => rtrim(rtrim(number_format($n, self::DECIMALS, '.', ''), '0'), '.');

        return Text::of('path.page.mean', [
            'sum' => implode(' + ', $shown), 'total' => $plain($sum), 'count' => count($shown), 'mean' => $plain($sum / count($shown)),
            'unit' => $units->symbol(Scale::Distance),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** Where a lane's tape has its lines, in whole units of the lane. */
final readonly class TapeMarks
{
    /** A longer one has a line at every fifth unit only. */
    private const MOST = 24;
    private const STEP = 5;

    /**
     * @param float $longestM how long the tape is
     *
     * @return list<array{float, int, bool}> place (m), whole units there, and whether they are written
     */
    public static function upTo(float $longestM, UnitSystem $units): array
    {
        $perMetre = $units->perSi(Scale::Lane);
        $longest = $longestM * $perMetre;
        $step = $longest > self::MOST ? self::STEP : 1;
        $marks = [];
        for ($i = $step; $i <= $longest; $i += $step) {
            // Feet are close together: only every fifth is written.
            $marks[] = [$i / $perMetre, $i, $step > 1 || $perMetre < 2 || $i % self::STEP === 0];
        }

        return $marks;
    }
}

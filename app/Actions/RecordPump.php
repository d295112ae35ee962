<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\PumpReading;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Physics\SizeMeasure;

/** Records how large so many strokes of the class's pump make a balloon, in place of what was recorded before. */
final class RecordPump
{
    /** @param list<array{int, Entry}> $readings strokes, and the size after them */
    public function __invoke(Challenge $challenge, array $readings, SizeMeasure $measuredAs): void
    {
        DB::transaction(static function () use ($challenge, $readings, $measuredAs): void {
            $challenge->pumpReadings()->delete();
            foreach ($readings as [$strokes, $size]) {
                $challenge->pumpReadings()->save(new PumpReading(['strokes' => $strokes, 'size' => $size, 'measured_as' => $measuredAs]));
            }
        });
    }
}

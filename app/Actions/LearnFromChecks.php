<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use App\Record\KeptInCache;
use App\Record\TeachesByChecks;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Forecast\CheckedCars;
use Skivo\Core\Forecast\CheckShifts;
use Skivo\Core\Forecast\ClassForecast;

/**
 * Writes down what the failed checks of a class say to its educator's other classes, as the class stands now. It is worked out
 * from that class alone, so that no order in which classes are looked at makes a difference.
 */
final class LearnFromChecks implements TeachesByChecks
{
    public function __invoke(Challenge $challenge): CheckedCars
    {
        return DB::transaction(static function () use ($challenge): CheckedCars {
            $record = ClassRecord::of($challenge);
            $class = ClassFindings::data($record, shifts: new CheckShifts());
            $kept = new KeptInCache($challenge);
            $checked = ClassForecast::of(
                $class->cars,
                $class->catalogue,
                $class->surface,
                $class->temperatureC,
                $class->pump,
                $kept,
            )->checked;
            DB::table('check_lessons')->upsert([[
                'challenge_id' => $challenge->id, 'revision' => $record->revision, 'build' => (string) config('skivo.build'),
                'rows' => json_encode($checked->rows, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
            ]], ['challenge_id'], ['revision', 'build', 'rows']);

            return $checked;
        });
    }
}

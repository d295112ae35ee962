<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Language\ForecastWords;
use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Skivo\Core\Diagnosis\Symptom;

/** What could be wrong with a car, from what was seen. */
final class DiagnosisController
{
    public function show(DiagnosisRequest $request, Challenge $challenge, Group $group): View
    {
        $group->load(['cars.runs', 'cars.checkReadings', 'cars.benchReadings']);
        $reading = new DiagnosisReading($challenge, $group->currentCar());
        $symptom = $request->symptom() ?? $reading->suggested[0] ?? null;
        $strayed = $symptom === Symptom::Veers && $request->driftM() === null ? $reading->strayed() : null;
        $drift = $request->driftM() ?? ($strayed === null ? null : $strayed->toCore()->driftM);
        $over = $request->overM() ?? $strayed?->distance?->quantity->si();

        $record = ClassRecord::of($challenge);

        return view('check.diagnosis', [
            'challenge' => $challenge,
            'record' => $record,
            'isShort' => $symptom === Symptom::ShortRun ? self::isShort($record, $group) : null,
            'group' => $group,
            'reading' => $reading,
            'symptom' => $symptom,
            'drift' => $drift,
            'over' => $over,
            'strayed' => $strayed,
            'causes' => $symptom === null ? [] : $reading->causes($symptom, $drift, $over),
        ]);
    }

    /** Whether a group's newest car stopped short of where such cars stop; null where that can't be said. */
    private static function isShort(ClassRecord $record, Group $group): ?string
    {
        $car = $group->currentCar();
        $mean = $record->tries($car)->distances()?->mean();
        $before = (new ClassForces($record))->forecast->beforeRuns[$car->id ?? 0] ?? null;

        return $mean === null || $before === null ? null : (new ForecastWords($record->challenge->units))->isShort($mean, $before);
    }
}

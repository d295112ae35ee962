<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Challenge;
use App\Reading\ClassRecord;
use App\Reading\Outcome;
use App\Reading\RelationReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Skivo\Core\Relation\Factor;

/** What distance depends on, across the class. */
final class FindingsController
{
    public function show(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $outcome = Outcome::tryFrom($request->string('of')->toString()) ?? Outcome::Distance;
        $counts = RelationReading::countCars($record, $outcome);
        $against = Factor::tryFrom($request->string('against')->toString()) ?? RelationReading::mostTelling($record, $outcome);

        return view('findings.show', [
            'challenge' => $challenge,
            'record' => $record,
            'relation' => new RelationReading($record, $against, $outcome),
            'counts' => $counts,
        ]);
    }
}

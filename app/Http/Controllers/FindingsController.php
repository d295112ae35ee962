<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Challenge;
use App\Reading\ClassFigure;
use App\Reading\ClassFindings;
use App\Reading\ClassForces;
use App\Reading\ClassRecord;
use App\Reading\Counting;
use App\Reading\Outcome;
use App\Reading\PredictionsReading;
use App\Reading\RelationReading;
use App\Wording\FindingWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Relation\Factor;
use Skivo\Core\Sheet\Csv;

/** What the class found out: together, choice by choice, beside the model, and who gets which award. */
final class FindingsController
{
    public function show(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);

        return view('findings.show', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings,
            'words' => new FindingWords($record, $findings), 'figure' => new ClassFigure($record, $findings),
        ]);
    }

    public function choices(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $outcome = Outcome::tryFrom($request->string('of')->toString()) ?? Outcome::Distance;
        $counts = RelationReading::countCars($record, $outcome);
        $against = Factor::tryFrom($request->string('against')->toString()) ?? RelationReading::mostTelling($record, $outcome);

        return view('findings.choices', [
            'challenge' => $challenge,
            'record' => $record,
            'relation' => new RelationReading($record, $against, $outcome),
            'counts' => $counts,
        ]);
    }

    public function model(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);
        $shown = $request->integer('car');

        return view('findings.model', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings,
            'words' => new FindingWords($record, $findings), 'forces' => new ClassForces($record),
            'shown' => isset($findings->energies[$shown]) ? $shown : ($findings->typical ?? 0),
        ]);
    }

    public function awards(Request $request, Challenge $challenge): View
    {
        [$record, $findings] = $this->find($request, $challenge);

        return view('findings.awards', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings,
            'words' => new FindingWords($record, $findings), 'predictions' => PredictionsReading::of($record),
        ]);
    }

    /** The numbers behind the class figure. */
    public function download(Request $request, Challenge $challenge): Response
    {
        [$record, $findings] = $this->find($request, $challenge);
        $units = $challenge->units;
        $unit = $units->symbol(Scale::Distance);
        $rows = [['group', 'version', 'thrust over resistance', '95 % from', '95 % to', 'known from', "mean distance ({$unit})", "95 % from ({$unit})", "95 % to ({$unit})", 'tries', "model ({$unit})"]];
        foreach ((new ClassFigure($record, $findings))->rows() as $row) {
            $distance = static fn(?float $metres): string => $metres === null ? '' : $units->figure($metres, Scale::Distance, 1);
            $rows[] = [
                Csv::text($row['group']->name), (string) $row['car']->version, number_format($row['ratio'], 3, '.', ''), number_format($row['ratioInterval']->low, 3, '.', ''), number_format($row['ratioInterval']->high, 3, '.', ''), $row['known'],
                $distance($row['distance']), $distance($row['distanceInterval']?->low), $distance($row['distanceInterval']?->high), (string) $row['runs'], $distance(($findings->balances[$row['car']->id] ?? null)?->distanceM),
            ];
        }

        return response(Csv::write($rows))->header('Content-Type', 'text/csv; charset=UTF-8')->header('Content-Disposition', 'attachment; filename="class-figure.csv"');
    }

    /** @return array{ClassRecord, ClassFindings} */
    private function find(Request $request, Challenge $challenge): array
    {
        $record = ClassRecord::of($challenge);

        return [$record, ClassFindings::of($record, Counting::tryFrom($request->string('tries')->toString()) ?? Counting::Rule)];
    }
}

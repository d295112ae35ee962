<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exports\FigureSheet;
use App\Models\Challenge;
use App\Presenters\FindingWords;
use App\ViewModels\ClassFigure;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassForces;
use App\ViewModels\ClassRecord;
use App\ViewModels\Counting;
use App\ViewModels\Outcome;
use App\ViewModels\PredictionsReading;
use App\ViewModels\RelationReading;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Skivo\Core\Car\CarAttribute;

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
        [$record, $relation, $counts] = $this->relate($request, $challenge);

        return view('findings.choices', [
            'challenge' => $challenge,
            'record' => $record,
            'relation' => $relation,
            'counts' => $counts,
            'holds' => ClassFindings::of($record)->claims->trend($relation->factor, $relation->outcome->value),
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

    /** The numbers behind a figure. */
    public function download(Request $request, Challenge $challenge, string $figure): Response
    {
        [$record, $findings] = $this->find($request, $challenge);
        $sheet = new FigureSheet($record);
        $csv = match ($figure) {
            'choice' => $sheet->ofChoice($this->relate($request, $challenge)[1]),
            'model' => $sheet->ofModel($findings),
            default => $sheet->ofClass($findings),
        };

        return response($csv)->header('Content-Type', 'text/csv; charset=UTF-8')->header(
            'Content-Disposition',
            "attachment; filename=\"{$figure}.csv\"",
        );
    }

    /** @return array{ClassRecord, RelationReading, array<string, int>} */
    private function relate(Request $request, Challenge $challenge): array
    {
        $record = ClassRecord::of($challenge);
        $outcome = Outcome::tryFrom($request->string('of')->toString()) ?? Outcome::Distance;
        $against = CarAttribute::tryFrom($request->string('against')->toString()) ?? RelationReading::mostTelling($record, $outcome);

        return [$record, new RelationReading($record, $against, $outcome), RelationReading::countCars($record, $outcome)];
    }

    /** @return array{ClassRecord, ClassFindings} */
    private function find(Request $request, Challenge $challenge): array
    {
        $record = ClassRecord::of($challenge);

        return [$record, ClassFindings::of($record, Counting::tryFrom($request->string('tries')->toString()) ?? Counting::Rule)];
    }
}

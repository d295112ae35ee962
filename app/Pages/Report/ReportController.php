<?php

declare(strict_types=1);

namespace App\Pages\Report;

use App\Actions\ChangeChallenge;
use App\Language\Text;
use App\Models\Challenge;
use App\Pages\Findings\AnswerReading;
use App\Pages\Findings\FindingWords;
use App\Pages\Findings\WorkDrawing;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What goes home on paper: the report of the class, a notebook sheet for each group, certificates. */
final class ReportController
{
    public function show(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $findings = ClassFindings::of($record);

        return view('report.show', [
            'challenge' => $challenge, 'record' => $record, 'findings' => $findings, 'words' => new FindingWords($record, $findings),
            'figure' => (new AnswerReading($record, $findings))->figure,
            'drawing' => new WorkDrawing($challenge->units, $findings->found->works),
        ]);
    }

    /** A sheet for each group, or for the one that is asked for. */
    public function notebooks(Request $request, Challenge $challenge): View
    {
        return view('report.notebooks', get_object_vars(NotebookSheets::of(ClassRecord::of($challenge), $request->integer('group'))));
    }

    public function certificates(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('report.certificates', [
            'challenge' => $challenge, 'record' => $record,
            'reading' => CertificatesReading::of($record),
        ]);
    }

    /** Adds an award of the educator's own, or removes one. */
    public function award(OwnAwardRequest $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $remove = $request->input('remove');
        $remove === null
            ? $change->award($challenge, $request->string('award_title')->toString(), $request->integer('award_group'))
            : $change->withdrawAward($challenge, (int) $remove);

        return redirect()->route('report.certificates', $challenge)->with(
            'status',
            Text::of($remove === null ? 'report.certificates.added' : 'report.certificates.removed'),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Report;

use App\Actions\ChangeChallenge;
use App\Language\PathWords;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use App\Pages\Findings\AnswerReading;
use App\Pages\Findings\FindingWords;
use App\Pages\Findings\PredictionsReading;
use App\Pages\Findings\WorkDrawing;
use App\Pages\Group\Notebook;
use App\Record\CarReading;
use App\Record\ClassFindings;
use App\Record\ClassForces;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
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
            'forces' => new ClassForces($record),
            'cautions' => ClassPlan::of($challenge)->cautions(),
        ]);
    }

    /** A sheet for each group, or for the one that is asked for. */
    public function notebooks(Request $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        $plan = ClassPlan::of($challenge);
        $asked = $request->integer('group');
        $findings = ClassFindings::of($record);
        $groups = $record->groups->filter(static fn(Group $group): bool => $asked === 0 || $group->id === $asked)->values();

        (new Collection($groups->all()))->load('entries.picture');

        return view('report.notebooks', [
            'challenge' => $challenge, 'record' => $record, 'groups' => $groups, 'predictions' => PredictionsReading::of($record),
            'findings' => $findings, 'words' => new FindingWords($record, $findings), 'path' => new PathWords($challenge->age),
            'written' => $groups->mapWithKeys(static fn(Group $group): array => [$group->id => Notebook::written($group)])->all(),
            'drawn' => $groups->mapWithKeys(
                static fn(Group $group): array => [
                    $group->id => $group->currentCar() === null
                        ? null
                        : new CarReading($group->currentCar()->choices, $plan, $plan->forGroup($group)->kitCar()),
                ],
            )->all(),
        ]);
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

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRun;
use App\Actions\LogRun;
use App\Http\Requests\RunRequest;
use App\Models\Challenge;
use App\Models\Run;
use App\Models\User;
use App\Reading\ClassRecord;
use App\Wording\RunWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Run day: the floor, the entry strip, and every run on record. */
final class RunController
{
    private const RUNS_A_PAGE = 100;

    public function show(Challenge $challenge): View
    {
        return view('run.show', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge)]);
    }

    public function index(Request $request, Challenge $challenge): View
    {
        return view('run.index', [
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'runs' => $challenge->runs()
                ->withTrashed()
                ->with(['car.group', 'changes.user'])
                ->orderByDesc('logged_at')->orderByDesc('id')
                ->simplePaginate(self::RUNS_A_PAGE),
            'editing' => $request->string('edit')->toString(),
        ]);
    }

    public function store(RunRequest $request, Challenge $challenge, LogRun $logRun): RedirectResponse
    {
        $run = $logRun(
            $request->group()->setRelation('challenge', $challenge),
            $request->string('id')->toString(),
            $request->record(),
        );
        $run->load('car.group');
        if ($run->car->group->challenge_id !== $challenge->id) {
            // An id is the device's own; one that names a run elsewhere is none of ours.
            return redirect()->route('runs.show', $challenge)->withErrors(['id' => 'The page was out of date. Log the run again.'])->withInput($request->except('id'));
        }

        return redirect()->route('runs.show', $challenge)
            ->with('logged', $run->id)
            ->with('status', 'Logged: ' . RunWords::summary($run, $challenge->units) . '.');
    }

    public function update(RunRequest $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $change->edit(
            $run,
            $user,
            $request->group()->setRelation('challenge', $challenge),
            $request->record(),
        );

        return redirect()->to(route('runs.index', [$challenge, 'page' => max(1, $request->integer('page'))]) . "#run-{$run->id}")
            ->with('status', 'Corrected. The old values stay on record below the run.');
    }

    public function destroy(Request $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $change->undo($run, $user);

        return redirect()->back(fallback: route('runs.show', $challenge))
            ->with('status', 'Taken back: ' . RunWords::summary($run->load('car.group'), $challenge->units) . '.')
            ->with('putBack', route('runs.restore', [$challenge, $run]));
    }

    public function restore(Request $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        if ($run->trashed()) {
            $change->restore($run, $user);
        }

        return redirect()->back(fallback: route('runs.show', $challenge))
            ->with('status', 'Back on record: ' . RunWords::summary($run->load('car.group'), $challenge->units) . '.');
    }
}

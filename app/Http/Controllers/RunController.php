<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeRun;
use App\Actions\LogRun;
use App\Actions\RunHasChanged;
use App\Http\Requests\RunRequest;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use App\Models\User;
use App\Reading\ClassRecord;
use App\Reading\Floor;
use App\Reading\FloorState;
use App\Wording\RunWords;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Run day: the floor, the entry strip, and every run on record. */
final class RunController
{
    private const RUNS_A_PAGE = 100;

    public function show(Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);

        return view('run.show', ['challenge' => $challenge, 'record' => $record, 'floor' => new Floor($record)]);
    }

    /** The floor as it is now, in pieces, for a page that is open already. */
    public function state(Request $request, Challenge $challenge): JsonResponse
    {
        return response()->json(FloorState::of($challenge, $request->getSchemeAndHttpHost()) + ['token' => csrf_token()]);
    }

    public function index(Request $request, Challenge $challenge): View
    {
        $cars = array_values(array_filter(array_map(intval(...), explode(',', $request->string('cars')->toString())), static fn(int $id): bool => $id > 0));

        return view('run.index', [
            'challenge' => $challenge,
            'behind' => $cars !== [],
            'record' => ClassRecord::of($challenge),
            'runs' => $challenge->runs()
                ->withTrashed()
                ->when($cars !== [], static fn($runs) => $runs->whereIn('car_id', $cars))
                ->with(['car.group', 'changes.user', 'changes.device'])
                ->orderByDesc('logged_at')->orderByDesc('id')
                ->simplePaginate(self::RUNS_A_PAGE)->withQueryString(),
            'editing' => $request->string('edit')->toString(),
        ]);
    }

    /**
     * A page sends a form; a lane that may be offline sends JSON and keeps the run until it hears that it is safe:
     * 201 logged, 200 was logged already, 409 a question to answer, anything else refused with the reason.
     */
    public function store(RunRequest $request, Challenge $challenge, LogRun $logRun): RedirectResponse|JsonResponse
    {
        $id = $request->string('id')->toString();
        $known = Run::query()->withTrashed()->with('car.group')->find($id);
        $questions = $known === null ? $request->questions() : [];
        if ($questions !== []) {
            return $request->expectsJson()
                ? response()->json(['questions' => $questions], 409)
                : redirect()->route('runs.show', $challenge)->withInput()->with('questions', $questions);
        }
        $run = $known ?? $logRun($request->group()->setRelation('challenge', $challenge), $id, $request->record(), $request->readingIds());
        $run->load('car.group');
        if ($run->car->group->challenge_id !== $challenge->id) {
            // An id is the device's own; one that names a run elsewhere is none of ours.
            $said = 'The page was out of date. Log the run again.';

            return $request->expectsJson()
                ? response()->json(['errors' => ['id' => [$said]]], 422)
                : redirect()->route('runs.show', $challenge)->withErrors(['id' => $said])->withInput($request->except('id'));
        }
        $said = RunWords::summary($run, $challenge->units);
        if ($request->expectsJson()) {
            return response()->json(['id' => $run->id, 'said' => $said], $known === null ? 201 : 200);
        }

        return redirect()->to($request->input('back') === 'group' ? route('groups.own', [$challenge, $run->car->group_id]) : route('runs.show', $challenge))
            ->with('logged', $run->id)
            ->with('status', "Logged: {$said}.");
    }

    public function update(RunRequest $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        /** @var User|Device $by */
        $by = $request->user();
        $edition = $request->input('edition');
        try {
            $change->edit($run, $by, $request->group()->setRelation('challenge', $challenge), $request->record(), is_numeric($edition) ? (int) $edition : null);
        } catch (RunHasChanged $changed) {
            $last = $changed->run->changes()->with(['user', 'device'])->reorder('id', 'desc')->first();

            // What was typed stays in the form; saving it again is then a choice, not a chance.
            return redirect()->to(route('runs.index', [$challenge, 'edit' => $run->id, 'page' => max(1, $request->integer('page'))]) . "#run-{$run->id}")
                ->withInput($request->except('edition'))
                ->with('conflict', ['by' => $last?->by() ?? 'somebody', 'now' => ChangeRun::onRecord($changed->run)]);
        }

        return redirect()->to($request->input('back') === 'group' ? route('groups.own', [$challenge, $run->refresh()->load('car')->car->group_id]) : route('runs.index', [$challenge, 'page' => max(1, $request->integer('page'))]) . "#run-{$run->id}")
            ->with('status', 'Corrected. The old values stay on record below the run.');
    }

    public function destroy(Request $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        /** @var User|Device $by */
        $by = $request->user();
        $change->undo($run, $by);

        return redirect()->back(fallback: route('runs.show', $challenge))
            ->with('status', 'Taken back: ' . RunWords::summary($run->load('car.group'), $challenge->units) . '.')
            ->with('putBack', route('runs.restore', [$challenge, $run]));
    }

    public function restore(Request $request, Challenge $challenge, Run $run, ChangeRun $change): RedirectResponse
    {
        /** @var User|Device $by */
        $by = $request->user();
        if ($run->trashed()) {
            $change->restore($run, $by);
        }

        return redirect()->back(fallback: route('runs.show', $challenge))
            ->with('status', 'Back on record: ' . RunWords::summary($run->load('car.group'), $challenge->units) . '.');
    }
}

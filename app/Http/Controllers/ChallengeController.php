<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DeleteForGood;
use App\Http\Requests\ChallengeRequest;
use App\Models\Challenge;
use App\Models\User;
use App\Reading\ChallengeList;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Measurement\UnitSystem;

/** An educator's challenges, and the plan of each. */
final class ChallengeController
{
    public function index(Request $request): View
    {
        /** @var User $user */
        $user = $request->user();

        return view('challenges.index', ['list' => ChallengeList::of($user)]);
    }

    public function create(): View
    {
        return view('challenges.create', ['challenge' => new Challenge([
            'goal' => Goal::Farthest,
            'scoring' => Scoring::Mean,
            'tries' => 3,
            'units' => UnitSystem::Metric,
        ])]);
    }

    public function store(ChallengeRequest $request): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $challenge = DB::transaction(static fn() => $user->challenges()->create($request->plan()));

        if ($request->input('then') === 'sheet') {
            return redirect()->to(route('sheet.show', $challenge) . '#bring')->with('status', "“{$challenge->name}” is set. Next: bring the class sheet in.");
        }

        return redirect()->route('materials.show', $challenge)->with('status', "“{$challenge->name}” is set. Next: what it takes to build the cars.");
    }

    public function edit(Challenge $challenge): View
    {
        return view('challenges.edit', ['challenge' => $challenge, 'record' => ClassRecord::of($challenge)]);
    }

    public function update(ChallengeRequest $request, Challenge $challenge): RedirectResponse
    {
        DB::transaction(static fn() => $challenge->update($request->plan()));

        return redirect()->route('challenges.edit', $challenge)->with('status', 'The rules are saved.');
    }

    public function destroy(Challenge $challenge): RedirectResponse
    {
        DB::transaction(static fn() => $challenge->delete());

        return redirect()->route('challenges.index')
            ->with('status', "“{$challenge->name}” is removed.")
            ->with('putBack', route('challenges.restore', $challenge));
    }

    public function restore(Challenge $challenge): RedirectResponse
    {
        DB::transaction(static fn() => $challenge->restore());

        return redirect()->route('runs.show', $challenge)->with('status', "“{$challenge->name}” is back, with everything in it.");
    }

    /** Only what was removed first: two steps, since nothing brings it back. */
    public function deleteForGood(Challenge $challenge, DeleteForGood $delete): RedirectResponse
    {
        abort_unless($challenge->trashed(), 404);
        $delete->challenge($challenge);

        return redirect()->route('challenges.index')->with('status', "“{$challenge->name}” is deleted for good.");
    }
}

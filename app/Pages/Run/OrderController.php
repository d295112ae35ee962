<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Access\Actor;
use App\Actions\ChangeChallenge;
use App\Actions\ChangeOrder;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Who repairs, is skipped, withdraws or comes back; and what comes after the tries. */
final class OrderController
{
    public function update(OrderRequest $request, Challenge $challenge, ChangeOrder $change): RedirectResponse|JsonResponse
    {
        $group = $request->group();
        $act = $change($group, $request->act(), Actor::of($request));
        $said = match ($request->act()) {
            'repair' => Text::of('run.done.repairs_and_keeps_its_place', ['group' => $group->name]),
            'ready' => Text::of('run.done.is_ready', ['group' => $group->name]),
            'skip' => Text::of('run.done.goes_behind_the_others_of_this', ['group' => $group->name]),
            'withdraw' => Text::of('run.done.has_withdrawn_its_runs_stay_on', ['group' => $group->name]),
            default => Text::of('run.done.is_back', ['group' => $group->name]),
        };

        return $request->expectsJson()
            ? response()->json(['said' => $said])
            : redirect()->route('runs.show', $challenge)->with('status', $said)->with('undo', $act->id);
    }

    /** Small, medium, full, twice each, for one car after its tries. */
    public function sweep(SweepRequest $request, Challenge $challenge, ChangeOrder $change): RedirectResponse
    {
        $group = $request->group();
        $act = $change->sweep($group, $request->sweep($group), Actor::of($request));

        return redirect()->route('runs.show', $challenge)
            ->with('status', Text::of('run.done.sweeps', ['group' => $group->name]))->with('undo', $act->id);
    }

    /** After the tries each car is timed over a length that all of them reach. */
    public function timedRound(TimedRoundRequest $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->timedRound($challenge, $request->integer('rounds'), $request->length());

        return redirect()->route('runs.show', $challenge)->with('status', Text::of('run.timed.set'));
    }

    public function noTimedRound(Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $change->timedRound($challenge, 0);

        return redirect()->route('runs.show', $challenge)->with('status', Text::of('run.timed.out'));
    }

    public function stopSweep(Request $request, Challenge $challenge, Group $group, ChangeOrder $change): RedirectResponse
    {
        $act = $change->sweep($group, null, Actor::of($request));

        return redirect()->route('runs.show', $challenge)
            ->with('status', Text::of('run.done.sweeps_no_more', ['group' => $group->name]))->with('undo', $act->id);
    }
}

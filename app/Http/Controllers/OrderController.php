<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Actor;
use App\Actions\ChangeOrder;
use App\Http\Requests\OrderRequest;
use App\Models\Challenge;
use App\Presenters\Text;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;

/** Who repairs, is skipped, withdraws or comes back. */
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
}

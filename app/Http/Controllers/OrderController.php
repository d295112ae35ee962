<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Actor;
use App\Actions\ChangeOrder;
use App\Http\Requests\OrderRequest;
use App\Models\Challenge;
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
            'repair' => "{$group->name} repairs, and keeps its place.",
            'ready' => "{$group->name} is ready.",
            'skip' => "{$group->name} goes behind the others of this round.",
            'withdraw' => "{$group->name} has withdrawn. Its runs stay on record.",
            default => "{$group->name} is back.",
        };

        return $request->expectsJson()
            ? response()->json(['said' => $said])
            : redirect()->route('runs.show', $challenge)->with('status', $said)->with('undo', $act->id);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OrderRequest;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

/** Who repairs, is skipped, withdraws or comes back. */
final class OrderController
{
    /** What takes each of them back. */
    private const BACK = ['repair' => 'ready', 'ready' => 'repair', 'skip' => 'ready', 'withdraw' => 'return', 'return' => 'withdraw'];

    public function update(OrderRequest $request, Challenge $challenge): RedirectResponse|JsonResponse
    {
        $group = $request->group();
        $said = DB::transaction(fn(): string => $this->change($group, $request->act()));

        return $request->expectsJson()
            ? response()->json(['said' => $said])
            : redirect()->route('runs.show', $challenge)->with('status', $said)->with('undo', ['order.update', self::BACK[$request->act()] . ":{$group->id}"]);
    }

    private function change(Group $group, string $act): string
    {
        $tries = $group->currentCar()?->tries($group->challenge);
        $group->update(match ($act) {
            'repair' => ['is_repairing' => true],
            'ready' => ['is_repairing' => false, 'skipped_try' => null, 'skipped_at' => null],
            'skip' => ['skipped_try' => ($tries?->made() ?? 0) + 1, 'skipped_at' => now()],
            'withdraw' => ['is_withdrawn' => true],
            default => ['is_withdrawn' => false],
        });

        return match ($act) {
            'repair' => "{$group->name} repairs, and keeps its place.",
            'ready' => "{$group->name} is ready.",
            'skip' => "{$group->name} goes behind the others of this round.",
            'withdraw' => "{$group->name} has withdrawn. Its runs stay on record.",
            default => "{$group->name} is back.",
        };
    }
}

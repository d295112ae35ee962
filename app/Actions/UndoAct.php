<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Act;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use Illuminate\Support\Facades\DB;

/**
 * Takes back one act: a logged run is taken back, one that was taken back comes back, a correction gives way to what stood
 * there before, a group stands again where it stood. That is an act too, and can be undone like any other.
 */
final class UndoAct
{
    public function __construct(
        private readonly ChangeRun $change,
        private readonly ChangeOrder $order,
    ) {}

    /** The last act of this educator at this browser, or of this device; null where there is none. */
    public static function lastOf(Challenge $challenge, Actor $by): ?Act
    {
        return Act::query()->where('challenge_id', $challenge->id)
            ->when(
                $by->who instanceof Device,
                static fn($acts) => $acts->where('device_id', $by->who->id),
                static fn($acts) => $acts->where('user_id', $by->who->id)->where('seat', $by->seat),
            )
            ->orderByDesc('id')->first();
    }

    /** @throws ActIsOvertakenException where the run or the group was changed since */
    public function __invoke(Act $act, Actor $by): void
    {
        DB::transaction(function () use ($act, $by): void {
            // One at a time in a challenge, so that nothing comes between the look and the change.
            Challenge::query()->whereKey($act->challenge_id)->lock(Lock::ROW)->firstOrFail();
            $since = $act->overtakenBy();
            if ($since !== null) {
                throw new ActIsOvertakenException($since);
            }
            if ($act->run_id === null) {
                $this->order->putBack($act, $by);

                return;
            }
            $run = Run::query()->withTrashed()->with('car.group.challenge')->findOrFail($act->run_id);
            match ($act->kind) {
                'undone' => $this->change->restore($run, $by),
                'edited' => isset($act->before['car_id'])
                    ? $this->change->putBack($run, $by, $act->before)
                    : throw new ActIsOvertakenException($act),
                default => $this->change->undo($run, $by),
            };
            if ($act->kind === 'logged' && $act->before !== []) {
                $this->order->stand($act);
            }
        });
    }
}

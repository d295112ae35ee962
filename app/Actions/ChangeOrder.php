<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Act;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\FillSweep;

/** Says who repairs, is skipped, withdraws or comes back. */
final class ChangeOrder
{
    private const COLUMNS = ['is_repairing', 'is_withdrawn', 'skipped_try', 'skipped_at', 'sweep'];

    /** @param string $do repair, ready, skip, withdraw or return */
    public function __invoke(Group $group, string $do, Actor $by): Act
    {
        return DB::transaction(function () use ($group, $do, $by): Act {
            $held = Group::query()->with(['cars.runs', 'challenge'])->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $before = self::standing($held);
            $held->update(match ($do) {
                'repair' => ['is_repairing' => true],
                'ready' => ['is_repairing' => false, 'skipped_try' => null, 'skipped_at' => null],
                'skip' => ['skipped_try' => self::turns($held) + 1, 'skipped_at' => now()],
                'withdraw' => ['is_withdrawn' => true],
                default => ['is_withdrawn' => false],
            });

            return $this->act($held, $by, $before);
        });
    }

    /** Puts a sweep over the fill after a car's tries; null takes it out. */
    public function sweep(Group $group, ?FillSweep $sweep, Actor $by): Act
    {
        return DB::transaction(function () use ($group, $sweep, $by): Act {
            $held = Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $before = self::standing($held);
            $held->update(['sweep' => $sweep?->json()]);

            return $this->act($held, $by, $before);
        });
    }

    /** How many of a group's turns are over: practice by rule, and tries. */
    private static function turns(Group $group): int
    {
        $tries = $group->currentCar()?->tries($group->challenge);
        $first = $group->challenge->practice_runs;

        return $tries === null ? 0 : $first - $tries->practiceLeft($first) + $tries->made();
    }

    /** A group stands again as it stood before an act. */
    public function putBack(Act $act, Actor $by): void
    {
        DB::transaction(function () use ($act, $by): void {
            $held = Group::query()->whereKey($act->group_id)->lock(Lock::ROW)->firstOrFail();
            $before = self::standing($held);
            $held->update(array_intersect_key($act->before, array_flip(self::COLUMNS)));
            $this->act($held, $by, $before);
        });
    }

    /** As it stood before its run was logged. */
    public function stand(Act $act): void
    {
        Group::query()->whereKey($act->group_id)->first()?->update(array_intersect_key($act->before, array_flip(self::COLUMNS)));
    }

    /** @return array<string, bool|int|string|null> where a group stands in the order, by column */
    public static function standing(Group $group): array
    {
        return [
            'is_repairing' => $group->is_repairing,
            'is_withdrawn' => $group->is_withdrawn,
            'skipped_try' => $group->skipped_try,
            'skipped_at' => $group->skipped_at?->format('Y-m-d H:i:s.vP'),
            'sweep' => $group->sweep,
        ];
    }

    /** @param array<string, bool|int|string|null> $before */
    private function act(Group $group, Actor $by, array $before): Act
    {
        return Act::query()->create($by->columns() + [
            'challenge_id' => $group->challenge_id,
            'group_id' => $group->id,
            'kind' => 'ordered',
            'before' => $before,
            'after' => self::standing($group),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Act;
use App\Models\Group;
use Illuminate\Support\Facades\DB;

/** Says who repairs, is skipped, withdraws or comes back. */
final class ChangeOrder
{
    private const COLUMNS = ['is_repairing', 'is_withdrawn', 'skipped_try', 'skipped_at'];

    /** @param string $do repair, ready, skip, withdraw or return */
    public function __invoke(Group $group, string $do, Actor $by): Act
    {
        return DB::transaction(function () use ($group, $do, $by): Act {
            $held = Group::query()->with(['cars.runs', 'challenge'])->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $before = self::standing($held);
            $held->update(match ($do) {
                'repair' => ['is_repairing' => true],
                'ready' => ['is_repairing' => false, 'skipped_try' => null, 'skipped_at' => null],
                'skip' => ['skipped_try' => ($held->currentCar()?->tries($held->challenge)->made() ?? 0) + 1, 'skipped_at' => now()],
                'withdraw' => ['is_withdrawn' => true],
                default => ['is_withdrawn' => false],
            });

            return $this->act($held, $by, $before);
        });
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

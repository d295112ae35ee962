<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Mark;

/** Renames a group, removes it with all that is its own, and brings it back. */
final class ChangeGroup
{
    public function rename(Group $group, string $name, string $mark): void
    {
        DB::transaction(static fn(): bool => $group->update(['name' => $name, 'mark' => $mark]));
    }

    public function remove(Group $group): void
    {
        DB::transaction(static fn(): ?bool => $group->delete());
    }

    /**
     * With another mark where its own was given away meanwhile.
     *
     * @throws \Illuminate\Database\UniqueConstraintViolationException where another group has its name by now
     */
    public function restore(Challenge $challenge, Group $group): void
    {
        DB::transaction(static function () use ($challenge, $group): void {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();
            $taken = $challenge->marksInUse($group);
            if (in_array($group->mark, $taken, true)) {
                $group->mark = Mark::firstFree($taken) ?? $group->mark;
            }
            $group->restore();
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Mark;

/** Renames a group, removes it with all that is its own, brings it back, and says which of its cars counts for awards. */
final class ChangeGroup
{
    public function rename(Group $group, string $name, string $mark): void
    {
        DB::transaction(static function () use ($group, $name, $mark): void {
            $old = $group->name;
            $group->update(['name' => $name] + ($group->of_group_id === null ? ['mark' => $mark] : []));
            // Its further cars have its name and its mark.
            foreach ($group->furtherCars()->withTrashed()->get() as $car) {
                $begins = str_starts_with($car->name, $old . AddGroups::OF);
                $car->update(['mark' => $mark, 'name' => $begins ? $name . mb_substr($car->name, mb_strlen($old)) : $car->name]);
            }
        });
    }

    /** Of all cars of its group, this one counts for awards. */
    public function nominate(Group $group): void
    {
        DB::transaction(static function () use ($group): void {
            $team = Group::query()->where(static fn($groups) => $groups->whereKey($group->team())->orWhere('of_group_id', $group->team()))
                ->lock(Lock::ROW)
                ->get();
            foreach ($team as $car) {
                $car->update(['is_nominated' => $car->id === $group->id]);
            }
        });
    }

    public function remove(Group $group): void
    {
        DB::transaction(static function () use ($group): void {
            $group->furtherCars()->delete();
            $group->delete();
            // Where the car that counted goes, that of the group itself counts.
            if ($group->of_group_id !== null && $group->is_nominated) {
                $group->update(['is_nominated' => false]);
                Group::query()->whereKey($group->of_group_id)->update(['is_nominated' => true]);
            }
        });
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
            $group->furtherCars()->onlyTrashed()->restore();
        });
    }
}

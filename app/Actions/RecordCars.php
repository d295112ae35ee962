<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Car as Choices;

/** Records the cars of all groups at once, and gives the groups their names. All or nothing. */
final class RecordCars
{
    public function __construct(private readonly RecordCar $recordCar) {}

    /**
     * A car that ran becomes a new version where it was changed; any other is corrected.
     *
     * @param array<int, Choices> $cars by the id of the group
     * @param array<int, string> $names likewise
     * @param array<int, string> $seen likewise: which car in which edition was looked at, as RecordCar::edition() has it
     *
     * @return int how many cars were recorded or changed
     *
     * @throws CarHasChangedException where somebody else changed one since
     */
    public function __invoke(Challenge $challenge, array $cars, array $names, array $seen, User $by): int
    {
        return DB::transaction(function () use ($challenge, $cars, $names, $seen, $by): int {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();
            $groups = $challenge->groups()->with('cars')->get()->keyBy('id');
            $this->rename($groups->all(), $names);
            $recorded = 0;
            foreach ($cars as $id => $choices) {
                $group = $groups->get($id);
                $current = $group?->newestCar();
                $before = $current->choices ?? new Choices();
                if ($group === null || $before->changesTo($choices) === []) {
                    continue;
                }
                ($this->recordCar)($group, $choices, $current?->runs()->exists() === true, null, $by, $seen[$id] ?? null);
                $recorded++;
            }

            return $recorded;
        });
    }

    /**
     * @param array<int, Group> $groups by their id
     * @param array<int, string> $names
     */
    private function rename(array $groups, array $names): void
    {
        $changed = array_filter($groups, static fn(Group $group): bool => isset($names[$group->id]) && $names[$group->id] !== $group->name);
        // Two may change names with each other, and no two may have one at any moment.
        foreach ($changed as $group) {
            $group->update(['name' => "… {$group->id}"]);
        }
        foreach ($changed as $group) {
            $group->update(['name' => $names[$group->id]]);
        }
    }
}

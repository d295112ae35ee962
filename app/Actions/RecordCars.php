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
     * What a car that has run gets told for the first time is its record; where it reads otherwise than before, somebody must say.
     *
     * @param array<int, Choices> $cars by the id of the group
     * @param array<int, string> $names likewise
     * @param array<int, string> $seen likewise: which car in which edition was looked at, as RecordCar::edition() has it
     *
     * @param bool|null $asNewVersions whether cars that have run were changed, and not only their record; null where nobody said
     *
     * @return int how many cars were recorded or changed
     *
     * @throws CarHasChangedException where somebody else changed one since
     * @throws ChangedOrCorrectedException where cars that have run would read otherwise, all of them at once
     */
    public function __invoke(Challenge $challenge, array $cars, array $names, array $seen, ?bool $asNewVersions, User $by): int
    {
        return DB::transaction(function () use ($challenge, $cars, $names, $seen, $asNewVersions, $by): int {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();
            $groups = $challenge->groups()->with('cars')->get()->keyBy('id');
            $this->rename($groups->all(), $names);
            $recorded = 0;
            $unsaid = [];
            foreach ($cars as $id => $choices) {
                $group = $groups->get($id);
                $before = $group?->newestCar()->choices ?? new Choices();
                if ($group === null || $before->changesTo($choices) === []) {
                    continue;
                }
                try {
                    // All of them note what is new to the class on one and the same class.
                    $group->setRelation('challenge', $challenge);
                    ($this->recordCar)($group, $choices, $asNewVersions, null, $by, $seen[$id] ?? null);
                    $recorded++;
                } catch (ChangedOrCorrectedException $each) {
                    array_push($unsaid, ...$each->cars);
                }
            }
            if ($unsaid !== []) {
                throw new ChangedOrCorrectedException($unsaid);
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

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\CarAttribute;

/** Asks groups to change one thing on their cars, and takes that back. Whoever was asked something else before is asked this. */
final class AskForChange
{
    /** @param array<int, array{CarAttribute, float|string}> $changes what, and to which value, by the id of the group */
    public function __invoke(Challenge $challenge, array $changes): void
    {
        DB::transaction(function () use ($challenge, $changes): void {
            $this->takeBack($challenge);
            foreach ($challenge->groups()->whereKey(array_keys($changes))->get() as $group) {
                [$attribute, $to] = $changes[$group->id];
                $group->update(['asked_attribute' => $attribute, 'asked_to' => (string) $to]);
            }
        });
    }

    public function takeBack(Challenge $challenge): void
    {
        DB::transaction(static function () use ($challenge): void {
            foreach ($challenge->groups()->whereNotNull('asked_attribute')->lock(Lock::ROW)->get() as $group) {
                /** @var Group $group */
                $group->update(['asked_attribute' => null, 'asked_to' => null]);
            }
        });
    }
}

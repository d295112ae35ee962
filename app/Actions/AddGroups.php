<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Mark;

/** Adds groups to a challenge, each with the next free mark. All or none. */
final class AddGroups
{
    /**
     * @param list<string> $names
     * @param array<string, string> $wishes a mark by name, given where it is still free
     *
     * @return list<Group>
     */
    public function __invoke(Challenge $challenge, array $names, array $wishes = []): array
    {
        return DB::transaction(function () use ($challenge, $names, $wishes): array {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();
            $taken = $challenge->marksInUse();
            $position = (int) $challenge->groups()->max('position');
            $marks = array_diff($wishes, $taken);
            $groups = [];
            foreach ($names as $name) {
                $mark = $marks[$name] ?? null;
                if ($mark === null || in_array($mark, $taken, true)) {
                    $mark = Mark::firstFree([...$taken, ...array_values($marks)]) ?? Mark::firstFree($taken);
                }
                if ($mark === null) {
                    throw new NoMarkIsLeftException();
                }
                $taken[] = $mark;
                $groups[] = $challenge->groups()->create(['name' => $name, 'mark' => $mark, 'position' => ++$position]);
            }

            return $groups;
        });
    }
}

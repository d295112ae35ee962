<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Mark;

/** Adds groups to a challenge, each with the next free mark, and further cars to groups, as in "Keel · Arrow". All or none. */
final class AddGroups
{
    /** Between the name of a group and that of its further car. */
    public const OF = ' · ';

    public function __construct(private DivideClass $divide) {}

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
                $of = $this->team($challenge, $name);
                if ($of !== null) {
                    $groups[] = $challenge->groups()->create(
                        [
                            'name' => $name, 'mark' => $of->mark, 'position' => $of->position, 'of_group_id' => $of->id,
                            'is_nominated' => false,
                        ],
                    );
                    continue;
                }
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
            ($this->divide)($challenge);

            return $groups;
        });
    }

    /** The group whose further car a name is of; null where it is a group of its own. */
    private function team(Challenge $challenge, string $name): ?Group
    {
        $at = mb_strrpos($name, self::OF);

        return $at === false ? null : $challenge->teams()->whereRaw('lower(name) = ?', [mb_strtolower(mb_substr($name, 0, $at))])->first();
    }
}

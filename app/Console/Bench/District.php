<?php

declare(strict_types=1);

namespace App\Console\Bench;

use App\Models\Challenge;
use Illuminate\Support\Facades\DB;

/** Many classes like one, stored beside it: as a district has them after years. */
final class District
{
    /** So many classes are stored at a time. */
    private const AT_ONCE = 100;

    /** @return int runs that are stored then */
    public static function fill(Challenge $like, int $classes): int
    {
        for ($made = 0; $made < $classes; $made += self::AT_ONCE) {
            DB::transaction(static fn() => self::copies($like, min(self::AT_ONCE, $classes - $made)));
        }
        DB::statement('ANALYZE challenges, groups, cars, runs');

        return (int) DB::table('runs')->count();
    }

    private static function copies(Challenge $like, int $count): void
    {
        $last = (int) DB::table('challenges')->max('id');
        self::copy('challenges', [], "FROM challenges t, generate_series(1, {$count}) WHERE t.id = {$like->id}");
        // Each new class has the groups of the one, each new group its cars, and each new car its runs: known by their names and versions.
        self::copy(
            'groups',
            ['challenge_id' => 'c.id'],
            "FROM challenges c, groups t WHERE c.id > {$last} AND t.challenge_id = {$like->id}",
        );
        $groups
            = "FROM challenges c JOIN groups g ON g.challenge_id = c.id JOIN groups o ON o.challenge_id = {$like->id} AND o.name = g.name";
        self::copy('cars', ['group_id' => 'g.id'], "{$groups} JOIN cars t ON t.group_id = o.id WHERE c.id > {$last}");
        self::copy(
            'runs',
            ['id' => 'gen_random_uuid()', 'car_id' => 'n.id'],
            "{$groups} JOIN cars p ON p.group_id = o.id JOIN cars n ON n.group_id = g.id AND n.version = p.version JOIN runs t ON t.car_id = p.id WHERE c.id > {$last}",
        );
    }

    /**
     * @param array<string, string> $instead what stands in a column instead of what the copied row has
     * @param string $from where rows t come from
     */
    private static function copy(string $table, array $instead, string $from): void
    {
        $columns = array_values(array_filter(
            DB::getSchemaBuilder()->getColumnListing($table),
            static fn(string $column): bool => $column !== 'id' || isset($instead['id']),
        ));
        $values = array_map(static fn(string $column): string => $instead[$column] ?? "t.\"{$column}\"", $columns);
        DB::insert(sprintf('INSERT INTO %s ("%s") SELECT %s %s', $table, implode('", "', $columns), implode(', ', $values), $from));
    }
}

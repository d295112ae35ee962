<?php

declare(strict_types=1);

namespace App\Archive;

use Illuminate\Support\Facades\DB;

/**
 * Which rows of which tables a challenge is made of, and how they hang together. In an archive every row has a number instead of its
 * id here, so that the same challenge gives the same archive wherever it is stored.
 */
final class ArchiveTables
{
    /** Each after those that it refers to; by which column it hangs on which. */
    public const TABLES = [
        'challenges' => null,
        'plans' => ['challenge_id', 'challenges'],
        'own_parts' => ['challenge_id', 'challenges'],
        'material_lines' => ['challenge_id', 'challenges'],
        'material_counts' => ['challenge_id', 'challenges'],
        'groups' => ['challenge_id', 'challenges'],
        'group_places' => ['group_id', 'groups'],
        'devices' => ['challenge_id', 'challenges'],
        'cars' => ['group_id', 'groups'],
        'races' => ['challenge_id', 'challenges'],
        'runs' => ['car_id', 'cars'],
        'acts' => ['challenge_id', 'challenges'],
        'car_changes' => ['car_id', 'cars'],
        'allowances' => ['car_id', 'cars'],
        'check_readings' => ['car_id', 'cars'],
        'bench_readings' => ['car_id', 'cars'],
        'pump_readings' => ['challenge_id', 'challenges'],
        'predictions' => ['car_id', 'cars'],
        'readings' => ['challenge_id', 'challenges'],
        'entries' => ['group_id', 'groups'],
        'pictures' => ['entry_id', 'entries'],
        'race_events' => ['race_id', 'races'],
        'home_links' => ['group_id', 'groups'],
        'home_items' => ['home_link_id', 'home_links'],
    ];

    /** Who may come in is nobody else's affair, and accounts are no part of what a class recorded. */
    private const LEFT_OUT = ['token_hash', 'jpeg'];

    /** Columns that refer to a row of another table and say so by no foreign key. */
    private const ALSO = [
        'entries.run_id' => 'runs', 'race_events.entrant' => 'groups', 'race_events.against' => 'groups',
        'race_events.undoes' => 'race_events.event_id',
    ];

    /** Within JSON: at every key of this name, whatever its depth. */
    public const IN_JSON = [
        'acts.before' => ['car_id' => 'cars', 'race_id' => 'races'],
        'acts.after' => ['car_id' => 'cars', 'race_id' => 'races'],
        'challenges.own_awards' => ['group' => 'groups'],
    ];

    /** Lists of ids. */
    public const LISTS = ['races.entrants' => 'groups'];

    /** @return array<string, array{type: string, nullable: bool}> by column, in the table's order */
    public static function columns(string $table): array
    {
        $columns = [];
        foreach (DB::select(
            'SELECT column_name AS name, data_type AS type, is_nullable AS nullable FROM information_schema.columns WHERE table_schema = current_schema() AND table_name = ? ORDER BY ordinal_position',
            [$table],
        ) as $column) {
            if (!in_array($column->name, self::LEFT_OUT, true)) {
                $columns[$column->name] = ['type' => $column->type, 'nullable' => $column->nullable === 'YES'];
            }
        }

        return $columns;
    }

    /** @return array<string, string> the table that each column of it refers to */
    public static function references(string $table): array
    {
        $found = [];
        foreach (DB::select(<<<'SQL'
            SELECT attname AS of, confrelid::regclass::text AS refers FROM pg_constraint JOIN pg_attribute ON attrelid = conrelid AND attnum = conkey[1]
            WHERE contype = 'f' AND conrelid = ?::regclass
            SQL, [$table]) as $key) {
            $found[$key->of] = $key->refers;
        }
        foreach (self::ALSO as $column => $refers) {
            [$of, $name] = explode('.', $column);
            if ($of === $table) {
                $found[$name] = $refers;
            }
        }

        return $found;
    }

    /** What a row is known by. */
    public static function key(string $table): string
    {
        return match ($table) {
            'pictures' => 'entry_id',
            'group_places' => 'group_id',
            default => 'id',
        };
    }
}

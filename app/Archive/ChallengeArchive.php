<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Challenge;
use App\Models\Entry;
use App\Models\HomeItem;
use App\Models\Reading;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Skivo\Core\Exchange\ClassWriter;
use Skivo\Core\Exchange\Csv;
use stdClass;
use ZipArchive;

/**
 * A whole challenge as one ZIP of open formats: every table as CSV (in SI units, and as it was typed), the class as JSON with its
 * schema, pictures, sketches, traces, and a Frictionless data package that says what is what (specs.frictionlessdata.io, version 1).
 */
final readonly class ChallengeArchive
{
    public const VERSION = 1;

    /** Of PostgreSQL's types, those of Table Schema; anything else is text. */
    private const TYPES = [
        'bigint' => 'integer', 'integer' => 'integer', 'smallint' => 'integer', 'double precision' => 'number', 'real' => 'number',
        'numeric' => 'number', 'boolean' => 'boolean', 'date' => 'date',
    ];

    /** @throws RuntimeException where the file can't be written */
    public static function write(Challenge $challenge, string $file): void
    {
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("{$file} can't be written.");
        }
        $resources = [];
        // As it stands at one moment.
        DB::transaction(static function () use ($challenge, $zip, &$resources): void {
            if (DB::transactionLevel() === 1) {
                DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
            }
            self::fill($challenge, $zip, $resources);
        });
        $zip->addFromString('datapackage.json', self::json([
            'profile' => 'tabular-data-package',
            'name' => 'skivo-challenge',
            'title' => $challenge->name,
            'description'
                => 'A challenge with balloon-powered cars: plan, groups, cars, runs and everything that was recorded, as Skivo keeps it. SI units; columns that end in _entered hold what was typed.',
            'version' => (string) self::VERSION,
            'resources' => $resources,
        ]));
        $zip->addFromString('README.md', (string) file_get_contents(resource_path('archive/README.md')));
        if (!$zip->close()) {
            throw new RuntimeException("{$file} can't be written.");
        }
    }

    /** @param list<array<string, mixed>> $resources */
    private static function fill(Challenge $challenge, ZipArchive $zip, array &$resources): void
    {
        $rows = self::rows($challenge);
        $numbers = new Numbers();
        foreach ($rows as $table => $of) {
            foreach ($of as $row) {
                $numbers->give($table, (string) $row->{ArchiveTables::key($table)});
                if ($table === 'race_events') {
                    $numbers->give('race_events.event_id', (string) $row->event_id);
                }
            }
        }
        $numbers->people($rows);
        foreach ($rows as $table => $of) {
            $columns = ArchiveTables::columns($table);
            $zip->addFromString("data/{$table}.csv", self::csv(array_keys($columns), array_map(
                static fn(stdClass $row): array => $numbers->of($table, array_intersect_key((array) $row, $columns)),
                array_values($of->all()),
            )));
            $resources[] = self::resource($table, $columns, array_keys($rows));
        }
        $zip->addFromString('data/people.csv', self::csv(['id', 'name'], $numbers->named()));
        $resources[] = [
            'name' => 'people', 'path' => 'data/people.csv', 'profile' => 'tabular-data-resource', 'format' => 'csv',
            'mediatype' => 'text/csv', 'encoding' => 'utf-8',
            'schema' => [
                'fields' => [['name' => 'id', 'type' => 'integer'], ['name' => 'name', 'type' => 'string']], 'primaryKey' => 'id',
                'missingValues' => [''],
            ],
        ];
        self::files($challenge, $zip, $numbers);
    }

    private static function files(Challenge $challenge, ZipArchive $zip, Numbers $numbers): void
    {
        $record = ClassRecord::of($challenge);
        $zip->addFromString('class.json', ClassWriter::write(
            ClassFindings::data($record, shifts: ClassFindings::of($record)->found->forecast->shifts),
            $challenge->lane_length->quantity->si(),
        ) . "\n");
        $zip->addFromString('class.schema.json', (string) file_get_contents(base_path('docs/class.schema.json')));
        foreach (Entry::query()->whereIn('group_id', $challenge->groups()->withTrashed()->pluck('id'))->orderBy('id')->cursor() as $entry) {
            $number = $numbers->number('entries', $entry->id);
            $jpeg = $entry->picture()->toBase()->value('jpeg');
            if ($jpeg !== null) {
                $zip->addFromString("pictures/{$number}.jpg", (string) stream_get_contents($jpeg));
            }
            $svg = $entry->sketch()?->svg();
            if ($svg !== null) {
                $zip->addFromString("sketches/{$number}.svg", $svg);
            }
        }
        foreach (
            HomeItem::query()->whereHas('link.group', static fn($group) => $group->withTrashed()->where('challenge_id', $challenge->id))
                ->where('kind', 'photo')
                ->toBase()
                ->select(['id', 'jpeg'])
                ->cursor() as $item
        ) {
            $zip->addFromString("pictures/home-{$numbers->number('home_items', $item->id)}.jpg", (string) stream_get_contents($item->jpeg));
        }
        foreach (Reading::query()->where('challenge_id', $challenge->id)->where('kind', 'trace')->orderBy('id')->cursor() as $reading) {
            $lines = array_map(static fn(array $point): string => "{$point[0]},{$point[1]}", $reading->data['points'] ?? []);
            $zip->addFromString("traces/{$numbers->number('readings', $reading->id)}.csv", "t_s,x_m\n" . implode("\n", $lines) . "\n");
        }
    }

    /** @return array<string, Collection<int, stdClass>> by table, in the order of their ids */
    private static function rows(Challenge $challenge): array
    {
        $rows = [];
        foreach (ArchiveTables::TABLES as $table => $via) {
            [$column, $ids] = $via === null
                ? ['id', [$challenge->id]]
                : [$via[0], ($rows[$via[1]] ?? new Collection())->pluck(ArchiveTables::key($via[1]))];
            $rows[$table] = DB::table($table)->select(array_keys(ArchiveTables::columns($table)))
                ->whereIn($column, $ids)->orderBy(ArchiveTables::key($table))->get();
        }

        return $rows;
    }

    /**
     * @param array<string, array{type: string, nullable: bool}> $columns
     * @param list<string> $tables
     *
     * @return array<string, mixed>
     */
    private static function resource(string $table, array $columns, array $tables): array
    {
        $references = ArchiveTables::references($table);
        $keys = [];
        foreach ($references as $column => $refers) {
            if (isset($columns[$column]) && in_array($refers, [...$tables, 'users'], true)) {
                $keys[] = [
                    'fields' => $column,
                    'reference' => [
                        'resource' => $refers === 'users' ? 'people' : $refers,
                        'fields' => $refers === 'users' ? 'id' : ArchiveTables::key($refers),
                    ],
                ];
            }
        }
        $fields = [];
        foreach ($columns as $name => ['type' => $type, 'nullable' => $nullable]) {
            $isNumber = isset($references[$name]) || $name === ArchiveTables::key($table) || $name === 'event_id';
            $fields[] = array_filter([
                'name' => $name,
                'type' => $isNumber ? 'integer' : self::TYPES[$type] ?? 'string',
                'description' => self::about($name),
                'constraints' => $nullable || $name === 'user_id' ? null : ['required' => true],
            ]);
        }

        return [
            'name' => $table,
            'path' => "data/{$table}.csv",
            'profile' => 'tabular-data-resource',
            'format' => 'csv',
            'mediatype' => 'text/csv',
            'encoding' => 'utf-8',
            'schema' => array_filter([
                'fields' => $fields, 'primaryKey' => ArchiveTables::key($table), 'foreignKeys' => $keys, 'missingValues' => [''],
            ], static fn(mixed $each): bool => $each !== []),
        ];
    }

    private static function about(string $column): ?string
    {
        return match (true) {
            str_ends_with($column, '_m') => 'm',
            str_ends_with($column, '_kg') => 'kg',
            str_ends_with($column, '_s') => 's',
            str_ends_with($column, '_c') => '°C',
            str_ends_with($column, '_entered') => 'typed',
            default => null,
        };
    }

    /**
     * @param list<string> $header
     * @param list<array<string, mixed>> $rows
     */
    private static function csv(array $header, array $rows): string
    {
        $out = fopen('php://temp', 'w+');
        if ($out === false) {
            throw new RuntimeException('No memory for a table.');
        }
        fputcsv($out, $header, ',', '"', '');
        foreach ($rows as $row) {
            fputcsv($out, array_map(static fn(mixed $cell): string => match (true) {
                $cell === null => '',
                is_bool($cell) => $cell ? 'true' : 'false',
                is_string($cell) => self::escaped($cell),
                default => (string) (is_scalar($cell) ? $cell : ''),
            }, array_values($row)), ',', '"', '');
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** As exports have it: what a spreadsheet would run as a formula is a text. Numbers, whatever their sign, are none. */
    public static function escaped(string $cell): string
    {
        return is_numeric($cell) ? $cell : Csv::text($cell);
    }

    public static function unescaped(string $cell): string
    {
        return $cell[0] === "'" && Csv::text(substr($cell, 1)) === $cell ? substr($cell, 1) : $cell;
    }

    /** @param array<string, mixed> $of */
    private static function json(array $of): string
    {
        return json_encode($of, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) . "\n";
    }
}

<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\User;
use Illuminate\Support\Collection;
use stdClass;

/** The numbers that rows have in an archive, and rows with these in the place of their ids; or the other way round. */
final class Numbers
{
    /** @var array<string, array<string, int|string>> by table and id */
    private array $of = [];

    /** @var list<array<string, mixed>> */
    private array $people = [];

    /** The next row's. */
    public function give(string $table, string $id): void
    {
        $this->of[$table][$id] = count($this->of[$table] ?? []) + 1;
    }

    public function set(string $table, string $id, int|string $other): void
    {
        $this->of[$table][$id] = $other;
    }

    public function number(string $table, string $id): int|string|null
    {
        return $this->of[$table][$id] ?? null;
    }

    /**
     * Educators by the name that colleagues see, whose challenge it is first.
     *
     * @param array<string, Collection<int, stdClass>> $rows
     */
    public function people(array $rows): void
    {
        $ids = [];
        foreach ($rows as $of) {
            foreach ($of as $row) {
                $id = $row->user_id ?? null;
                if ($id !== null) {
                    $ids[(int) $id] = true;
                }
            }
        }
        $names = User::query()->whereKey(array_keys($ids))->pluck('name', 'id');
        foreach (array_keys($ids) as $id) {
            $this->give('users', (string) $id);
            $this->people[] = ['id' => $this->number('users', (string) $id), 'name' => (string) $names[$id]];
        }
    }

    /** @return list<array<string, mixed>> */
    public function named(): array
    {
        return $this->people;
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed> the same, in the order of its columns
     */
    public function of(string $table, array $row): array
    {
        static $references = [];
        $references[$table] ??= ArchiveTables::references($table);
        foreach ($row as $column => $value) {
            $path = "{$table}.{$column}";
            if ($value === null || $value === '') {
                continue;
            }
            $refers = $references[$table][$column] ?? match (true) {
                $column === ArchiveTables::key($table) => $table,
                $path === 'race_events.event_id' => 'race_events.event_id',
                default => null,
            };
            $row[$column] = match (true) {
                $refers !== null => $this->number($refers, (string) $value),
                isset(ArchiveTables::IN_JSON[$path]) => self::encode(
                    $this->within(json_decode((string) $value, false, 64, JSON_THROW_ON_ERROR), ArchiveTables::IN_JSON[$path]),
                ),
                isset(ArchiveTables::LISTS[$path]) => self::encode(array_map(
                    fn(mixed $id): mixed => is_string($id)
                        ? (string) $this->number(ArchiveTables::LISTS[$path], $id)
                        : $this->number(ArchiveTables::LISTS[$path], (string) $id),
                    (array) json_decode((string) $value, false, 64, JSON_THROW_ON_ERROR),
                )),
                default => $value,
            };
        }

        return $row;
    }

    /** @param array<string, string> $keys the tables to which they refer */
    private function within(mixed $value, array $keys): mixed
    {
        if (is_array($value)) {
            return array_map(fn(mixed $each): mixed => $this->within($each, $keys), $value);
        }
        if (!$value instanceof stdClass) {
            return $value;
        }
        foreach (get_object_vars($value) as $key => $each) {
            $value->{$key} = isset($keys[$key]) && is_scalar($each)
                ? $this->number($keys[$key], (string) $each)
                : $this->within($each, $keys);
        }

        return $value;
    }

    private static function encode(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }
}

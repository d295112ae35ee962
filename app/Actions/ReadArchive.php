<?php

declare(strict_types=1);

namespace App\Actions;

use App\Archive\ArchiveRules;
use App\Archive\ArchiveTables;
use App\Archive\ChallengeArchive;
use App\Archive\Numbers;
use App\Archive\UnreadableArchiveException;
use App\Models\Challenge;
use App\Models\Photo;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Throwable;
use ZipArchive;

/** Stores a challenge from its archive, beside whatever is there: all of it, or nothing. */
final class ReadArchive
{
    /** An archive unpacks to no more than this (bytes), whatever it says of itself: beyond, it is no class. */
    private const LARGEST = 400_000_000;
    private const LARGEST_TABLE = 24_000_000;
    private const LARGEST_PICTURE = 12_000_000;
    private const LARGEST_PACKAGE = 1_000_000;
    private const MOST_ROWS = 50_000;
    private const MOST_COLUMNS = 120;

    /** What was unpacked so far (bytes). */
    private int $unpacked = 0;

    /** @throws UnreadableArchiveException where the file is none, or not whole */
    public function __invoke(string $file, User $for): Challenge
    {
        $zip = new ZipArchive();
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw new UnreadableArchiveException('not_a_zip');
        }
        try {
            $this->unpacked = 0;
            $package = json_decode((string) $this->entry($zip, 'datapackage.json', self::LARGEST_PACKAGE), true, 32);
            if (!is_array($package) || ($package['name'] ?? null) !== 'skivo-challenge') {
                throw new UnreadableArchiveException('not_an_archive');
            }

            return DB::transaction(function () use ($zip, $for): Challenge {
                $challenge = $this->store($zip, $for);
                ArchiveRules::hold($challenge);

                return $challenge;
            });
        } catch (UnreadableArchiveException $unreadable) {
            throw $unreadable;
        } catch (Throwable $wrong) {
            // What the database refuses, or the pages could not show, was not written by Skivo, or was changed since.
            throw new UnreadableArchiveException('does_not_fit', previous: $wrong);
        } finally {
            $zip->close();
        }
    }

    /** What an entry holds; null where there is none. It is unpacked no farther than it may be large (bytes). */
    private function entry(ZipArchive $zip, string $name, int $largest): ?string
    {
        $stream = $zip->getStream($name);
        if ($stream === false) {
            return null;
        }
        try {
            $held = (string) stream_get_contents($stream, $largest + 1);
        } finally {
            fclose($stream);
        }
        $this->unpacked += strlen($held);
        if (strlen($held) > $largest || $this->unpacked > self::LARGEST) {
            throw new UnreadableArchiveException('too_large');
        }

        return $held;
    }

    private function store(ZipArchive $zip, User $for): Challenge
    {
        $numbers = new Numbers();
        $first = null;
        $colleagues = [];
        foreach ($this->table($zip, 'people') as $person) {
            $first ??= $person['id'];
            $numbers->set('users', (string) $person['id'], $for->id);
            $colleagues[(string) $person['id']] = $person['id'] === $first ? null : (string) $person['name'];
        }
        $id = null;
        $later = [];
        foreach (array_keys(ArchiveTables::TABLES) as $table) {
            $columns = ArchiveTables::columns($table);
            $rows = array_map(static fn(array $row): array => array_intersect_key($row, $columns), $this->table($zip, $table));
            self::number($table, $rows, $columns, $numbers);
            foreach ($rows as $row) {
                ArchiveRules::ofRow($table, $row, $columns);
                $new = self::opensNothing($table, $numbers->of($table, $row));
                $by = $colleagues[(string) ($row['user_id'] ?? '')] ?? null;
                if ($by !== null && isset($columns['device_id'])) {
                    // A colleague's account is not here: their name stands for them, as a helper's does.
                    [$new['user_id'], $new['device_id']] = [null, $this->colleague($by, (int) $numbers->number('challenges', '1'))];
                }
                if ($table === 'groups' && ($new['of_group_id'] ?? null) !== null) {
                    $later[(int) $new['id']] = $new['of_group_id'];
                    $new['of_group_id'] = null;
                }
                $this->insert($zip, $table, $row, $new);
                $id ??= $table === 'challenges' ? (int) $new['id'] : null;
            }
        }
        foreach ($later as $group => $of) {
            DB::table('groups')->where('id', $group)->update(['of_group_id' => $of]);
        }

        return Challenge::withTrashed()->findOrFail($id ?? throw new UnreadableArchiveException('not_whole'));
    }

    /**
     * Gives every row the id that it is to have here.
     *
     * @param list<array<string, mixed>> $rows
     * @param array<string, array{type: string, nullable: bool}> $columns
     */
    private static function number(string $table, array $rows, array $columns, Numbers $numbers): void
    {
        $key = ArchiveTables::key($table);
        foreach ($rows as $row) {
            $number = (string) ($row[$key] ?? throw new UnreadableArchiveException('not_whole'));
            if ($key === 'id') {
                $numbers->set($table, $number, $columns['id']['type'] === 'uuid' ? (string) Str::uuid7() : self::next($table));
            }
            if (isset($row['event_id'])) {
                $numbers->set('race_events.event_id', (string) $row['event_id'], (string) Str::uuid7());
            }
        }
    }

    /**
     * A link or a tablet that was let in there opens nothing here.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function opensNothing(string $table, array $row): array
    {
        if (in_array($table, ['home_links', 'devices'], true)) {
            $row += ['token_hash' => hash('sha256', Str::random(40))];
            $row['revoked_at'] ??= now()->format('Y-m-d H:i:s.vP');
        }

        return $row;
    }

    /**
     * @param array<string, mixed> $row as it stands in the archive
     * @param array<string, mixed> $new as it is stored
     */
    private function insert(ZipArchive $zip, string $table, array $row, array $new): void
    {
        if ($table === 'pictures') {
            $this->picture($zip, (string) $row['entry_id'], $new);

            return;
        }
        if ($table === 'home_items' && $new['kind'] === 'photo') {
            $jpeg = base64_encode($this->photo($zip, "pictures/home-{$row['id']}.jpg"));
            $new['jpeg'] = DB::raw("decode('{$jpeg}', 'base64')");
        }
        try {
            DB::table($table)->insert($new);
        } catch (QueryException $refused) {
            throw UnreadableArchiveException::row($table, (string) ($row[ArchiveTables::key($table)] ?? ''), $refused);
        }
    }

    /** @var array<string, string> by name */
    private array $known = [];

    private function colleague(string $name, int $challenge): string
    {
        if (!isset($this->known[$name])) {
            $this->known[$name] = (string) Str::uuid7();
            DB::table('devices')->insert([
                'id' => $this->known[$name], 'challenge_id' => $challenge, 'role' => 'log', 'name' => $name,
                'token_hash' => hash('sha256', Str::random(40)),
                'created_at' => now(), 'revoked_at' => now(),
            ]);
        }

        return $this->known[$name];
    }

    /** @param array<string, mixed> $row */
    private function picture(ZipArchive $zip, string $entry, array $row): void
    {
        DB::insert('INSERT INTO pictures (entry_id, jpeg, width, height) VALUES (?, decode(?, \'base64\'), ?, ?)', [
            $row['entry_id'], base64_encode($this->photo($zip, "pictures/{$entry}.jpg")), $row['width'], $row['height'],
        ]);
    }

    /** What is kept is a picture and nothing else; as Skivo wrote it, it is kept byte for byte. */
    private function photo(ZipArchive $zip, string $name): string
    {
        $jpeg = (string) $this->entry($zip, $name, self::LARGEST_PICTURE);
        $path = (string) tempnam(sys_get_temp_dir(), 'picture');
        try {
            file_put_contents($path, $jpeg);
            if (!Photo::read($path) instanceof Photo) {
                throw new UnreadableArchiveException('not_whole');
            }
        } finally {
            unlink($path);
        }

        return $jpeg;
    }

    /** The next id of a table, as its own sequence gives it. */
    private static function next(string $table): int
    {
        return (int) DB::scalar("SELECT nextval(pg_get_serial_sequence('{$table}', 'id'))");
    }

    /**
     * @return list<array<string, mixed>> null for what is empty
     */
    private function table(ZipArchive $zip, string $table): array
    {
        $held = $this->entry($zip, "data/{$table}.csv", self::LARGEST_TABLE) ?? throw new UnreadableArchiveException('not_whole');
        $stream = fopen('php://temp', 'w+') ?: throw new UnreadableArchiveException('not_whole');
        fwrite($stream, $held);
        rewind($stream);
        $rows = [];
        $header = fgetcsv($stream, null, ',', '"', '');
        if (!is_array($header) || count($header) > self::MOST_COLUMNS) {
            throw new UnreadableArchiveException('not_whole');
        }
        $names = array_map(strval(...), $header);
        while (($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            if (count($header) !== count($cells) || count($rows) >= self::MOST_ROWS) {
                throw new UnreadableArchiveException('not_whole');
            }
            $rows[] = array_combine(
                $names,
                array_map(
                    static fn(?string $cell): ?string => $cell === null || $cell === '' ? null : ChallengeArchive::unescaped($cell),
                    $cells,
                ),
            );
        }
        fclose($stream);

        return $rows;
    }
}

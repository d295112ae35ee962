<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Support\Facades\DB;
use PDOException;

/** Servers that have a copy of the database, a moment behind, and answer what is only read. */
final class Replicas
{
    /** A worker's connection may have died since it last asked: it is made anew once. */
    private const TRIES = 2;

    public static function are(): bool
    {
        return config('database.connections.pgsql.read') !== null;
    }

    /** How far the write-ahead log has come. */
    public static function written(): string
    {
        return (string) DB::selectOne('SELECT pg_current_wal_insert_lsn() AS lsn', [], false)->lsn;
    }

    /**
     * From here on all is read from one of them, as it was at one moment: a pooler must not choose another meanwhile, which may be
     * farther behind. Where none answers, or has what was written, all is read from the primary.
     *
     * @param string|null $written how far the log had come when who asks last wrote something
     */
    public static function readFromOne(?string $written): void
    {
        $says = 'SELECT NOT pg_is_in_recovery() OR pg_last_wal_replay_lsn() >= ?::pg_lsn';
        for ($try = 1; $try <= self::TRIES; $try++) {
            try {
                $replica = DB::connection()->getReadPdo();
                $replica->exec('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
                if ($written === null) {
                    return;
                }
                $asked = $replica->prepare($says);
                $asked->execute([$written]);
                if ((bool) $asked->fetchColumn()) {
                    return;
                }
                break;
            } catch (PDOException) {
                DB::reconnect();
            }
        }
        self::leave();
        self::readFromThePrimary();
    }

    public static function readFromThePrimary(): void
    {
        DB::connection()->setReadPdo(DB::connection()->getRawPdo());
    }

    /** Lets go of the one that was read from. */
    public static function leave(): void
    {
        $replica = DB::connection()->getRawReadPdo();
        if ($replica instanceof \PDO && $replica !== DB::connection()->getRawPdo() && $replica->inTransaction()) {
            try {
                $replica->rollBack();
            } catch (PDOException) {
                // It is gone, and what it held with it.
            }
        }
    }
}

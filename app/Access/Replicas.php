<?php

declare(strict_types=1);

namespace App\Access;

use Illuminate\Support\Facades\DB;
use Throwable;

/** Servers that have a copy of the database, a moment behind, and answer what is only read. */
final class Replicas
{
    public static function are(): bool
    {
        return config('database.connections.pgsql.read') !== null;
    }

    /** How far the write-ahead log has come. */
    public static function written(): string
    {
        return (string) DB::selectOne('SELECT pg_current_wal_insert_lsn() AS lsn', [], false)->lsn;
    }

    /** Whether the one that answers has come so far. One that can't be asked has not. */
    public static function have(string $written): bool
    {
        if (preg_match('~^[0-9A-F]{1,8}/[0-9A-F]{1,8}$~', $written) !== 1) {
            return false;
        }
        try {
            return (bool) DB::selectOne('SELECT NOT pg_is_in_recovery() OR pg_last_wal_replay_lsn() >= ?::pg_lsn AS has', [$written])->has;
        } catch (Throwable) {
            return false;
        }
    }

    public static function readFromThePrimary(): void
    {
        DB::connection()->setReadPdo(DB::connection()->getRawPdo());
    }
}

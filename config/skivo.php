<?php

declare(strict_types=1);

return [
    // What was computed by other code is not shown again; servers with the same code share it. Worked out once, as the configuration is
    // cached.
    'build' => md5(implode(' ', array_map(
        static fn(string $file): string => (string) md5_file($file),
        [...(glob(base_path('core/{*,*/*}/*.php'), GLOB_BRACE) ?: []), ...(glob(app_path('Record/*.php')) ?: [])],
    ))),
    // What was drawn before is not shown again: an upgrade may draw it otherwise.
    'served_since' => env('SERVED_SINCE'),
    // As bin/skivo start serves it: on which address, and by which further name.
    'host' => env('SERVE_HOST', '127.0.0.1'),
    'port' => (int) env('SERVE_PORT', 8484),
    'name' => env('SERVE_NAMES'),
    // Addresses of balancers before it, whose word on who asked is taken.
    'trusted_proxies' => env('TRUSTED_PROXIES'),
    // A challenge that nobody has touched for so many months is removed; none: kept until somebody removes it.
    'retention_months' => env('RETENTION_MONTHS') === null ? null : max(1, (int) env('RETENTION_MONTHS')),
    // Where PostgreSQL's own programs lie.
    'pg_bin' => env('PG_BIN', '/usr/lib/postgresql/15/bin'),
    // A dump wants a connection of its own all along, which a pooler may give by another name.
    'backup_database' => env('DB_BACKUP_DATABASE', env('DB_DATABASE', 'skivo')),
];

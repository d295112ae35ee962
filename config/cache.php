<?php

declare(strict_types=1);

return [
    // One machine: files. Several: the database, or Redis, so that all of them know the same.
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => [
            'driver' => 'file',
            'path' => storage_path('framework/cache/data'),
            'lock_path' => storage_path('framework/cache/data'),
        ],
        // Never of a replica: a session that lags is another's.
        'database' => ['driver' => 'database', 'connection' => (env('DB_READ_HOST') ?? env('DB_READ_PORT') ?? env('DB_READ_DATABASE')) === null ? null : 'primary', 'table' => 'cache', 'lock_table' => 'cache_locks'],
        'redis' => ['driver' => 'redis', 'connection' => 'default'],
    ],
    'prefix' => 'skivo',
];

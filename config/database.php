<?php

declare(strict_types=1);

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'skivo'),
            'username' => env('DB_USERNAME', 'skivo_app'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            // Over a network: verify-full, with the certificate of whoever signed the server's.
            'sslmode' => env('DB_SSLMODE', 'disable'),
            'sslrootcert' => env('DB_SSLROOTCERT'),
            // A new connection costs more than most pages; each worker of the web server keeps its own.
            // One round trip a query: nothing here asks the same thing often enough to prepare it; and a pooler may sit between.
            'options' => [PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false), PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
    // Only where CACHE_STORE=redis names it; needs PHP's redis extension.
    'redis' => [
        'client' => 'phpredis',
        'default' => [
            'host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', 6379), 'password' => env('REDIS_PASSWORD'),
            'database' => 0,
        ],
    ],
];

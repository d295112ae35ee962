<?php

declare(strict_types=1);

[$host, $port, $database] = [env('DB_HOST', '127.0.0.1'), env('DB_PORT', '5432'), env('DB_DATABASE', 'skivo')];

// Replicas answer what is only read, where there are any: by one address or name, behind which a pooler may choose.
$replica = ['host' => [env('DB_READ_HOST', $host)], 'port' => env('DB_READ_PORT', $port), 'database' => env('DB_READ_DATABASE', $database)];
$read = $replica === ['host' => [$host], 'port' => $port, 'database' => $database] ? [] : [
    'read' => $replica,
    'write' => ['host' => [$host]],
    // Within one request, who has written reads what was written; from one to the next, ReadOwnWrites sees to it.
    'sticky' => true,
];

$primary = [
    'driver' => 'pgsql',
    'host' => $host,
    'port' => $port,
    'database' => $database,
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
];

return [
    'default' => 'pgsql',
    'connections' => ['pgsql' => $primary + $read] + ($read === [] ? [] : ['primary' => $primary]),
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
    // Only where CACHE_STORE=redis names it; needs PHP's redis extension.
    'redis' => [
        'client' => 'phpredis',
        'default' => [
            'host' => env('REDIS_HOST', '127.0.0.1'), 'port' => env('REDIS_PORT', 6379), 'password' => env('REDIS_PASSWORD'), 'database' => 0,
        ],
    ],
];

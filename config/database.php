<?php

declare(strict_types=1);

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => [
            'driver' => 'pgsql',
            'host' => '127.0.0.1',
            'port' => env('DB_PORT', '5432'),
            'database' => env('DB_DATABASE', 'skivo'),
            'username' => env('DB_USERNAME', 'skivo_app'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'sslmode' => 'disable',
            // A new connection costs more than most pages; each worker of the web server keeps its own.
            // One round trip a query: nothing here asks the same thing often enough to prepare it.
            'options' => [PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false), PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];

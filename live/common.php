<?php

declare(strict_types=1);

// What open pages ask all the time is answered here, without the framework: starting it for one number, or for what was drawn already,
// would cost most of what a small machine has. The answers are those of routes/stateless.php and routes/web.php; whatever is odd about a
// request is left to the framework.

namespace Skivo\Live;

use PDO;

/** Where everything that runs lies. */
function folder(): string
{
    return getenv('SKIVO_VAR') ?: dirname(__DIR__) . '/var';
}

/** @return array<string, mixed>|null as artisan config:cache wrote them; without it nothing is known here */
function settings(): ?array
{
    $settings = @include folder() . '/cache/config.php';

    return is_array($settings) ? $settings : null;
}

function path(): string
{
    return (string) strtok((string) ($_SERVER['REQUEST_URI'] ?? ''), '?');
}

function leaveToTheFramework(): void
{
    require dirname(__DIR__) . '/public/index.php';
}

/**
 * The connection that this worker keeps.
 *
 * @param array<string, mixed> $settings
 *
 * @throws \PDOException
 */
function database(array $settings): PDO
{
    $database = $settings['database']['connections']['pgsql'];

    return new PDO(
        "pgsql:host={$database['host']};port={$database['port']};dbname={$database['database']};sslmode={$database['sslmode']}" . (
            isset($database['sslrootcert']) ? ";sslrootcert={$database['sslrootcert']}" : ''
        ),
        (string) $database['username'],
        (string) $database['password'],
        [PDO::ATTR_PERSISTENT => true, PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
    );
}

/** What the framework's answers say too. */
function sendHeaders(): void
{
    header('Cache-Control: no-store, private');
    header('X-Content-Type-Options: nosniff');
    header("Content-Security-Policy: default-src 'none'; frame-ancestors 'none'");
    header('Referrer-Policy: same-origin');
    // By which a page knows its own server.
    header('X-Served-By: Skivo');
    header('Content-Type: application/json');
}

<?php

declare(strict_types=1);

// Whether anything has changed in a class: asked every few seconds by every page that is open, for one number. Starting the framework
// for that would cost most of what a small machine has, so this answers by itself what routes/stateless.php describes: the address is
// signed as the framework signs it, and whatever is odd about a request is left to the framework.

(static function (): void {
    $var = getenv('SKIVO_VAR') ?: dirname(__DIR__) . '/var';
    // As artisan config:cache wrote it; without it nothing is known here.
    $config = @include $var . '/cache/config.php';
    $path = (string) strtok((string) ($_SERVER['REQUEST_URI'] ?? ''), '?');
    $signature = $_GET['signature'] ?? null;
    if (
        !is_array($config) || !is_string($signature) || array_diff(array_keys($_GET), ['signature', 'd', 'x', 'y']) !== []
        || preg_match('~^/live/(\d{1,18})$~', $path, $found) !== 1 || ($_SERVER['REQUEST_METHOD'] ?? '') !== 'GET'
        || !hash_equals(hash_hmac('sha256', $path, (string) $config['app']['key']), $signature)
    ) {
        require __DIR__ . '/index.php';

        return;
    }
    $database = $config['database']['connections']['pgsql'];
    // A replica tells a moment later that something is new; nobody waits for that.
    $database = ['host' => $database['read']['host'][0] ?? $database['host']] + ($database['read'] ?? []) + $database;
    try {
        $connection = new PDO(
            "pgsql:host={$database['host']};port={$database['port']};dbname={$database['database']};sslmode={$database['sslmode']}" . (isset($database['sslrootcert']) ? ";sslrootcert={$database['sslrootcert']}" : ''),
            (string) $database['username'],
            (string) $database['password'],
            [PDO::ATTR_PERSISTENT => true, PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
        );
        $asked = $connection->prepare('SELECT number FROM revisions WHERE challenge_id = ?');
        $asked->execute([$found[1]]);
    } catch (PDOException) {
        // A connection that broke since; the framework makes a new one, or says what is wrong.
        require __DIR__ . '/index.php';

        return;
    }
    $tag = '"' . (int) $asked->fetchColumn() . '"';
    header("ETag: {$tag}");
    header('Cache-Control: no-store, private');
    header('X-Content-Type-Options: nosniff');
    header("Content-Security-Policy: default-src 'none'; frame-ancestors 'none'");
    header('Referrer-Policy: same-origin');
    // By which a page knows its own server.
    header('X-Served-By: Skivo');
    if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
        http_response_code(304);

        return;
    }
    header('Content-Type: application/json');
    echo $tag;
})();

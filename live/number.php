<?php

declare(strict_types=1);

// Whether anything has changed in a class: asked every few seconds by every page that is open, for one number. The address is signed as
// the framework signs it.

namespace Skivo\Live;

use PDOException;

require __DIR__ . '/common.php';

(static function (): void {
    $settings = settings();
    $signature = $_GET['signature'] ?? null;
    if (
        $settings === null || !is_string($signature) || array_diff(array_keys($_GET), ['signature', 'd', 'x', 'y']) !== []
        || preg_match('~^/live/(\d{1,18})$~', path(), $found) !== 1 || ($_SERVER['REQUEST_METHOD'] ?? '') !== 'GET'
        || !hash_equals(hash_hmac('sha256', path(), (string) $settings['app']['key']), $signature)
    ) {
        leaveToTheFramework();

        return;
    }
    try {
        $asked = database($settings)->prepare('SELECT number FROM revisions WHERE challenge_id = ?');
        $asked->execute([$found[1]]);
    } catch (PDOException) {
        // A connection that broke since; the framework makes a new one, or says what is wrong.
        leaveToTheFramework();

        return;
    }
    $tag = '"' . (int) $asked->fetchColumn() . '"';
    sendHeaders();
    header("ETag: {$tag}");
    if (($_SERVER['HTTP_IF_NONE_MATCH'] ?? '') === $tag) {
        http_response_code(304);

        return;
    }
    echo $tag;
})();

<?php

declare(strict_types=1);

// The floor as it was drawn already, for a tablet at a lane: when a run is logged, every one of them asks for it at once. Only what
// FloorState keeps in files. What is not drawn yet is left to the framework, once: whoever asks meanwhile gets what was drawn before,
// which says so by its revision, and asks again. An educator's own page is left to it as well.

namespace Skivo\Live;

use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Encryption\Encrypter;
use PDO;
use PDOException;

require __DIR__ . '/common.php';

/**
 * The address that the page was asked at, for which its links were drawn. Where it is another, nothing is found that was kept.
 *
 * @param array<string, mixed> $settings
 */
function site(array $settings): string
{
    if (!in_array($_SERVER['REMOTE_ADDR'] ?? '', explode(',', (string) ($settings['skivo']['trusted_proxies'] ?? '')), true)) {
        return 'http://' . ($_SERVER['HTTP_HOST'] ?? '');
    }
    [$scheme, $port] = [$_SERVER['HTTP_X_FORWARDED_PROTO'] ?? 'http', $_SERVER['HTTP_X_FORWARDED_PORT'] ?? ''];
    $host = $_SERVER['HTTP_X_FORWARDED_HOST'] ?? $_SERVER['HTTP_HOST'] ?? '';

    return "{$scheme}://{$host}" . (in_array([$scheme, $port], [['https', '443'], ['http', '80'], [$scheme, '']], true) ? '' : ":{$port}");
}

/**
 * What a device is known by: as it says itself, or as its cookie has it, which the framework's EncryptCookies sealed.
 *
 * @param array<string, mixed> $settings
 */
function token(array $settings): string
{
    if (preg_match('/^Bearer (\w+)$/', (string) ($_SERVER['HTTP_AUTHORIZATION'] ?? ''), $bearer) === 1) {
        return $bearer[1];
    }
    // All that Composer would load with these takes longer than everything else here.
    $load = static fn(string $class) => require dirname(__DIR__)
        . '/vendor/laravel/framework/src/'
        . str_replace('\\', '/', $class)
        . '.php';
    spl_autoload_register($load);
    $key = (string) base64_decode(substr((string) $settings['app']['key'], strlen('base64:')), true);
    try {
        $cookie = (new Encrypter($key, (string) $settings['app']['cipher']))->decryptString((string) ($_COOKIE['skivo_device'] ?? ''));

        return (string) CookieValuePrefix::validate('skivo_device', $cookie, [$key]);
    } catch (DecryptException) {
        return '';
    } finally {
        spl_autoload_unregister($load);
    }
}

/** What the framework's FileStore keeps under a key: ten figures that say until when, and then the value. */
function kept(string $key, string $folder): mixed
{
    $hash = sha1($key);
    $file = @file_get_contents("{$folder}/" . substr($hash, 0, 2) . '/' . substr($hash, 2, 2) . "/{$hash}");

    return $file === false || (int) substr($file, 0, 10) <= time() ? null : unserialize(substr($file, 10), ['allowed_classes' => false]);
}

(static function (): void {
    $settings = settings();
    if (
        $settings === null || $settings['cache']['default'] !== 'file' || $_GET !== [] || ($_SERVER['HTTP_X_BESIDE'] ?? '') === ''
        || preg_match('~^/challenges/(\d{1,18})/floor$~', path(), $found) !== 1 || ($_SERVER['REQUEST_METHOD'] ?? '') !== 'GET'
    ) {
        leaveToTheFramework();

        return;
    }
    $token = token($settings);
    try {
        $database = database($settings);
        // As Device::withToken and ChallengePolicy::seeFloor have it.
        $asked = $database->prepare("SELECT d.id, r.number, d.seen_at > now() - interval '1 minute' AS is_noted FROM devices d
            JOIN challenges c ON c.id = d.challenge_id JOIN revisions r ON r.challenge_id = c.id
            WHERE d.token_hash = ? AND c.id = ? AND d.role = 'log' AND NOT d.is_waiting AND d.revoked_at IS NULL AND c.deleted_at IS NULL");
        $asked->execute([hash('sha256', $token), $found[1]]);
        $device = $token === '' ? false : $asked->fetch(PDO::FETCH_ASSOC);
        if ($device !== false && $device['is_noted'] !== true) {
            $database->prepare('UPDATE devices SET seen_at = now() WHERE id = ?')->execute([$device['id']]);
        }
    } catch (PDOException) {
        $device = false;
    }
    $state = $device === false
        ? null
        : kept(
            "state:{$found[1]}:floor:" . md5(site($settings)) . ":{$settings['skivo']['served_since']}",
            (string) $settings['cache']['stores']['file']['path'],
        );
    // Held as long as the framework draws: until this request ends.
    $drawing = is_array($state) && $state['revision'] !== (int) $device['number']
        ? fopen(folder() . "/cache/drawing-{$found[1]}", 'c')
        : null;
    if (!is_array($state) || (is_resource($drawing) && flock($drawing, LOCK_EX | LOCK_NB))) {
        leaveToTheFramework();

        return;
    }
    sendHeaders();
    echo json_encode($state, JSON_THROW_ON_ERROR);
})();

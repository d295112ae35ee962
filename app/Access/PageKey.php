<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\User;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;

/**
 * Opens the addresses that a page asks many times a second, without a session: handed out with a page under its policy,
 * one a session, and void once that session is signed out or its account's password is changed.
 */
final readonly class PageKey
{
    private const HOURS = 24;

    private const IN_SESSION = 'page_key';

    public static function of(Session $session, User $user): string
    {
        $key = $session->get(self::IN_SESSION);
        $key = is_string($key) ? $key : Str::random(32);
        $session->put(self::IN_SESSION, $key);
        Cache::put(self::name($key), true, now()->addHours(self::HOURS));
        $all = array_values(array_unique([...self::heldBy($user), $key]));
        Cache::put(self::listOf($user), array_slice($all, -50), now()->addHours(self::HOURS));

        return $key;
    }

    public static function holds(string $key): bool
    {
        return Cache::get(self::name($key)) === true;
    }

    /** The key of this session holds no longer. */
    public static function revoke(Session $session): void
    {
        $key = $session->pull(self::IN_SESSION);
        if (is_string($key)) {
            Cache::forget(self::name($key));
        }
    }

    /** None of an account's does. */
    public static function revokeAll(User $user): void
    {
        foreach (self::heldBy($user) as $key) {
            Cache::forget(self::name($key));
        }
        Cache::forget(self::listOf($user));
    }

    /** @return list<string> */
    private static function heldBy(User $user): array
    {
        $held = Cache::get(self::listOf($user), []);

        return is_array($held) ? array_values(array_filter($held, is_string(...))) : [];
    }

    private static function name(string $key): string
    {
        return 'page-key:' . hash('sha256', $key);
    }

    private static function listOf(User $user): string
    {
        return "page-keys-of:{$user->id}";
    }
}

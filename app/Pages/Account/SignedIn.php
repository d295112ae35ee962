<?php

declare(strict_types=1);

namespace App\Pages\Account;

use App\Actions\NoteUse;
use App\Actions\SignIns;
use App\Models\SignIn;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Where an account is signed in: one entry for each browser, by which its owner can end it from another. */
final readonly class SignedIn
{
    /** A header by which a page says that it asks beside a person's own doings. */
    public const BESIDE = 'X-Beside';

    private const IN_SESSION = 'sign_in';

    /** What browsers and systems call themselves, the more particular first. */
    private const BROWSERS = ['Edg' => 'Edge', 'Firefox' => 'Firefox', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];
    private const SYSTEMS = [
        'Android' => 'Android', 'iPhone' => 'iPhone', 'iPad' => 'iPad', 'CrOS' => 'ChromeOS', 'Windows' => 'Windows', 'Mac OS' => 'macOS',
        'Linux' => 'Linux',
    ];

    /** Notes a sign-in as it is made, so that it can be ended whatever is asked by it. */
    public static function note(Request $request, User $user): SignIn
    {
        $signIn = SignIns::begin($user, self::nameOf($request));
        $request->session()->put(self::IN_SESSION, $signIn->id);

        return $signIn;
    }

    /** Whether this browser's sign-in still stands; one that came back by itself, being remembered, is noted. */
    public static function holds(Request $request, User $user): bool
    {
        $id = $request->session()->get(self::IN_SESSION);
        $signIn = is_string($id) ? $user->hasMany(SignIn::class)->find($id) : null;
        if ($signIn === null && $request->headers->has(self::BESIDE)) {
            // What a page asks beside a person's doings stores nothing in the session; the next page notes it. Who signed in by a
            // password is noted already.
            return Auth::guard('web')->viaRemember();
        }
        $signIn ??= self::note($request, $user);
        if ($signIn->ended_at !== null) {
            return false;
        }
        NoteUse::signIn($signIn);

        return true;
    }

    /** Which of them this browser's is. */
    public static function here(Request $request): ?string
    {
        $id = $request->session()->get(self::IN_SESSION);

        return is_string($id) ? $id : null;
    }

    private static function nameOf(Request $request): string
    {
        $said = (string) $request->userAgent();
        $first = static function (array $names) use ($said): ?string {
            foreach ($names as $part => $name) {
                if (str_contains($said, $part)) {
                    return $name;
                }
            }

            return null;
        };
        $browser = $first(self::BROWSERS);
        $system = $first(self::SYSTEMS);

        return implode(', ', array_filter([$browser, $system])) ?: '?';
    }
}

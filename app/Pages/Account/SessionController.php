<?php

declare(strict_types=1);

namespace App\Pages\Account;

use App\Access\PageKey;
use App\Language\Text;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController
{
    private const MOST_ATTEMPTS = 5;

    public function create(Request $request): View
    {
        return view('account.sign-in', ['next' => self::inside($request->query('next'))]);
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(['email' => ['required', 'string', 'max:254'], 'password' => ['required', 'string', 'max:200']], [
            'email.required' => Text::of('account.done.type_the_email_address_of_your'),
            'password.required' => Text::of('account.done.type_your_password'),
        ]);
        $email = Str::lower($request->string('email')->toString());
        $key = 'sign-in|' . sha1($email) . '|' . $request->ip();
        if (RateLimiter::tooManyAttempts($key, self::MOST_ATTEMPTS)) {
            $seconds = RateLimiter::availableIn($key);
            throw ValidationException::withMessages(
                ['email' => Text::of('account.done.too_many_attempts_wait_seconds_then', ['seconds' => $seconds])],
            );
        }
        if (!Auth::attempt(['email' => $email, 'password' => $request->string('password')->toString()], $request->boolean('remember'))) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => Text::of('account.done.no_account_has_this_email_address')]);
        }
        RateLimiter::clear($key);
        $request->session()->regenerate();
        $user = $request->user();
        assert($user instanceof User);
        SignedIn::note($request, $user);

        return redirect()->to(self::inside($request->input('next')) ?? route('challenges.index'));
    }

    /** A page of ours to go to, and no other site's. */
    private static function inside(mixed $path): ?string
    {
        return is_string($path) && strlen($path) <= 2000 && preg_match('~^/(?![/\\\\])[\x21-\x7E]*$~', $path) === 1 ? $path : null;
    }

    public function destroy(Request $request): RedirectResponse
    {
        PageKey::revoke($request->session());
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in')->with('status', Text::of('account.done.you_are_signed_out'));
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Pages\Account\SignedIn;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A browser whose sign-in was ended elsewhere is signed in no longer. */
final class RequireActiveSignIn
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $request->hasSession() && !SignedIn::holds($request, $user)) {
            Auth::guard('web')->logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();

            return $request->expectsJson()
                ? response()->json(['message' => __('account.done.you_are_signed_out')], 401)
                : redirect()->route('sign-in');
        }

        return $next($request);
    }
}

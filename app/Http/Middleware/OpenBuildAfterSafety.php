<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Challenge;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is built in a challenge before its safety sheet was read. */
final class OpenBuildAfterSafety
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $challenge = $request->route('challenge');

        return $challenge instanceof Challenge && $challenge->safety_read_at === null
            ? redirect()->route('safety.show', $challenge)->with('status', 'Read the safety sheet first; then Build is open.')
            : $next($request);
    }
}

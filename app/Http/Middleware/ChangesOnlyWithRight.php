<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Challenge;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

/** Pages of a challenge are for all its educators; whatever changes it is for those who may change it. */
final class ChangesOnlyWithRight
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $challenge = $request->route('challenge');
        if ($challenge instanceof Challenge && !$request->isMethodSafe()) {
            Gate::authorize('update', $challenge);
        }

        return $next($request);
    }
}

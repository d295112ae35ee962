<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\PageKey;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Lets in only who has the key of a page that is still open to somebody. */
final class AskedFromOpenPage
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        return PageKey::holds($request->string('by')->toString())
            ? $next($request)
            : new JsonResponse(['message' => 'This page is signed out, or has been open for more than a day. Open it again.'], 403);
    }
}

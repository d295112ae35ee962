<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\PageKey;
use App\Language\Text;
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
            : new JsonResponse(['message' => Text::of('frame.asked_from_open_page.this_page_is_signed_out_or')], 403);
    }
}

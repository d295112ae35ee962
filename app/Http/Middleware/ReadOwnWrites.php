<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\Replicas;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/**
 * Where replicas answer what is read: who has just written reads from the primary until a replica has it too. How far the write-ahead
 * log had come by then travels in a cookie of that browser.
 */
final class ReadOwnWrites
{
    private const COOKIE = 'skivo_written';

    /** A replica that is farther behind than this (min) has other troubles. */
    private const MINUTES = 5;

    /** As PostgreSQL writes a place in its log. */
    private const PLACE = '~^[0-9A-F]{1,8}/[0-9A-F]{1,8}$~';

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (!Replicas::are()) {
            return $next($request);
        }
        $written = $request->cookies->get(self::COOKIE);
        // What changes something reads what it changes where that is true.
        $request->isMethodSafe()
            ? Replicas::readFromOne(is_string($written) && preg_match(self::PLACE, $written) === 1 ? $written : null)
            : Replicas::readFromThePrimary();
        $response = $next($request);
        if (!$request->isMethodSafe()) {
            $response->headers->setCookie(Cookie::create(self::COOKIE, Replicas::written(), now()->addMinutes(self::MINUTES), '/', null, $request->isSecure(), true, true, Cookie::SAMESITE_LAX));
        }

        return $response;
    }

    /** After all was sent: what streams reads as it goes. */
    public function terminate(): void
    {
        if (Replicas::are()) {
            Replicas::leave();
        }
    }
}

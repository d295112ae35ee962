<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Pages\Account\SignedIn;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession as Framework;

/**
 * Sessions that cost nothing until somebody comes back: who has no cookie yet gets one, and nothing is stored. The token
 * of its forms follows from the session's id, so that the form it was sent is accepted all the same.
 *
 * What a page asks beside a person's own doings (it says so by a header) stores nothing either: it would write back the
 * session as it was before what the person has just sent, and the answer to that would be lost.
 */
final class StartSession extends Framework
{
    protected function startSession(Request $request, $session)
    {
        parent::startSession($request, $session)->put(
            '_token',
            hash_hmac('sha256', "form|{$session->getId()}", (string) config('app.key')),
        );

        return $session;
    }

    /** @param Request $request */
    protected function saveSession($request): void
    {
        if ($request->isMethod('GET') && $request->headers->has(SignedIn::BESIDE)) {
            return;
        }
        // One that somebody made up was not sealed by us, and is none by now.
        if (is_string($request->cookies->get((string) config('session.cookie'))) || $request->user() !== null) {
            parent::saveSession($request);
        }
    }
}

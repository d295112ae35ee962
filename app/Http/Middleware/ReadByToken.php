<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\NoteUse;
use App\Language\Text;
use App\Models\ApiToken;
use App\Models\Scope;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Lets a program read in the name of the educator whose token it has, as far as that goes. */
final class ReadByToken
{
    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next, string $scope): Response
    {
        $token = NoteUse::token(ApiToken::withToken($request->bearerToken()));
        if ($token === null) {
            return response()->json(['message' => Text::of('api.no_token')], 401, ['WWW-Authenticate' => 'Bearer']);
        }
        if (!$token->may(Scope::from($scope))) {
            return response()->json(['message' => Text::of('api.not_in_scope', ['scope' => $scope])], 403);
        }
        Auth::setUser($token->user);

        return $next($request);
    }
}

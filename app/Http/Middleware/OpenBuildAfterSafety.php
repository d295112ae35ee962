<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Challenge;
use App\Models\Device;
use App\Presenters\Text;
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

        $isClosed = $challenge instanceof Challenge && $challenge->safety_read_at === null;
        if ($isClosed && $request->user() instanceof Device) {
            return response()->view('devices.not-open', ['challenge' => $challenge]);
        }

        return $isClosed
            ? redirect()->route('safety.show', $challenge)->with(
                'status',
                Text::of('frame.open_build_after_safety.read_the_safety_sheet_first_then'),
            )
            : $next($request);
    }
}

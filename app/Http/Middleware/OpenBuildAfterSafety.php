<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\LeadClass;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Device;
use Closure;
use Illuminate\Http\Request;
use Skivo\Core\Notebook\Station;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is built in a challenge before its safety sheet was read. */
final class OpenBuildAfterSafety
{
    public function __construct(private LeadClass $class) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        $challenge = $request->route('challenge');

        $isClosed = $challenge instanceof Challenge && $challenge->safety_read_at === null;
        $device = $request->user();
        if ($isClosed && $device instanceof Device) {
            // It is there and waits, and the room says so.
            if ($device->group !== null && $request->isMethod('GET') && !$request->hasHeader('X-Beside')) {
                $this->class->arrive($device->group, Station::Idea);
            }

            return response()->view('room.not-open', ['challenge' => $challenge]);
        }

        return $isClosed
            ? redirect()->route('safety.show', $challenge)->with(
                'status',
                Text::of('frame.open_build_after_safety.read_the_safety_sheet_first_then'),
            )
            : $next($request);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\PurgeRemoved;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\Response;

/** Once a day, after some page was sent: what was removed long ago goes for good. No clock of the machine's is needed. */
final readonly class PruneOnceADay
{
    public function __construct(private PurgeRemoved $purge) {}

    /** @param Closure(Request): Response $next */
    public function handle(Request $request, Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(): void
    {
        if (Cache::add('pruned', true, now()->addDay())) {
            ($this->purge)();
        }
    }
}

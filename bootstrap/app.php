<?php

declare(strict_types=1);

use App\Exceptions\DatabaseIsAwayException;
use App\Exceptions\DiskIsFullException;
use App\Http\Middleware\MendText;
use App\Http\Middleware\PruneOnceADay;
use App\Http\Middleware\SendSecurityHeaders;
use App\Http\Middleware\StartSession;
use App\Models\Device;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Routing\Middleware\ValidateSignature;
use Illuminate\Support\Facades\Route;

// Everything written at run time lives in one folder, so that the tests, the bench and the served
// application can each have their own. bin/skivo names it.
$var = getenv('SKIVO_VAR') ?: dirname(__DIR__) . '/var';

foreach (['CONFIG', 'EVENTS', 'PACKAGES', 'ROUTES', 'SERVICES'] as $cache) {
    $_ENV["APP_{$cache}_CACHE"] = $var . '/cache/' . strtolower($cache) . '.php';
}

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__ . '/../routes/web.php',
        then: static fn() => Route::middleware([ValidateSignature::relative(['d', 'x', 'y']), SubstituteBindings::class])
            ->group(__DIR__ . '/../routes/stateless.php'),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Every page is same-origin.
        $middleware->remove(HandleCors::class);
        $middleware->prepend([SendSecurityHeaders::class, MendText::class]);
        $middleware->append(PruneOnceADay::class);
        $middleware->web(replace: [\Illuminate\Session\Middleware\StartSession::class => StartSession::class]);
        // Where they wanted to go travels in the address: a visitor without a cookie has no session yet.
        $middleware->redirectGuestsTo(static fn(Request $request): string => $request->cookies->has(Device::COOKIE)
            ? route('join') : route('sign-in', $request->isMethod('GET') ? ['next' => $request->getRequestUri()] : []));
        $middleware->redirectUsersTo('/challenges');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // A full disk shows as this from the database, and as that from a session's file.
        $exceptions->map(static fn(Throwable $fault): Throwable => match (true) {
            DiskIsFullException::causedBy($fault) => new DiskIsFullException($fault),
            DatabaseIsAwayException::causedBy($fault) => new DatabaseIsAwayException($fault),
            default => $fault,
        });
        $exceptions->shouldRenderJsonWhen(static fn(Request $request): bool => $request->is('api/*') || $request->expectsJson());
    })
    ->create()
    ->useEnvironmentPath($var)
    ->useStoragePath($var . '/storage');

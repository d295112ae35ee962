<?php

declare(strict_types=1);

namespace App\Providers;

use App\Access\Sender;
use App\Actions\LearnFromChecks;
use App\Actions\NoteUse;
use App\Archive\DrawsAClass;
use App\Models\ApiToken;
use App\Models\Device;
use App\Pages\Run\DrawTheFloor;
use App\Record\TeachesByChecks;
use App\Session\WholeFileSessions;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Session\CacheBasedSessionHandler;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;

final class AppServiceProvider extends ServiceProvider
{
    /** @var array<class-string, class-string> what an earlier folder of app/ asks of a later one */
    public array $bindings = [TeachesByChecks::class => LearnFromChecks::class, DrawsAClass::class => DrawTheFloor::class];

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        $proxies = config('skivo.trusted_proxies');
        if (is_string($proxies)) {
            TrustProxies::at(array_map(trim(...), explode(',', $proxies)));
        }
        Session::extend(
            'whole-file',
            static fn(Application $app): WholeFileSessions => new WholeFileSessions(
                $app->make(Filesystem::class),
                (string) config('session.files'),
                (int) config('session.lifetime'),
            ),
        );
        // Of several servers, each has to know a session that another began.
        Session::extend(
            'shared',
            static fn(Application $app): CacheBasedSessionHandler => new CacheBasedSessionHandler(
                $app->make('cache')->store(),
                (int) config('session.lifetime'),
            ),
        );
        // A page that would read its data row by row, or a mistyped attribute, fails while it is being written.
        Model::shouldBeStrict(!$this->app->isProduction());
        Password::defaults(Password::min(10)->max(200));

        Route::patterns(
            [
                'challenge' => '[0-9]{1,18}', 'group' => '[0-9]{1,18}', 'units' => 'metric|imperial', 'ownPart' => '[0-9]{1,18}',
                'materialLine' => '[0-9]{1,18}', 'rule' => '[a-z_-]{1,40}',
                'device' => '[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}', 'joinCode' => '[0-9]{1,18}',
                'run' => '[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}',
            ],
        );
        Auth::viaRequest('device', static function (Request $request): ?Device {
            $cookie = $request->cookie(Device::COOKIE);
            $here = NoteUse::device(Device::withToken($request->bearerToken() ?? (is_string($cookie) ? $cookie : null)));

            // What waited on a tablet that has another group by now is of the one that made it.
            return $here !== null && $request->isMethod('POST') ? Sender::device($request) ?? $here : $here;
        });
        self::limits();
    }

    private static function limits(): void
    {
        // A whole class joins within a minute from behind one address. Guessing a code: seven letters out of 31 are 27 thousand million;
        // sixty wrong ones a minute (JoinController) take centuries.
        RateLimiter::for('joining', static fn(Request $request): Limit => Limit::perMinute(600)->by((string) $request->ip()));
        RateLimiter::for('boards', static fn(Request $request): Limit => Limit::perMinute(240)->by((string) $request->ip()));
        RateLimiter::for('home', static fn(Request $request): Limit => Limit::perMinute(60)->by((string) $request->ip()));
        // By token where that is one; what somebody made up has no limit of its own.
        RateLimiter::for('api', static fn(Request $request): Limit => Limit::perMinute(240)->by(ApiToken::isKnown($request->bearerToken())
            ? hash('sha256', (string) $request->bearerToken()) : (string) $request->ip()));
        RateLimiter::for('readings', static fn(Request $request): Limit => Limit::perMinute(600)->by((string) $request->ip()));
        // What takes a worker for a while, by who asks: a class's tablets share the workers.
        RateLimiter::for(
            'costly',
            static fn(Request $request): Limit => Limit::perMinute(40)->by(
                'costly ' . ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
        // By who opened the page: a whole school may stand behind one address.
        RateLimiter::for('dry-run', static fn(Request $request): Limit => Limit::perMinute(1800)->by($request->string('by')->toString()));
        RateLimiter::for('accounts', static fn(Request $request): Limit => Limit::perMinute(20)->by((string) $request->ip()));
    }
}

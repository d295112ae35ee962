<?php

declare(strict_types=1);

namespace App\Providers;

use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        // A page that would read its data row by row, or a mistyped attribute, fails while it is being written.
        Model::shouldBeStrict(!$this->app->isProduction());
        Password::defaults(Password::min(10)->max(200));

        Route::patterns(['challenge' => '[0-9]{1,18}', 'group' => '[0-9]{1,18}', 'units' => 'metric|imperial', 'ownPart' => '[0-9]{1,18}', 'materialLine' => '[0-9]{1,18}', 'rule' => '[a-z_-]{1,40}', 'run' => '[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}']);
        RateLimiter::for('accounts', static fn(Request $request): Limit => Limit::perMinute(20)->by((string) $request->ip()));
    }
}

<?php

declare(strict_types=1);

use App\Http\Middleware\AskedFromOpenPage;
use App\Http\Middleware\ReadByToken;
use App\Models\Challenge;
use App\Models\Reading;
use App\Models\Scope;
use App\Pages\Api\ApiController;
use App\Pages\DryRun\DryRunController;
use App\Pages\Run\LiveController;
use App\Pages\Run\ReadingController;
use Illuminate\Routing\Middleware\ValidateSignature;
use Illuminate\Support\Facades\Route;

// Answered many times a second, without session: a page that was opened under its policy hands out an address that is
// signed, and with it these can be asked.

// The run model itself knows nothing of any class; its addresses hold as long as whoever opened the page is signed in.
Route::controller(DryRunController::class)->prefix('dry-run/{units}')
    ->name('dry-run.')
    ->middleware(['throttle:dry-run', AskedFromOpenPage::class])
    ->group(function (): void {
        Route::get('run', 'run')->name('run');
        Route::get('sweep', 'sweep')->name('sweep');
    });

// Where instruments post what they measured, each with its token.
Route::post('api/readings', [ReadingController::class, 'store'])->name('readings.store')
    ->withoutMiddleware(
        ValidateSignature::relative(['d', 'x', 'y']),
    )->middleware(['throttle:readings', 'auth:device'])->can('post', Reading::class);

// What programs of an educator's read, each with a token of theirs.
Route::controller(ApiController::class)->prefix('api/v1')
    ->name('api.')
    ->withoutMiddleware(ValidateSignature::relative(['d', 'x', 'y']))
    ->middleware('throttle:api')
    ->group(function (): void {
        Route::get('openapi.json', 'describe')->name('describe');
        Route::middleware(ReadByToken::class . ':' . Scope::Records->value)->group(function (): void {
            Route::get('challenges', 'challenges')->name('challenges')->can('viewAny', Challenge::class);
            Route::get('challenges/{challenge}', 'challenge')->name('challenge')->can('view', 'challenge');
            Route::get('challenges/{challenge}/groups', 'groups')->name('groups')->can('view', 'challenge');
            Route::get('challenges/{challenge}/cars', 'cars')->name('cars')->can('view', 'challenge');
            Route::get('challenges/{challenge}/runs', 'runs')->name('runs')->can('view', 'challenge');
        });
        Route::get('challenges/{challenge}/findings', 'findings')->name('findings')
            ->middleware(ReadByToken::class . ':' . Scope::Findings->value)
            ->can('view', 'challenge');
    });

// Whether anything has changed in a class; what it was, the page then asks for under its policy.
Route::get('live/{live}', [LiveController::class, 'show'])->name('live')->where('live', '[0-9]{1,18}');

<?php

declare(strict_types=1);

use App\Http\Controllers\LiveController;
use App\Http\Controllers\ReadingController;
use App\Http\Controllers\WhatIfController;
use App\Http\Middleware\AskedFromOpenPage;
use App\Models\Reading;
use Illuminate\Routing\Middleware\ValidateSignature;
use Illuminate\Support\Facades\Route;

// Answered many times a second, without session: a page that was opened under its policy hands out an address that is
// signed, and with it these can be asked.

// The run model itself knows nothing of any class; its addresses hold as long as whoever opened the page is signed in.
Route::controller(WhatIfController::class)->prefix('what-if/{units}')->name('what-if.')->middleware(['throttle:what-if', AskedFromOpenPage::class])->group(function (): void {
    Route::get('run', 'run')->name('run');
    Route::get('sweep', 'sweep')->name('sweep');
});

// Where instruments post what they measured, each with its token.
Route::post('api/readings', [ReadingController::class, 'store'])->name('readings.store')
    ->withoutMiddleware(ValidateSignature::relative(['d', 'x', 'y']))->middleware(['throttle:readings', 'auth:device'])->can('post', Reading::class);

// Whether anything has changed in a class; what it was, the page then asks for under its policy.
Route::get('live/{live}', [LiveController::class, 'show'])->name('live')->where('live', '[0-9]{1,18}');

<?php

declare(strict_types=1);

use App\Http\Controllers\WhatIfController;
use Illuminate\Support\Facades\Route;

// The run model itself knows nothing of any class. The What-if page hands out an address that is signed for
// a day, and with it these answer many times a second, without session or database.

Route::controller(WhatIfController::class)->prefix('what-if/{units}')->name('what-if.')->group(function (): void {
    Route::get('run', 'run')->name('run');
    Route::get('sweep', 'sweep')->name('sweep');
});

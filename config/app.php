<?php

declare(strict_types=1);

return [
    'name' => 'Skivo',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://localhost'),
    'timezone' => 'UTC',
    'locale' => env('APP_LOCALE', 'en'),
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'maintenance' => ['driver' => 'file'],
    'aliases' => Illuminate\Support\Facades\Facade::defaultAliases()->merge([
        'Glyph' => App\Presenters\Glyph::class,
        'Figure' => App\Presenters\Figure::class,
        'Text' => App\Presenters\Text::class,
        'Label' => App\Presenters\Label::class,
        'Moment' => App\Presenters\Moment::class,
        'Words' => App\Presenters\Words::class,
    ])->toArray(),
];

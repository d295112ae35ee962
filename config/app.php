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
        'Glyph' => App\Language\Glyph::class,
        'Figure' => App\Language\Figure::class,
        'Text' => App\Language\Text::class,
        'Label' => App\Language\Label::class,
        'Moment' => App\Language\Moment::class,
        'Words' => App\Language\Words::class,
    ])->toArray(),
];

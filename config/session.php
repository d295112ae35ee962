<?php

declare(strict_types=1);

return [
    // One machine: whole-file. Several: shared, that is where CACHE_STORE is.
    'driver' => env('SESSION_DRIVER', 'whole-file'),
    // A run day is long: eight hours without a touch before one must sign in again.
    'lifetime' => 480,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => 'skivo_session',
    'path' => '/',
    'domain' => null,
    // Classrooms reach it over plain http on the local network.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];

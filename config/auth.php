<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => [
        'web' => ['driver' => 'session', 'provider' => 'users'],
        // A tablet or a board that joined a challenge: AppServiceProvider finds it by its token.
        'device' => ['driver' => 'device'],
    ],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
    'passwords' => [],
    'password_timeout' => 10800,
];

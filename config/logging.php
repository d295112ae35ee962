<?php

declare(strict_types=1);

use App\Logging\WithoutValues;

return [
    'default' => 'daily',
    'channels' => [
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/skivo.log'),
            'level' => 'warning',
            'days' => 7,
            'permission' => 0600,
            'tap' => [WithoutValues::class],
        ],
    ],
];

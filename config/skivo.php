<?php

declare(strict_types=1);

return [
    // As bin/skivo start serves it: on which address, and by which further name.
    'host' => env('SERVE_HOST', '127.0.0.1'),
    'port' => (int) env('SERVE_PORT', 8484),
    'name' => env('SERVE_NAMES'),
];

<?php

declare(strict_types=1);

// The board.
return [
    'start' => [
        'join_with' => 'Open /join and type',
    ],
    'floor' => [
        'how_the_mean_is_made' => 'How its mean is made',
        'void' => 'void',
        'too_close_to_call' => 'too close to call',
        'next_up' => 'Next up',
        'all_tries_are_in' => 'all tries are in',
    ],
    'show' => [
        'skivo' => ':challenge · Skivo',
    ],
];

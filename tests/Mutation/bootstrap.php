<?php

declare(strict_types=1);

// Loads everything as usual, but one class from a changed copy of its file.
require dirname(__DIR__, 2) . '/vendor/autoload.php';

spl_autoload_register(
    static function (string $class): void {
        if ($class === getenv('MUTANT_CLASS')) {
            require (string) getenv('MUTANT_FILE');
        }
    },
    prepend: true,
);

<?php

declare(strict_types=1);

namespace App\Actions;

/** Thrown where a race would be drawn anew or removed after something has happened in it. */
final class RaceHasBegunException extends \RuntimeException {}

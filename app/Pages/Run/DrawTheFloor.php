<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Archive\DrawsAClass;
use App\Models\Challenge;

/** The floor of a class, drawn once and shown to nobody. */
final readonly class DrawTheFloor implements DrawsAClass
{
    public function __invoke(Challenge $challenge): void
    {
        FloorState::of($challenge, '');
    }
}

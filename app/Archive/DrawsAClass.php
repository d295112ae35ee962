<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\Challenge;

/** Draws the pages of a class that everybody sees: what cannot be drawn is not brought in. */
interface DrawsAClass
{
    /** @throws \Throwable where one of them cannot be drawn */
    public function __invoke(Challenge $challenge): void;
}

<?php

declare(strict_types=1);

namespace App\Wording;

/** A finding in words: what it says first, then the rest with its numbers. Plain text; the view escapes it. */
final readonly class Sentence
{
    public function __construct(
        public string $lead,
        public string $rest = '',
        public string $small = '',
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Language;

/** A finding in words: what it says first, then the rest with its numbers. Plain text; the view escapes it. */
final readonly class Sentence
{
    public function __construct(
        public string $lead,
        public string $rest = '',
        public string $small = '',
    ) {}

    /** A number and its per cent stay on one line. */
    public function unbroken(string $text): string
    {
        return (string) preg_replace('/(?<=\d) %/', "\u{00A0}%", $text);
    }
}

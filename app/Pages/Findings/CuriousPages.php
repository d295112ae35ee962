<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Models\Challenge;
use App\Record\ClassRecord;
use App\Record\Counting;

/** What a lesson does not need and the curious want: one page with a way to each. */
final readonly class CuriousPages
{
    /** @param array<string, string> $ways addresses, by the page's key */
    private function __construct(public array $ways) {}

    public static function of(Challenge $challenge, ClassRecord $record, ?Counting $counting = null): self
    {
        $keep = $counting === null || $counting === Counting::Rule ? [] : ['tries' => $counting->value];
        $ways = ['choices' => route('findings.choices', $challenge)];
        if ($record->hasSeveralSources()) {
            $ways['sources'] = route('findings.sources', [$challenge] + $keep);
        }
        $ways['beliefs'] = route('findings.beliefs', [$challenge] + $keep);
        $ways['sure'] = route('findings.sure', [$challenge] + $keep);
        // Only where there is something to compare.
        if ($challenge->asks !== null) {
            $ways['classes'] = route('findings.classes', $challenge);
        }

        return new self($ways);
    }
}

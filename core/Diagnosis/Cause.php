<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

/** One cause that could be behind what was seen. */
final readonly class Cause
{
    /**
     * @param string $title in a few words
     * @param string $reason why it does this, and what on this car speaks for or against it
     * @param string $measure what to look at or measure to tell it from the others
     * @param string $cure what to do, with figures where the car's measures give them
     * @param Likelihood $likelihood as far as this car's own readings tell
     */
    public function __construct(
        public string $title,
        public string $reason,
        public string $measure,
        public string $cure,
        public Likelihood $likelihood = Likelihood::Possible,
    ) {}
}

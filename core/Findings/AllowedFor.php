<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/** What changed together with the tested attribute, and was allowed for by the run model, give or take half. */
final readonly class AllowedFor
{
    /** From here on it is said: half of what the one does could be the other's. */
    public const SAID_FROM = 0.5;

    public function __construct(
        public CarAttribute $attribute,
        /** Share of its variation that goes along with the tested attribute, from 0 to 1. */
        public float $rSquared,
        /**
         * What it makes of what lies between the cars with the least and the most of the tested attribute (m, s), by model and class
         * together.
         */
        public float $makes,
    ) {}
}

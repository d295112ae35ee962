<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** A change to the plan with which the session would fit. Whatever is null stays as it is. */
final readonly class Remedy
{
    public function __construct(
        /** How long the session would then take (min). */
        public float $lengthMin,
        public ?int $lanes = null,
        public ?int $tries = null,
        public ?float $minutesPerHeat = null,
        /** By how much the build is shorter (min). */
        public ?float $shorterBuildMin = null,
        public bool $noSecondRound = false,
    ) {}
}

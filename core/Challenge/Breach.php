<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** One way in which a car breaks the rules of its challenge. */
final readonly class Breach
{
    public function __construct(
        /** Names the rule, so that an educator can allow this one. */
        public string $rule,
        public string $message,
    ) {}
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Shown;

/** One way in which a car breaks the rules of its challenge. */
final readonly class Breach
{
    private function __construct(
        /** Names the rule, so that an educator can allow this one. */
        public string $rule,
        public Remark $remark,
    ) {}

    /** @param array<string, scalar|Shown|\UnitEnum|null> $values */
    public static function of(string $rule, string $sentence, array $values): self
    {
        return new self(
            $rule,
            new Remark("build.breach.{$sentence}", array_filter($values, static fn(mixed $value): bool => $value !== null)),
        );
    }
}

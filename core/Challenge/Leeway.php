<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Step;

/** What the rules of a challenge let groups change on their cars, and how far. */
final readonly class Leeway
{
    /**
     * @param list<Step>|null $vary what groups may vary; all where null
     * @param array<string, float> $most that a car may have (SI), by the value of a CarAttribute
     * @param array<string, list<string>> $names that a part may have, likewise; any where left out
     */
    public function __construct(
        public ?array $vary = null,
        public array $most = [],
        public array $names = [],
    ) {}

    /** @param float|string $to as Car::explanation() has it */
    public function allows(CarAttribute $attribute, float|string $to): bool
    {
        $most = $this->most[$attribute->value] ?? null;
        $names = $this->names[$attribute->value] ?? [];

        return ($this->vary === null || in_array($attribute->step(), $this->vary, true))
            && ($most === null || !is_numeric($to) || (float) $to <= $most * (1.0 + 1e-9))
            && ($names === [] || !is_string($to) || in_array(mb_strtolower($to), array_map(mb_strtolower(...), $names), true));
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** Who builds what, and how often it runs: half of the groups the one and half the other, or everybody both, one after the other. */
final readonly class PlannedClass
{
    public const MOST_TRIES = 20;

    /**
     * @param int $groups at least 1
     * @param int $tries of each car, at least 1
     * @param int $triesAgain after the asked thing was changed; 0 where nobody changes it
     */
    public function __construct(public int $groups, public int $tries, public int $triesAgain = 0) {}

    /** @return list<int> tries of each version of a group’s car */
    public function versions(int $group): array
    {
        $tries = min(self::MOST_TRIES, $this->tries);

        return $this->triesAgain > 0 ? [$tries, min(self::MOST_TRIES, $this->triesAgain)] : [$tries];
    }

    /** Whether a version has the other of the two values: half of the groups begin with each. */
    public function hasOther(int $group, int $version): bool
    {
        return ($group + $version) % 2 === 1;
    }

    /**
     * What else might be planned.
     *
     * @return array<string, self>
     */
    public function alternatives(): array
    {
        return array_filter([
            'another_try' => $this->tries < self::MOST_TRIES ? new self($this->groups, $this->tries + 1, $this->triesAgain) : null,
            'change_one_thing' => $this->triesAgain === 0 ? new self($this->groups, $this->tries, $this->tries) : null,
        ]);
    }
}

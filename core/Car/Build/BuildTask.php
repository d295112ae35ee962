<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** One step of the build of a certain car. */
final readonly class BuildTask
{
    /** Of hands, or of waiting where it waits (min). */
    public float $minutes;

    /**
     * @param list<BuildStep> $after which of the other steps must be over before it begins
     * @param array<string, float> $lengthsM that its sentence names, by what they are
     * @param float|null $minutes where they are not the usual ones
     */
    public function __construct(
        public BuildStep $step,
        public array $after,
        public ?BuildTool $tool,
        public BuildHand $hand,
        public array $lengthsM = [],
        ?float $minutes = null,
    ) {
        $this->minutes = $minutes ?? $step->minutes();
    }

    /**
     * The same, after other steps.
     *
     * @param list<BuildStep> $after
     */
    public function following(array $after): self
    {
        return new self($this->step, $after, $this->tool, $this->hand, $this->lengthsM, $this->minutes);
    }

    /** Minutes of an adult's hands that it takes. */
    public function adultMinutes(): float
    {
        return $this->hand === BuildHand::Child || $this->step->waits() ? 0.0 : $this->minutes;
    }
}

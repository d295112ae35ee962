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
     * @param string $how in which of its ways it is done: the end of the key of its sentence; empty for the usual one
     * @param list<Caution> $cautions that its parts call for, beside those of the step and its tool
     */
    public function __construct(
        public BuildStep $step,
        public array $after,
        public ?BuildTool $tool,
        public BuildHand $hand,
        public array $lengthsM = [],
        ?float $minutes = null,
        public string $how = '',
        public array $cautions = [],
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
        return new self($this->step, $after, $this->tool, $this->hand, $this->lengthsM, $this->minutes, $this->how, $this->cautions);
    }

    /** Whether it makes the very same thing as another, in the same way. */
    public function isAs(?self $other): bool
    {
        return $other !== null && $this->step === $other->step && $this->how === $other->how && array_filter(
            $this->lengthsM,
            static fn(float $m, string $what): bool => abs($m - ($other->lengthsM[$what] ?? INF)) > 5e-4,
            ARRAY_FILTER_USE_BOTH,
        ) === [];
    }

    /** Minutes of an adult's hands that it takes. */
    public function adultMinutes(): float
    {
        return $this->hand === BuildHand::Child || $this->step->waits() ? 0.0 : $this->minutes;
    }

    /** @return list<Supply> its tools, and what is used up beside the parts of the car */
    public function supplies(): array
    {
        return [
            ...($this->tool?->supplies() ?? []), ...$this->step->supplies(),
            // An elastic band, where nothing else holds the balloon on its tube.
            ...($this->step === BuildStep::JoinBalloon && $this->how === '' ? [Supply::ElasticBands] : []),
        ];
    }

    /** @return list<Caution> what can hurt someone while it is done, in the order of Caution */
    public function cautions(): array
    {
        $all = [...$this->cautions, ...Caution::ofStep($this->step), ...($this->tool === null ? [] : Caution::ofTool($this->tool))];

        return array_values(array_filter(Caution::cases(), static fn(Caution $each): bool => in_array($each, $all, true)));
    }
}

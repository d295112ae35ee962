<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** One logged run, as far as counting and comparing need it. */
final readonly class Run
{
    /**
     * @param string $id names the run to whoever logged it
     * @param float|null $distanceM start to stop; null only where the run is void
     * @param float|null $timeS over the set length, where it was taken
     */
    public function __construct(
        public string $id,
        public int $try,
        public ?float $distanceM,
        public ?float $timeS = null,
        public ?VoidReason $void = null,
        /** How far left of the line it stopped (m); below zero to the right; null where it was not measured. */
        public ?float $driftM = null,
        /** What it carried (kg), where that was weighed. */
        public ?float $loadKg = null,
        /** Where the balloon went limp (m), where that was marked. */
        public ?float $limpM = null,
        /** From release to stop (s). */
        public ?float $totalTimeS = null,
        /** Whether it passed the end of the lane: then it went at least so far. */
        public bool $pastEnd = false,
        /** Of the balloon as filled for this try (m); null where it was not measured. */
        public ?float $fillDiameterM = null,
        public RunKind $kind = RunKind::Try,
        /** Whether it ran under other conditions than the class's, on another floor or from a ramp: nothing is compared with it. */
        public bool $isApart = false,
        /** For which the band was wound for this try; null where nobody counted. */
        public ?float $turns = null,
    ) {}

    /** Whether it is one of the tries by which cars are placed, void or not. */
    public function isTry(): bool
    {
        return $this->kind === RunKind::Try && !$this->isApart;
    }

    /** The same run, as one that counts and went no distance at all. */
    public function asZero(): self
    {
        return new self($this->id, $this->try, 0.0, null, null, null, $this->loadKg);
    }

    /** The same run, as one that stopped there and did not pass the end of the lane. */
    public function stoppedAt(float $distanceM): self
    {
        return new self(
            $this->id,
            $this->try,
            $distanceM,
            $this->timeS,
            $this->void,
            $this->driftM,
            $this->loadKg,
            $this->limpM,
            $this->totalTimeS,
            false,
            $this->fillDiameterM,
            $this->kind,
            $this->isApart,
            $this->turns,
        );
    }

    /** The same run, as one of the tries. */
    public function asTry(): self
    {
        return new self(
            $this->id,
            $this->try,
            $this->distanceM,
            $this->timeS,
            $this->void,
            $this->driftM,
            $this->loadKg,
            $this->limpM,
            $this->totalTimeS,
            $this->pastEnd,
            $this->fillDiameterM,
            turns: $this->turns,
        );
    }
}

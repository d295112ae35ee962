<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Side;

/** What was recorded of one run, as it was typed. */
final readonly class RunRecord
{
    public function __construct(
        /** Null only where the run is void. */
        public ?Entry $distance = null,
        /** Over the timed length. */
        public ?Entry $time = null,
        public ?VoidReason $void = null,
        public ?string $note = null,
        /** How far off the line it stopped. */
        public ?Entry $drift = null,
        /** To which side; null where there is no drift. */
        public ?Side $side = null,
        public ?Entry $load = null,
        public ?Inflation $inflation = null,
        /** Where the balloon went limp, from the start line. */
        public ?Entry $limp = null,
        /** From release to stop. */
        public ?Entry $totalTime = null,
        public ?int $lane = null,
        /** Whether it passed the end of the lane: then the distance is one that it reached. */
        public bool $pastEnd = false,
        /** What the balloon was filled with; null where nobody said. */
        public ?FilledBy $filledBy = null,
        public RunKind $kind = RunKind::Try,
        /** Where it ran on another floor than the class's. */
        public ?string $surface = null,
        /** Height of the ramp that it started from; null where it started level. */
        public ?Entry $ramp = null,
        /** Whether the far wall stopped it: it is past the end as well. */
        public bool $hitWall = false,
    ) {}

    /** The same, what is not recorded of where and when it ended taken from what measured it; what is recorded stays. */
    public function filledFrom(self $measured): self
    {
        return new self(
            $this->distance ?? $measured->distance,
            $this->time ?? $measured->time,
            $this->void,
            $this->note,
            $this->drift,
            $this->side,
            $this->load,
            $this->inflation,
            $this->limp ?? $measured->limp,
            $this->totalTime ?? $measured->totalTime,
            $this->lane,
            $this->pastEnd,
            $this->filledBy,
            $this->kind,
            $this->surface,
            $this->ramp,
            $this->hitWall,
        );
    }

    /** Whether it ran under other conditions than the class's. */
    public function isApart(): bool
    {
        return $this->surface !== null || $this->ramp !== null;
    }

    /** Whether it is one of the tries, whose numbers are each taken once. */
    public function isTry(): bool
    {
        return $this->kind === RunKind::Try && !$this->isApart();
    }

    /** Two readings of one stop by two people differ by less (share of the distance, and m). Common practice, no source. */
    private const ALIKE_SHARE = 0.05;
    private const ALIKE_M = 0.03;

    /** Whether two people who typed these may have seen the same run: both void alike, or as far to a few percent. */
    public function mayBeSameRunAs(self $other): bool
    {
        if ($this->distance === null || $other->distance === null) {
            return $this->distance === $other->distance && $this->void === $other->void;
        }
        [$a, $b] = [$this->distance->quantity->si(), $other->distance->quantity->si()];

        return $this->void === $other->void && abs($a - $b) <= max(self::ALIKE_M, self::ALIKE_SHARE * max($a, $b));
    }

    /** Whether another record tells of the same run; notes and lanes aside. */
    public function agreesWith(self $other): bool
    {
        $same = static fn(Entry|Inflation|null $a, Entry|Inflation|null $b): bool => match (true) {
            $a instanceof Entry && $b instanceof Entry => $a->agreesWith($b),
            $a instanceof Inflation && $b instanceof Inflation => $a->agreesWith($b),
            default => $a === $b,
        };

        return $this->void === $other->void
            && $this->side === $other->side
            && $this->pastEnd === $other->pastEnd
            && $this->hitWall === $other->hitWall
            && $this->kind === $other->kind && $this->surface === $other->surface && $same($this->ramp, $other->ramp)
            && $same($this->distance, $other->distance) && $same($this->time, $other->time)
            && $same($this->drift, $other->drift) && $same($this->load, $other->load)
            && $same($this->inflation, $other->inflation) && $same($this->limp, $other->limp) && $same($this->totalTime, $other->totalTime);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** How what drives a car becomes movement, and then warmth in floor, axles and air, along the way of a run. */
final readonly class EnergyStory
{
    /** So many moments are told. */
    private const MOMENTS = 40;

    /**
     * @param non-empty-list<array{at: float, balloon: float, moving: float, warm: float}> $moments at: share of the way; balloon, or
     *     what else drives it: still to come; all three as shares of what the push did and what a ramp had given before
     * @param float|null $limpAt share of the way at which the balloon went limp or the band came off; null where the car stopped first
     * @param Regime $regime what takes most
     */
    private function __construct(
        public array $moments,
        public ?float $limpAt,
        public Regime $regime,
    ) {}

    /** @return list<array{at: float, balloon: float, moving: float, warm: float}> the beginning, the middle and the end, to be printed */
    public function stills(): array
    {
        $last = count($this->moments) - 1;

        return [$this->moments[0], $this->moments[intdiv($last, 2)], $this->moments[$last]];
    }

    /** Null for a run that never began, or of which no trajectory was asked for. */
    public static function of(SimulatedRun $run): ?self
    {
        if (!$run->moves || $run->distanceM <= 0.0 || count($run->trajectory) < 3) {
            return null;
        }
        $rows = [];
        $push = $warm = 0.0;
        $before = $run->trajectory[0];
        foreach ($run->trajectory as $moment) {
            $way = $moment->distanceM - $before->distanceM;
            $push = $moment->pushedJ ?? $push + $way * ($moment->thrustN + $before->thrustN) / 2;
            $warm = $moment->warmedJ ?? $warm + $way * ($moment->resistanceN + $moment->dragN + $before->resistanceN + $before->dragN) / 2;
            $rows[] = [$moment->distanceM / $run->distanceM, $push, $warm];
            $before = $moment;
        }
        $start = $run->energy->start;
        $all = $push + $start;
        if ($all <= 0.0) {
            return null;
        }
        $moments = [];
        $next = 0;
        foreach ($rows as $index => [$at, $pushed, $warmed]) {
            if ($at < $next / self::MOMENTS && $index < count($rows) - 1) {
                continue;
            }
            $isEnd = $index === count($rows) - 1;
            // What is not warmth yet moves; at the end nothing does.
            $warmShare = $isEnd ? 1.0 : min(1.0, $warmed / $all);
            $given = $isEnd ? 1.0 : min(1.0, ($pushed + $start) / $all);
            $moments[] = [
                'at' => min(1.0, $at), 'balloon' => 1.0 - $given, 'moving' => max(0.0, $given - $warmShare), 'warm' => $warmShare,
            ];
            $next = (int) floor($at * self::MOMENTS) + 1;
        }

        return $moments === []
            ? null
            : new self($moments, $run->driveEnd === null ? null : $run->driveEnd->distanceM / $run->distanceM, Regime::of($run->energy));
    }
}

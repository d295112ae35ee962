<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/**
 * Questions about a run that may be a slip of the pen. They are asked, never refused: odd runs happen.
 */
final readonly class Plausibility
{
    /** No hand-made balloon car is faster, nor any that is worth timing slower (m/s). Common practice, no source. */
    private const FASTEST = 8.0;
    private const SLOWEST = 0.02;

    /** Runs beyond the lane by more than its run-out (share of the lane). */
    private const RUN_OUT = 0.25;

    /** A run this many times shorter or longer than the class is used to was probably typed in another unit. */
    private const OTHER_UNIT = 20.0;

    /**
     * @param float $laneM
     * @param float|null $timedM
     * @param float|null $usualM a typical distance of the class; null before there are a few
     */
    public function __construct(
        private float $laneM,
        private ?float $timedM,
        private ?float $usualM,
        private UnitSystem $units,
    ) {}

    /** @return array<string, string> by the field that is in question */
    public function questions(RunRecord $run): array
    {
        $questions = [];
        $distance = $run->distance?->quantity->si();
        $time = $run->time?->quantity->si();
        $limp = $run->limp?->quantity->si();
        $total = $run->totalTime?->quantity->si();
        $drift = $run->drift?->quantity->si();
        if ($distance !== null) {
            $said = $this->units->show($distance, Scale::Lane);
            if ($distance > $this->laneM * (1 + self::RUN_OUT)) {
                $questions['distance'] = "{$said} lies beyond the lane, which is {$this->units->show($this->laneM, Scale::Lane)} long. Is the unit right?";
            } elseif ($this->usualM !== null && $distance > 0.0 && $this->usualM / $distance > self::OTHER_UNIT) {
                $questions['distance'] = "{$this->units->show($distance, Scale::Distance, 1)} is far shorter than the class is used to. Is the unit right?";
            }
        }
        if ($time !== null && $this->timedM !== null && ($this->timedM / $time > self::FASTEST || $this->timedM / $time < self::SLOWEST)) {
            $questions['time'] = number_format($this->timedM / $time, $this->timedM / $time < 1 ? 3 : 0) . ' m/s over the timed length: is the time right?';
        }
        if ($time !== null && $this->timedM !== null && $distance !== null && $distance < $this->timedM * 0.98) {
            $questions['time'] ??= "It stopped before the timed length of {$this->units->show($this->timedM, Scale::Lane)} was over. Is the time right?";
        }
        if ($limp !== null && $distance !== null && $limp > $distance) {
            $questions['limp'] = 'The balloon went limp beyond the place where the car stopped. Are the two swapped?';
        }
        if ($total !== null && $time !== null && $total < $time) {
            $questions['total_time'] = 'The whole run took less time than the timed length. Are the two swapped?';
        } elseif ($total !== null && $distance !== null && $distance / $total > self::FASTEST) {
            $questions['total_time'] = number_format($distance / $total) . ' m/s on average: is the time right?';
        }
        if ($drift !== null && $distance !== null && $drift > $distance) {
            $questions['drift'] = 'It strayed farther to the side than it ran along the lane. Is that right?';
        }

        return $questions;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\Expected;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;

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

    /**
     * @param float $laneM
     * @param float|null $timedM
     * @param Expected|null $expected how far the run goes, by whatever is known before it; null where that is nothing
     */
    public function __construct(
        private float $laneM,
        private ?float $timedM,
        private ?Expected $expected,
    ) {}

    /**
     * @param Unit|null $bareUnit in which the distance was read, where it was typed without one
     *
     * @return array<string, Remark> by the field that is in question
     */
    public function questions(RunRecord $run, ?Unit $bareUnit = null): array
    {
        $questions = [];
        $distance = $run->distance?->quantity->si();
        $time = $run->time?->quantity->si();
        $limp = $run->limp?->quantity->si();
        $total = $run->totalTime?->quantity->si();
        $drift = $run->drift?->quantity->si();
        if ($distance !== null) {
            // A run past the end is logged as the lane, or as far as it could be seen.
            $slip = $run->pastEnd ? null : $this->expected?->slip($distance, $bareUnit);
            if ($distance > $this->laneM * (1 + self::RUN_OUT)) {
                $questions['distance'] = $slip?->meant === null || $slip->meant > $this->laneM ? self::asks(
                    'beyond_lane',
                    ['distance' => new Shown($distance, Scale::Lane), 'lane' => new Shown($this->laneM, Scale::Lane)],
                ) : $slip->question(Scale::Distance);
            } elseif ($slip !== null && $run->void === null) {
                $questions['distance'] = $slip->question(Scale::Distance);
            }
        }
        if ($time !== null && $this->timedM !== null && ($this->timedM / $time > self::FASTEST || $this->timedM / $time < self::SLOWEST)) {
            $questions['time'] = self::asks('speed', ['speed' => round($this->timedM / $time, $this->timedM / $time < 1 ? 3 : 0)]);
        }
        if ($time !== null && $this->timedM !== null && $distance !== null && $distance < $this->timedM * 0.98) {
            $questions['time'] ??= self::asks('stopped_before', ['length' => new Shown($this->timedM, Scale::Lane)]);
        }
        if ($limp !== null && $distance !== null && $limp > $distance) {
            $questions['limp'] = self::asks('limp_beyond');
        }
        if ($total !== null && $time !== null && $total < $time) {
            $questions['total_time'] = self::asks('total_shorter');
        } elseif ($total !== null && $distance !== null && $distance / $total > self::FASTEST) {
            $questions['total_time'] = self::asks('average_speed', ['speed' => round($distance / $total)]);
        }
        if ($drift !== null && $distance !== null && $drift > $distance) {
            $questions['drift'] = self::asks('strayed');
        }

        return $questions;
    }

    /** @param array<string, float|Shown> $values */
    private static function asks(string $question, array $values = []): Remark
    {
        return new Remark("run.question.{$question}", $values);
    }
}

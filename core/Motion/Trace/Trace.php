<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Trace;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Statistics\LinearModel;
use Skivo\Core\Statistics\StudentT;

/**
 * Where a car was over time, as a motion sensor saw it: its speed and acceleration, where the thrust ended, where it
 * stopped, and how it slowed down while it coasted.
 *
 * Speed and acceleration come from a local fit: at each point a parabola by least squares over the points around it
 * (Savitzky & Golay, Anal. Chem. 36, 1627, 1964; here for any spacing), x ≈ x₀ + v·τ + ½a·τ². The thrust ends where
 * the acceleration drops most, and there where two parabolas, one before and one after, fit the positions best. While coasting the
 * deceleration is close to
 * constant, and f = a/g times what the spinning wheels add to the mass.
 */
final readonly class Trace
{
    /** Fewer points tell nothing; more make it slow. */
    public const FEWEST = 12;
    public const MOST = 5000;

    /** The local fit reaches so far to either side (s). */
    private const REACH = 0.15;

    /** So far to either side of the end of the thrust two parabolas are fitted (s). */
    private const AROUND = 0.6;


    /** Slower than this it stands (m/s): below what a sensor can tell from its own noise. */
    private const STANDS = 0.03;

    /**
     * @param list<float> $t s, rising
     * @param list<float> $x m from the start line
     * @param list<TracePoint> $points with speed and acceleration, one for each
     */
    private function __construct(
        public array $t,
        public array $x,
        public array $points,
        private int $moves,
        private int $stops,
    ) {}

    /**
     * @param list<array{float, float}> $points moment (s) and place (m), in any order; a moment twice counts once
     *
     * @throws UnreadableTraceException where there are too few to tell anything, or too many
     */
    public static function of(array $points): self
    {
        usort($points, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
        $t = $x = [];
        foreach ($points as [$at, $place]) {
            if ($t === [] || $at > $t[count($t) - 1] + 1e-6) {
                $t[] = $at;
                $x[] = $place;
            }
        }
        if (count($t) < self::FEWEST) {
            throw new UnreadableTraceException(new Remark('trace.too_few', ['least' => self::FEWEST, 'count' => count($t)]));
        }
        if (count($t) > self::MOST) {
            throw new UnreadableTraceException(new Remark('trace.too_many', ['most' => self::MOST]));
        }
        $local = self::localFits($t, $x);
        [$moves, $stops] = self::moving($local);

        return new self($t, $x, $local, $moves, $stops);
    }

    /** Whether it moved at all. */
    public function moves(): bool
    {
        return $this->stops > $this->moves;
    }

    /** From the first movement to the stop (s). */
    public function duration(): float
    {
        return $this->t[$this->stops] - $this->t[$this->moves];
    }

    /** Where it stopped (m), the middle of what was seen from then on. */
    public function distance(): float
    {
        $after = array_slice($this->x, $this->stops);
        sort($after);

        return $after[intdiv(count($after), 2)];
    }

    /** When it first passed a place (s after it began to move), between points in a straight line; null where it did not. */
    public function timeOver(float $metres): ?float
    {
        for ($i = $this->moves + 1; $i < count($this->t); $i++) {
            if ($this->x[$i] >= $metres && $this->x[$i - 1] < $metres) {
                $share = ($metres - $this->x[$i - 1]) / ($this->x[$i] - $this->x[$i - 1]);

                return $this->t[$i - 1] + $share * ($this->t[$i] - $this->t[$i - 1]) - $this->t[$this->moves];
            }
        }

        return null;
    }

    /** Where and when the thrust ended; null where the trace does not show it. */
    public function endOfThrust(): ?ThrustEnd
    {
        $drop = $this->steepestDrop();
        if ($drop === null) {
            return null;
        }
        $within = fn(float $seconds): array => array_keys(array_filter(
            $this->t,
            fn(float $at, int $i): bool => abs($at - $this->t[$drop]) <= $seconds && $i >= $this->moves && $i <= $this->stops,
            ARRAY_FILTER_USE_BOTH,
        ));
        $around = $within(self::AROUND);
        [$from, $to] = [$around[0], $around[count($around) - 1]];
        $tried = [];
        foreach ($within(self::REACH) as $break) {
            $before = $break - $from < 5 ? null : $this->fit($from, $break, 2);
            $after = $to - $break < 5 ? null : $this->fit($break, $to, 2);
            if ($before !== null && $after !== null) {
                $tried[$break] = $before->residualSquares + $after->residualSquares;
            }
        }
        if ($tried === []) {
            return null;
        }
        $best = min($tried);
        $at = (int) array_search($best, $tried, true);
        // Breaks whose misfit is no larger than chance would make it: an approximate 95 % interval (Draper & Smith).
        $freedom = max(1, $to - $from - 6);
        $limit = $best * (1.0 + (new StudentT($freedom))->intervalFactor(0.95) ** 2 / $freedom);
        $near = [$at, ...array_keys(array_filter($tried, static fn(float $squares): bool => $squares <= $limit))];

        return new ThrustEnd($this->t[$at], $this->x[$at], $this->t[min($near)], $this->t[max($near)]);
    }

    /** The point around which the acceleration falls most, from above zero to below; null where it never does. */
    private function steepestDrop(): ?int
    {
        $steepest = null;
        $most = 0.0;
        $low = $high = 0;
        $count = count($this->t);
        for ($i = $this->moves; $i <= $this->stops; $i++) {
            while ($low + 1 < $count && $this->t[$low + 1] <= $this->t[$i] - self::REACH) {
                $low++;
            }
            while ($high + 1 < $count && $this->t[$high] < $this->t[$i] + self::REACH) {
                $high++;
            }
            // Past the first moments, in which the start itself is smeared out, and before the stop.
            if ($this->t[$i] - $this->t[$this->moves] < 2 * self::REACH || $this->t[$this->stops] - $this->t[$i] < 2 * self::REACH) {
                continue;
            }
            $drop = $this->points[$low]->accelerationMS2 - $this->points[$high]->accelerationMS2;
            if ($drop > $most && $this->points[$high]->accelerationMS2 < 0.0) {
                $most = $drop;
                $steepest = $i;
            }
        }

        return $steepest;
    }

    /**
     * The deceleration while it coasted; null where the trace does not show the end of the thrust, or too little after.
     *
     * @param float $massRatio m_eff/m: what spinning wheels add; 1 where it is not known
     */
    public function coasting(float $massRatio = 1.0): ?Coasting
    {
        $end = $this->endOfThrust();
        if ($end === null) {
            return null;
        }
        $from = (int) array_search($end->timeS, $this->t, true);
        $fit = $this->fit($from, $this->stops, 2);
        if ($fit === null) {
            return null;
        }
        $factor = (new StudentT($fit->degreesOfFreedom))->intervalFactor(0.95);
        $deceleration = -2 * $fit->coefficients[2];
        $error = 2 * $fit->errors[2];

        return new Coasting(
            $deceleration,
            $factor * $error,
            $deceleration / Constants::GRAVITY_M_S2 * $massRatio,
            $factor * $error / Constants::GRAVITY_M_S2 * $massRatio,
        );
    }

    /** A polynomial over the points from one to another, in the time since the first. */
    private function fit(int $from, int $to, int $degree): ?LinearModel
    {
        $t = array_slice($this->t, $from, $to - $from + 1);
        $origin = $t[0];

        return LinearModel::polynomial(
            array_map(static fn(float $at): float => $at - $origin, $t),
            array_slice($this->x, $from, $to - $from + 1),
            $degree,
        );
    }

    /**
     * @param list<float> $t
     * @param list<float> $x
     *
     * @return list<TracePoint>
     */
    private static function localFits(array $t, array $x): array
    {
        $points = [];
        $count = count($t);
        $low = $high = 0;
        foreach ($t as $i => $at) {
            while ($t[$low] < $at - self::REACH) {
                $low++;
            }
            while ($high + 1 < $count && $t[$high + 1] <= $at + self::REACH) {
                $high++;
            }
            // At least seven points, whatever the spacing.
            [$from, $to] = [min($low, max(0, $i - 3)), max($high, min($count - 1, $i + 3))];
            $fit = LinearModel::polynomial(
                array_map(static fn(float $each): float => $each - $at, array_slice($t, $from, $to - $from + 1)),
                array_slice($x, $from, $to - $from + 1),
                2,
            );
            $points[] = $fit === null
                ? new TracePoint($at, $x[$i], 0.0, 0.0, 0.0, 0.0)
                : new TracePoint(
                    $at,
                    $fit->coefficients[0],
                    $fit->coefficients[1],
                    2 * $fit->coefficients[2],
                    $fit->errors[1],
                    2 * $fit->errors[2],
                );
        }

        return $points;
    }

    /**
     * @param list<TracePoint> $points
     *
     * @return array{int, int} the points between which it moves
     */
    private static function moving(array $points): array
    {
        $moving = array_keys(
            array_filter($points, static fn(TracePoint $point): bool => $point->speedMS > self::STANDS + 2 * $point->speedError),
        );

        return $moving === [] ? [0, 0] : [max(0, min($moving) - 1), min(count($points) - 1, max($moving) + 1)];
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Motion\Trace\Trace;
use Skivo\Core\Motion\Trace\TracePoint;
use Skivo\Core\Motion\Trace\UnreadableTraceException;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Statistics\LinearModel;

/**
 * The motion that fits a film's pictures best, by Gauss and Newton, with weights that a picture far off loses (Tukey's bisquare;
 * Huber & Ronchetti, Robust Statistics, 2nd ed., 7). Neighbouring pictures err alike, which widens the errors by (1 + ρ)/(1 − ρ).
 */
final readonly class MotionFit
{
    /** Fewer pictures of the moving car tell nothing; more are thinned. */
    private const FEWEST = 12;
    private const MOST = 400;

    private const ROUNDS = 40;
    private const SETTLED = 1e-6;
    private const HALVINGS = 8;

    /** Where the bisquare gives up a picture, in standard deviations. */
    private const FAR = 4.685;

    /** A picture's place is never known better than this (px). */
    private const FINEST_PX = 0.2;

    /** Pictures so long before the release and after the stop are used (s). */
    private const BEFORE_S = 0.5;
    private const AFTER_S = 0.8;

    /** The push is looked for from so many shares of its guessed time. */
    private const STARTS = [1.0, 0.7, 1.4];

    /** The grain of the floor pulls a front this way and that over more than a pixel: the variance is so much larger. From trial. */
    private const GRAIN = 1.7;

    /** Pictures in which the car is seen on the same pixels err alike: so near is the same (px). */
    private const SAME_PX = 1.0;

    /** Steps for derivatives: of times, of places, and of logarithms. */
    private const STEP = 1e-4;

    /** A car slower than this share of its greatest speed has not begun, or has ended. */
    private const SLOW = 0.06;
    private const LEAST_SPEED = 0.05;

    /**
     * @param list<float> $at place of the start (m), ln of resistance (N), of push (N), of its time (s), and the release (s after the
     *     first picture); of a car that nothing pushes, place at the first picture, ln of resistance and of its speed there
     * @param list<list<float>> $rows of the derivatives, weighted
     * @param list<float> $weights
     * @param list<float> $places
     * @param list<list<float>> $covariance of what was fitted
     */
    private function __construct(
        private array $at,
        private array $rows,
        private array $weights,
        private array $places,
        private array $covariance,
        private float $origin,
        public float $freedom,
        public Motion $motion,
        public float $startM,
        public float $missM,
        public float $agree,
    ) {}

    /**
     * What the pictures look like at first: release, limp and stop (s), greatest speed (m/s), place of the start (m), speed in the first
     * picture (m/s).
     *
     * @param list<float> $times
     * @param list<float> $places
     *
     * @return array{release: float, limp: float, stop: float, speed: float, start: float, first: float}
     *
     * @throws UnreadableFilmException where nothing moves
     */
    public static function guess(array $times, array $places): array
    {
        try {
            $points = Trace::of(array_map(static fn(float $t, float $x): array => [$t, $x], $times, $places))->points;
        } catch (UnreadableTraceException $unreadable) {
            throw new UnreadableFilmException($unreadable->remark());
        }
        $speeds = array_map(static fn(TracePoint $point): float => $point->speedMS, $points);
        // The greatest speed that lasts: one picture that leaps is none.
        $sorted = $speeds;
        sort($sorted);
        $speed = $sorted[(int) (0.98 * (count($sorted) - 1))];
        if ($speed < self::LEAST_SPEED) {
            throw new UnreadableFilmException(new Remark('film.stands'));
        }
        $fast = array_keys(array_filter($speeds, static fn(float $each): bool => $each > 0.97 * $speed));
        $peak = $fast[intdiv(count($fast), 2)];
        $slow = max(self::SLOW * $speed, self::LEAST_SPEED / 2);
        $from = $peak;
        while ($from > 0 && $speeds[$from] > $slow) {
            $from--;
        }
        $to = $peak;
        while ($to < count($speeds) - 1 && $speeds[$to] > $slow) {
            $to++;
        }
        if ($to - $from < self::FEWEST) {
            throw new UnreadableFilmException(new Remark('film.too_few_pictures', ['least' => self::FEWEST, 'count' => $to - $from]));
        }

        return [
            'release' => $points[$from]->timeS, 'limp' => $points[$peak]->timeS, 'stop' => $points[$to]->timeS,
            'speed' => $speed, 'start' => $points[$from]->placeM, 'first' => $speeds[0],
        ];
    }

    /**
     * Which pictures to use.
     *
     * @param list<float> $times
     * @param array{release: float, limp: float, stop: float, speed: float, start: float, first: float} $guess
     *
     * @return list<int>
     */
    public static function window(array $times, array $guess): array
    {
        $within = array_keys(array_filter(
            $times,
            static fn(float $t): bool => $t > $guess['release'] - self::BEFORE_S && $t < $guess['stop'] + self::AFTER_S,
        ));
        $step = (int) ceil(count($within) / self::MOST);

        return array_values(array_filter($within, static fn(int $i, int $n): bool => $n % $step === 0, ARRAY_FILTER_USE_BOTH));
    }

    /**
     * @param list<float> $times s
     * @param list<float> $places m
     * @param list<float> $slopes m for each px there
     * @param array{release: float, limp: float, stop: float, speed: float, start: float, first: float} $guess
     * @param self|null $near a motion of the same pictures that this one is near to
     *
     * @throws UnreadableFilmException where no motion fits
     */
    public static function of(array $times, array $places, array $slopes, FilmedCar $car, array $guess, ?self $near = null): self
    {
        $origin = $times[0];
        $times = array_map(static fn(float $t): float => $t - $origin, $times);
        $guess = [
            'release' => $guess['release'] - $origin, 'limp' => $guess['limp'] - $origin, 'stop' => $guess['stop'] - $origin,
        ] + $guess;
        $best = null;
        $starts = array_map(
            static fn(float $share): array => self::first($guess, $car, $share),
            $car->shape === null ? [1.0] : self::STARTS,
        );
        foreach ($near === null ? $starts : [$near->at] as $start) {
            $found = self::from($start, $times, $places, $slopes, $car);
            if ($found !== null && ($best === null || $found[1] < $best[1])) {
                $best = $found;
            }
        }
        if ($best === null) {
            throw new UnreadableFilmException(new Remark('film.not_one_run'));
        }

        return self::found($best[0], $times, $places, $slopes, $car, $origin);
    }

    /**
     * @return array{release: float, push: float, limp_after: float, limp_at: float, friction: float, distance: float, lasts: float, top_speed: float}
     */
    public function results(FilmedCar $car): array
    {
        $results = self::resultsAt($this->at, $car);

        return ['release' => $results['release'] + $this->origin] + $results;
    }

    /** @return array<string, float> standard errors of the results, by name */
    public function errors(FilmedCar $car): array
    {
        $gradients = [];
        foreach (array_keys($this->at) as $k) {
            $up = self::resultsAt(self::stepped($this->at, $k, self::STEP), $car);
            $down = self::resultsAt(self::stepped($this->at, $k, -self::STEP), $car);
            foreach ($up as $name => $value) {
                $gradients[$name][$k] = ($value - $down[$name]) / (2 * self::STEP);
            }
        }
        $errors = [];
        foreach ($gradients as $name => $gradient) {
            $variance = 0.0;
            foreach ($gradient as $i => $gi) {
                foreach ($gradient as $j => $gj) {
                    $variance += $gi * $gj * $this->covariance[$i][$j];
                }
            }
            $errors[$name] = sqrt(max(0.0, $variance));
        }

        return $errors;
    }

    /**
     * What it would be with all pictures elsewhere, near enough that the motion follows in proportion.
     *
     * @param list<float> $places
     */
    public function shifted(array $places): self
    {
        $right = array_map(
            static fn(float $new, float $old, float $weight): float => ($new - $old) * $weight,
            $places,
            $this->places,
            $this->weights,
        );
        $step = LinearModel::fit($this->rows, $right)->coefficients ?? array_fill(0, count($this->at), 0.0);

        return new self(
            array_map(static fn(float $at, float $by): float => $at + $by, $this->at, $step),
            $this->rows,
            $this->weights,
            $places,
            $this->covariance,
            $this->origin,
            $this->freedom,
            $this->motion,
            $this->startM,
            $this->missM,
            $this->agree,
        );
    }

    /**
     * @param array{release: float, limp: float, stop: float, speed: float, start: float, first: float} $guess
     *
     * @return list<float>
     */
    private static function first(array $guess, FilmedCar $car, float $share): array
    {
        $pushed = max(0.05, ($guess['limp'] - $guess['release']) * $share);
        $slowing = $guess['speed'] / max(0.1, $guess['stop'] - $guess['limp']);
        if ($car->shape === null) {
            return [$guess['start'], log($car->inertiaKg * $slowing), log($guess['speed'])];
        }

        return [
            $guess['start'], log($car->inertiaKg * $slowing),
            log($car->inertiaKg * ($guess['speed'] / $pushed + $slowing)), log($pushed), $guess['release'],
        ];
    }

    /** @param list<float> $at */
    private static function motionOf(array $at, FilmedCar $car): Motion
    {
        return $car->shape === null
            ? Motion::coasting(exp($at[2]), $car->inertiaKg, exp($at[1]), $car->dragKgM)
            : Motion::pushed($car->shape, $car->inertiaKg, exp($at[1]), exp($at[2]), exp($at[3]));
    }

    /**
     * @param list<float> $at
     *
     * @return array{release: float, push: float, limp_after: float, limp_at: float, friction: float, distance: float, lasts: float, top_speed: float}
     */
    private static function resultsAt(array $at, FilmedCar $car): array
    {
        $motion = self::motionOf($at, $car);

        return [
            'release' => $at[4] ?? 0.0,
            'push' => $motion->limpM > 0.0 ? $motion->workJ / $motion->limpM : 0.0,
            'limp_after' => $motion->pushedS,
            'limp_at' => $motion->limpM,
            'friction' => exp($at[1]) / ($car->massKg * Constants::GRAVITY_M_S2),
            'distance' => $motion->distanceM,
            'lasts' => $motion->lastsS(),
            'top_speed' => $motion->greatestSpeedMS(),
        ];
    }

    /**
     * @param list<float> $at
     * @param list<float> $times
     *
     * @return list<float>
     */
    private static function placesOf(array $at, array $times, FilmedCar $car): array
    {
        $motion = self::motionOf($at, $car);

        return array_map(static fn(float $t): float => $at[0] + $motion->placeM($t - ($at[4] ?? 0.0)), $times);
    }

    /**
     * @param list<float> $at
     * @param list<float> $times
     * @param list<float> $places
     * @param list<float> $slopes
     *
     * @return array{list<float>, float}|null what was found, and the scale of what is missed (px); null where nothing can be
     */
    private static function from(array $at, array $times, array $places, array $slopes, FilmedCar $car): ?array
    {
        $misses = self::misses($at, $times, $places, $slopes, $car);
        $shares = self::shares($places, $slopes);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $scale = self::scaleOf($misses);
            $weights = self::times(self::bisquare($misses, $scale), $shares);
            $rows = self::derivatives($at, $times, $slopes, $car);
            $step = LinearModel::fit(
                array_map(
                    static fn(array $row, float $w): array => array_map(static fn(float $each): float => sqrt($w) * $each, $row),
                    $rows,
                    $weights,
                ),
                array_map(static fn(float $miss, float $w): float => sqrt($w) * $miss, $misses, $weights),
            )?->coefficients;
            if ($step === null) {
                return null;
            }
            $cost = self::cost($misses, $scale, $shares);
            $moved = 0.0;
            for ($halving = 0, $by = 1.0; $halving < self::HALVINGS; $halving++, $by /= 2) {
                $next = array_map(static fn(float $old, float $each): float => $old + $by * max(-0.7, min(0.7, $each)), $at, $step);
                $missed = self::misses($next, $times, $places, $slopes, $car);
                if (self::cost($missed, $scale, $shares) < $cost) {
                    $moved = $by * max(0.0, ...array_map(abs(...), $step));
                    [$at, $misses] = [$next, $missed];
                    break;
                }
            }
            if ($moved < self::SETTLED) {
                break;
            }
        }

        return [$at, self::scaleOf($misses)];
    }

    /**
     * @param list<float> $at
     * @param list<float> $times
     * @param list<float> $places
     * @param list<float> $slopes
     */
    private static function found(array $at, array $times, array $places, array $slopes, FilmedCar $car, float $origin): self
    {
        $misses = self::misses($at, $times, $places, $slopes, $car);
        $scale = self::scaleOf($misses);
        $shares = self::shares($places, $slopes);
        $trusted = self::bisquare($misses, $scale);
        $weights = array_map(sqrt(...), self::times($trusted, $shares));
        $rows = array_map(
            static fn(array $row, float $w): array => array_map(static fn(float $each): float => $w * $each, $row),
            self::derivatives($at, $times, $slopes, $car),
            $weights,
        );
        $right = array_map(static fn(float $miss, float $w): float => $w * $miss, $misses, $weights);
        $fit = LinearModel::fit($rows, $right) ?? throw new UnreadableFilmException(new Remark('film.not_one_run'));
        $alike = self::alike($right);
        $wider = (1.0 + $alike) / (1.0 - $alike);
        $wider *= self::GRAIN;
        // The variance is that of a vote, and not finer than pictures are.
        $votes = array_sum($shares);
        $wider *= $fit->degreesOfFreedom / max(3.0, $votes - count($at));
        $wider *= max(1.0, self::FINEST_PX ** 2 * max(3.0, $votes - count($at)) / max(1e-12, $fit->residualSquares));
        $squares = 0.0;
        foreach ($right as $i => $miss) {
            $squares += ($miss * $slopes[$i]) ** 2;
        }

        return new self(
            $at,
            $rows,
            array_map(static fn(float $w, float $slope): float => $w / $slope, $weights, $slopes),
            $places,
            array_map(static fn(array $row): array => array_map(static fn(float $each): float => $each * $wider, $row), $fit->covariance),
            $origin,
            max(4.0, $votes * (1.0 - $alike) / (1.0 + $alike) - count($at)),
            self::motionOf($at, $car),
            $at[0],
            sqrt($squares / $votes),
            count(array_filter($trusted, static fn(float $w): bool => $w > 0.05)) / count($trusted),
        );
    }

    /**
     * @param list<float> $at
     * @param list<float> $times
     * @param list<float> $places
     * @param list<float> $slopes
     *
     * @return list<float> px
     */
    private static function misses(array $at, array $times, array $places, array $slopes, FilmedCar $car): array
    {
        return array_map(
            static fn(float $seen, float $said, float $slope): float => ($seen - $said) / $slope,
            $places,
            self::placesOf($at, $times, $car),
            $slopes,
        );
    }

    /**
     * @param list<float> $at
     * @param list<float> $times
     * @param list<float> $slopes
     *
     * @return list<list<float>> px for each of what is fitted
     */
    private static function derivatives(array $at, array $times, array $slopes, FilmedCar $car): array
    {
        $columns = [];
        foreach (array_keys($at) as $k) {
            $up = self::placesOf(self::stepped($at, $k, self::STEP), $times, $car);
            $down = self::placesOf(self::stepped($at, $k, -self::STEP), $times, $car);
            $columns[] = array_map(
                static fn(float $a, float $b, float $slope): float => ($a - $b) / (2 * self::STEP * $slope),
                $up,
                $down,
                $slopes,
            );
        }

        return array_map(
            static fn(int $i): array => array_map(static fn(array $column): float => $column[$i], $columns),
            array_keys($times),
        );
    }

    /**
     * @param list<float> $at
     *
     * @return list<float>
     */
    private static function stepped(array $at, int $k, float $by): array
    {
        $at[$k] += $by;

        return array_values($at);
    }

    /** @param list<float> $misses */
    private static function scaleOf(array $misses): float
    {
        $sizes = array_map(abs(...), $misses);
        sort($sizes);

        return max(self::FINEST_PX, 1.4826 * $sizes[intdiv(count($sizes), 2)]);
    }

    /**
     * @param list<float> $misses
     *
     * @return list<float>
     */
    private static function bisquare(array $misses, float $scale): array
    {
        return array_map(static fn(float $miss): float => max(0.0, 1.0 - ($miss / (self::FAR * $scale)) ** 2) ** 2, $misses);
    }

    /**
     * @param list<float> $misses
     * @param list<float> $shares
     */
    private static function cost(array $misses, float $scale, array $shares): float
    {
        return array_sum(array_map(
            static fn(float $miss, float $share): float => $share * (1.0 - max(0.0, 1.0 - ($miss / (self::FAR * $scale)) ** 2) ** 3),
            $misses,
            $shares,
        ));
    }

    /**
     * What each picture is worth: those in which the car is seen on the same pixels share one vote, since they share their error.
     *
     * @param list<float> $places
     * @param list<float> $slopes
     *
     * @return list<float>
     */
    private static function shares(array $places, array $slopes): array
    {
        $px = array_map(static fn(float $place, float $slope): float => $place / $slope, $places, $slopes);

        return array_map(
            static fn(float $at): float => 1.0 / count(
                array_filter($px, static fn(float $other): bool => abs($other - $at) < self::SAME_PX),
            ),
            $px,
        );
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     *
     * @return list<float>
     */
    private static function times(array $a, array $b): array
    {
        return array_map(static fn(float $x, float $y): float => $x * $y, $a, $b);
    }

    /**
     * How alike neighbours err: the autocorrelation of what is missed, one picture apart, from 0 to 0.9.
     *
     * @param list<float> $misses
     */
    private static function alike(array $misses): float
    {
        $squares = $products = 0.0;
        foreach ($misses as $i => $miss) {
            $squares += $miss ** 2;
            $products += $miss * ($misses[$i + 1] ?? 0.0);
        }

        return $squares > 0.0 ? max(0.0, min(0.9, $products / $squares)) : 0.0;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Ode;

/**
 * Integrates a system of ordinary differential equations y' = f(y) until a component of y falls to a value.
 *
 * Dormand & Prince's pair of orders 5 and 4 (J. Comput. Appl. Math. 6, 19, 1980), first same as last, with the step
 * chosen by the error; events by the interpolant of OdeStep, then by Newton's method on the step's own end.
 *
 * The first components feed back into f and their error is controlled; those after them are integrals that feed
 * nothing back.
 */
final readonly class Ode
{
    private const A = [
        [],
        [1 / 5],
        [3 / 40, 9 / 40],
        [44 / 45, -56 / 15, 32 / 9],
        [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
        [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
        [35 / 384, 0.0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
    ];

    private const ERROR = [71 / 57600, 0.0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40];

    private const MOST_STEPS = 200_000;

    /**
     * @param \Closure(array<int, float>): array<int, float> $slopes f
     * @param int $controlled how many components feed back
     * @param int $components how many there are in all
     * @param float $tolerance of the error of a step, relative to the greater of a component and the floor
     * @param float $floor below this nobody asks for more digits, in the unit of each component
     */
    public function __construct(
        private \Closure $slopes,
        private int $controlled,
        private int $components,
        private float $tolerance,
        private float $floor = 1e-3,
    ) {}

    /**
     * @param array<int, float> $state at the beginning
     * @param array<int, float> $until by component, the value that it falls to; the first to get there ends it, and of two
     *     at once the one that is named first
     * @param int $watched the component whose greatest value is asked for
     * @param float $first step to try, small against every time scale at hand
     * @param bool $keep whether to keep the steps
     */
    public function integrate(float $from, array $state, array $until, int $watched, float $first, bool $keep = false): OdeSolution
    {
        $greatest = $state[$watched];
        $slopes = ($this->slopes)($state);
        $length = $first;
        $steps = [];
        for ($count = 0; $count < self::MOST_STEPS; $count++) {
            [$end, $stages, $error] = $this->step($state, $slopes, $length);
            if ($error > 1.0) {
                $length *= max(0.2, 0.9 * $error ** -0.2);
                continue;
            }
            $step = new OdeStep($from, $length, $state, $stages);
            [$event, $share] = self::firstEvent($step, $end, $until);
            if ($event !== null) {
                [$end, $stages, $length] = $this->landOn($state, $slopes, $share * $length, $event, $until[$event]);
                $step = new OdeStep($from, $length, $state, $stages);
            }
            $greatest = max($greatest, $step->greatest($watched, $end));
            if ($keep) {
                $steps[] = $step;
            }
            if ($event !== null) {
                return new OdeSolution($from + $length, $end, $event, $greatest, $steps);
            }
            $from += $length;
            $state = $end;
            $slopes = $stages[6];
            $length *= $error === 0.0 ? 5.0 : min(5.0, 0.9 * $error ** -0.2);
        }

        throw new \LogicException('The integration did not come to an end. This is a fault of the model, not of its values.');
    }

    /**
     * @param array<int, float> $end
     * @param array<int, float> $until
     *
     * @return array{int|null, float} the component, and the share of the step after which it is there
     */
    private static function firstEvent(OdeStep $step, array $end, array $until): array
    {
        [$event, $share] = [null, 2.0];
        foreach ($until as $component => $value) {
            if ($end[$component] <= $value) {
                $crossing = $step->crossing($component, $value);
                if ($crossing < $share) {
                    [$event, $share] = [$component, $crossing];
                }
            }
        }

        return [$event, $share];
    }

    /**
     * One step of the pair.
     *
     * @param array<int, float> $state
     * @param array<int, float> $slopes
     *
     * @return array{array<int, float>, list<array<int, float>>, float} the state after it, the seven slopes, and the error over the tolerance
     */
    private function step(array $state, array $slopes, float $length): array
    {
        $stages = [$slopes];
        $end = $state;
        for ($stage = 1; $stage < 7; $stage++) {
            for ($i = 0; $i < $this->controlled; $i++) {
                $sum = 0.0;
                foreach (self::A[$stage] as $j => $weight) {
                    $sum += $weight * $stages[$j][$i];
                }
                $end[$i] = $state[$i] + $length * $sum;
            }
            $stages[] = ($this->slopes)($end);
        }
        // The integrals feed nothing back, so they wait for the end of the step.
        for ($i = $this->controlled; $i < $this->components; $i++) {
            $sum = 0.0;
            foreach (self::A[6] as $j => $weight) {
                $sum += $weight * $stages[$j][$i];
            }
            $end[$i] = $state[$i] + $length * $sum;
        }

        return [$end, $stages, $this->error($state, $end, $stages, $length)];
    }

    /**
     * Root mean square over the controlled components, over the tolerance.
     *
     * @param array<int, float> $state
     * @param array<int, float> $end
     * @param list<array<int, float>> $stages
     */
    private function error(array $state, array $end, array $stages, float $length): float
    {
        $squares = 0.0;
        for ($i = 0; $i < $this->controlled; $i++) {
            $miss = 0.0;
            foreach (self::ERROR as $j => $weight) {
                $miss += $weight * $stages[$j][$i];
            }
            $squares += ($length * $miss / ($this->tolerance * max($this->floor, abs($state[$i]), abs($end[$i])))) ** 2;
        }

        return sqrt($squares / $this->controlled);
    }

    /**
     * The step that ends where a component reaches a value. The interpolant, of lower order than the step itself, gives
     * the first guess; Newton's method on the step's own end does the rest.
     *
     * @param array<int, float> $state
     * @param array<int, float> $slopes
     *
     * @return array{array<int, float>, list<array<int, float>>, float} state, slopes, and length of the step
     */
    private function landOn(array $state, array $slopes, float $length, int $component, float $value): array
    {
        $full = $length;
        for ($i = 0; ; $i++) {
            [$end, $stages] = $this->step($state, $slopes, $length);
            $miss = $end[$component] - $value;
            $slope = $stages[6][$component];
            if ($i === 4 || abs($miss) < 1e-13 || $slope >= 0.0) {
                $end[$component] = $value;

                return [$end, $stages, $length];
            }
            $length = min(1.5 * $full, max(0.5 * $full, $length - $miss / $slope));
        }
    }
}

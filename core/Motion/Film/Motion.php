<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

/**
 * A car that is pushed for a while and then rolls out: (m + mₐ)·v̇ = F − f·m·g − k·v², by Runge and Kutta's fourth order while it is
 * pushed, and from then on as x = ln(cos(φ − ω·t)/cos φ)/B, with A = f·m·g/m', B = k/m', ω = √(A·B) and φ = arctan(v₀·√(B/A)).
 */
final readonly class Motion
{
    /** Below this, B·v²/A of the roll-out counts as no drag: the next term is a millionth of the way. */
    private const NO_DRAG = 1e-6;

    /**
     * @param list<float> $x of each step while it is pushed, from 0 (m)
     * @param list<float> $v likewise (m/s)
     */
    private function __construct(
        public float $pushedS,
        /** Its mean over that time (N). */
        public float $pushN,
        private array $x,
        private array $v,
        /** The push did this much work (J). */
        public float $workJ,
        private float $a,
        private float $b,
        public float $rollsS,
        public float $limpM,
        public float $distanceM,
    ) {}

    /**
     * @param float $inertiaKg of the car, its wheels' spin included, its balloon empty
     * @param float $resistanceN of rolling
     * @param float $pushN its mean over the time
     * @param float $pushedS how long
     */
    public static function pushed(PushShape $shape, float $inertiaKg, float $resistanceN, float $pushN, float $pushedS): self
    {
        $steps = PushShape::STEPS;
        $h = $pushedS / $steps;
        $force = static fn(float $share, float $v): float => self::acceleration($shape, $inertiaKg, $resistanceN, $pushN, $share, $v);
        $x = $v = [0.0];
        $work = 0.0;
        for ($step = 0; $step < $steps; $step++) {
            [$at, $speed] = [$x[$step], $v[$step]];
            $k1 = $force((float) $step, $speed);
            $k2 = $force($step + 0.5, $speed + $h / 2 * $k1);
            $k3 = $force($step + 0.5, $speed + $h / 2 * $k2);
            $k4 = $force($step + 1.0, $speed + $h * $k3);
            $x[] = $at + $h * max(0.0, $speed + $h / 6 * ($k1 + $k2 + $k3));
            $v[] = max(0.0, $speed + $h / 6 * ($k1 + 2 * $k2 + 2 * $k3 + $k4));
            $work += $pushN * ($shape->push[$step] + $shape->push[$step + 1]) / 2 * ($x[$step + 1] - $at);
        }

        // A limp balloon still holds a little.
        $inertia = $inertiaKg + $shape->airKg[$steps];

        return self::rollingOut($pushedS, $pushN, $x, $v, $work, $resistanceN / $inertia, $shape->dragKgM[$steps] / $inertia);
    }

    /** One that nothing pushes, from a speed on. */
    public static function coasting(float $speedMS, float $inertiaKg, float $resistanceN, float $dragKgM): self
    {
        return self::rollingOut(0.0, 0.0, [0.0], [$speedMS], 0.0, $resistanceN / $inertiaKg, $dragKgM / $inertiaKg);
    }

    /** From its release to its stop (s). */
    public function lastsS(): float
    {
        return $this->pushedS + $this->rollsS;
    }

    /** Where it is (m from where it was let go) so long after its release. */
    public function placeM(float $afterS): float
    {
        if ($afterS <= 0.0) {
            return 0.0;
        }
        if ($afterS >= $this->pushedS) {
            return $this->limpM + $this->rolledM(min($this->rollsS, $afterS - $this->pushedS));
        }
        $steps = count($this->x) - 1;
        $h = $this->pushedS / $steps;
        $step = min($steps - 1, (int) ($afterS / $h));
        $share = $afterS / $h - $step;
        // Hermite's cubic through places and speeds.
        [$x0, $x1, $v0, $v1] = [$this->x[$step], $this->x[$step + 1], $this->v[$step] * $h, $this->v[$step + 1] * $h];

        return $x0 + $share * ($v0 + $share * (3 * ($x1 - $x0) - 2 * $v0 - $v1 + $share * (2 * ($x0 - $x1) + $v0 + $v1)));
    }

    /** Its speed then (m/s). */
    public function speedMS(float $afterS): float
    {
        if ($afterS <= 0.0 || $afterS >= $this->lastsS()) {
            return 0.0;
        }
        if ($afterS >= $this->pushedS) {
            return $this->rollingSpeed($afterS - $this->pushedS);
        }
        $steps = count($this->v) - 1;
        $at = $afterS / $this->pushedS * $steps;
        $step = min($steps - 1, (int) $at);

        return $this->v[$step] + ($at - $step) * ($this->v[$step + 1] - $this->v[$step]);
    }

    public function greatestSpeedMS(): float
    {
        return max(0.0, ...$this->v);
    }

    /** When it is so far (s after the release); null where it never is. */
    public function timeAt(float $metres): ?float
    {
        if ($metres > $this->distanceM) {
            return null;
        }
        [$low, $high] = [0.0, $this->lastsS()];
        for ($i = 0; $i < 50; $i++) {
            $middle = ($low + $high) / 2;
            $this->placeM($middle) < $metres ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    private static function acceleration(PushShape $shape, float $inertiaKg, float $resistanceN, float $pushN, float $step, float $v): float
    {
        $i = min(PushShape::STEPS - 1, (int) $step);
        $share = $step - $i;
        $at = static fn(float $from, float $to): float => $from + $share * ($to - $from);
        $force = $pushN * $at($shape->push[$i], $shape->push[$i + 1]) - $at(
            $shape->dragKgM[$i],
            $shape->dragKgM[$i + 1],
        ) * $v * abs($v) - ($v > 0.0 ? $resistanceN : 0.0);

        return ($v > 0.0 ? $force : max(0.0, $force - $resistanceN)) / ($inertiaKg + $at($shape->airKg[$i], $shape->airKg[$i + 1]));
    }

    /**
     * @param list<float> $x
     * @param list<float> $v
     */
    private static function rollingOut(float $pushedS, float $pushN, array $x, array $v, float $work, float $a, float $b): self
    {
        $speed = $v[count($v) - 1];
        $limp = $x[count($x) - 1];
        $isFree = $b * $speed ** 2 < self::NO_DRAG * $a;
        $lasts = $isFree ? $speed / $a : atan($speed * sqrt($b / $a)) / sqrt($a * $b);
        $further = $isFree ? $speed ** 2 / (2 * $a) : log(1.0 + $b * $speed ** 2 / $a) / (2 * $b);

        return new self($pushedS, $pushN, $x, $v, $work, $a, $isFree ? 0.0 : $b, $lasts, $limp, $limp + $further);
    }

    private function rolledM(float $for): float
    {
        $speed = $this->v[count($this->v) - 1];
        if ($this->b === 0.0) {
            return $speed * $for - $this->a * $for ** 2 / 2;
        }
        $phase = atan($speed * sqrt($this->b / $this->a));

        return log(cos($phase - sqrt($this->a * $this->b) * $for) / cos($phase)) / $this->b;
    }

    private function rollingSpeed(float $for): float
    {
        $speed = $this->v[count($this->v) - 1];

        return $this->b === 0.0
            ? $speed - $this->a * $for
            : sqrt($this->a / $this->b) * tan(atan($speed * sqrt($this->b / $this->a)) - sqrt($this->a * $this->b) * $for);
    }
}

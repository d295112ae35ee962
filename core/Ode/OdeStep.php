<?php

declare(strict_types=1);

namespace Skivo\Core\Ode;

/**
 * One step of an integration, with Shampine's interpolant of order 4 within it (Math. Comput. 46, 135, 1986).
 */
final readonly class OdeStep
{
    /** By stage, the polynomial's coefficients from the first power up. */
    private const DENSE = [
        [1.0, -8048581381 / 2820520608, 8663915743 / 2820520608, -12715105075 / 11282082432],
        [0.0, 0.0, 0.0, 0.0],
        [0.0, 131558114200 / 32700410799, -68118460800 / 10900136933, 87487479700 / 32700410799],
        [0.0, -1754552775 / 470086768, 14199869525 / 1410260304, -10690763975 / 1880347072],
        [0.0, 127303824393 / 49829197408, -318862633887 / 49829197408, 701980252875 / 199316789632],
        [0.0, -282668133 / 205662961, 2019193451 / 616988883, -1453857185 / 822651844],
        [0.0, 40617522 / 29380423, -110615467 / 29380423, 69997945 / 29380423],
    ];

    /**
     * @param float $from where it begins
     * @param array<int, float> $state there
     * @param list<array<int, float>> $stages its seven slopes
     */
    public function __construct(
        public float $from,
        public float $length,
        private array $state,
        private array $stages,
    ) {}

    /** One component of the state, at a share of the step from 0 to 1. */
    public function component(int $component, float $share): float
    {
        $sum = 0.0;
        foreach (self::weights($share) as $stage => $weight) {
            $sum += $weight * $this->stages[$stage][$component];
        }

        return $this->state[$component] + $this->length * $sum;
    }

    /**
     * The first components of the state, at a share of the step from 0 to 1.
     *
     * @return array<int, float>
     */
    public function state(int $components, float $share): array
    {
        $weights = self::weights($share);
        $state = [];
        for ($i = 0; $i < $components; $i++) {
            $sum = 0.0;
            foreach ($weights as $stage => $weight) {
                $sum += $weight * $this->stages[$stage][$i];
            }
            $state[] = $this->state[$i] + $this->length * $sum;
        }

        return $state;
    }

    /**
     * The greatest value of a component within the step: where its slope changes sign, a finer look.
     *
     * @param array<int, float> $end the state at its end
     */
    public function greatest(int $component, array $end): float
    {
        $greatest = max($this->state[$component], $end[$component]);
        if ($this->stages[0][$component] <= 0.0 || $this->stages[6][$component] >= 0.0) {
            return $greatest;
        }
        [$low, $high] = [0.0, 1.0];
        for ($i = 0; $i < 18; $i++) {
            [$left, $right] = [$low + ($high - $low) / 3, $high - ($high - $low) / 3];
            if ($this->component($component, $left) < $this->component($component, $right)) {
                $low = $left;
            } else {
                $high = $right;
            }
        }

        return max($greatest, $this->component($component, ($low + $high) / 2));
    }

    /** The share of the step after which a component falls to a value. Regula falsi with the Illinois rule. */
    public function crossing(int $component, float $value): float
    {
        [$low, $high, $side] = [0.0, 1.0, 0];
        $atLow = $this->state[$component] - $value;
        $atHigh = $this->component($component, 1.0) - $value;
        if ($atLow <= 0.0) {
            // On the line already, as what starts from rest is: it is the return to it that counts.
            $low = 1e-9;
            $atLow = $this->component($component, $low) - $value;
            if ($atLow <= 0.0) {
                return 0.0;
            }
        }
        if ($atHigh >= 0.0) {
            return 1.0;
        }
        for ($i = 0; $i < 100 && $high - $low > 1e-14; $i++) {
            $middle = ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            $at = $this->component($component, $middle) - $value;
            if ($at === 0.0) {
                return $middle;
            }
            if ($at > 0.0) {
                $low = $middle;
                $atLow = $at;
                $atHigh *= $side === 1 ? 0.5 : 1.0;
                $side = 1;
            } else {
                $high = $middle;
                $atHigh = $at;
                $atLow *= $side === -1 ? 0.5 : 1.0;
                $side = -1;
            }
        }

        return ($low + $high) / 2;
    }

    /** @return list<float> of the seven slopes */
    private static function weights(float $share): array
    {
        $weights = [];
        foreach (self::DENSE as [$p1, $p2, $p3, $p4]) {
            $weights[] = $share * ($p1 + $share * ($p2 + $share * ($p3 + $share * $p4)));
        }

        return $weights;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\FDistribution;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\StudentT;

/**
 * One question over several classes, each a block of its own: what their cars did is compared within a class only, and the classes'
 * slopes are then averaged, weighted by how many groups speak in each (weights that no result has a say in). The interval is of the
 * mean over these classes, with Satterthwaite's freedom (Biom. Bull. 2, 110, 1946); whether classes differ is judged by Welch's test
 * (Biometrika 38, 330, 1951), which minds that their scatter does.
 */
final readonly class PooledEffect
{
    /**
     * Where classes do not differ, they are said to in fewer than one of twenty: with three groups a class Welch's test is quick. From
     * trial.
     */
    private const LEVEL = 0.03;

    /**
     * @param array<array-key, Effect> $effects by class, of those that speak
     * @param float $least of the attribute, in any of them (SI)
     * @param float $most
     * @param float $mean by how much the outcome differs between the two, on average over the classes
     * @param Interval $interval of that, at 95 %
     * @param float|null $differ p of classes that do not differ; null of one class
     */
    private function __construct(
        public CarAttribute $factor,
        public Outcome $outcome,
        public array $effects,
        public float $least,
        public float $most,
        public float $mean,
        public Interval $interval,
        public float $pValue,
        public ?float $differ,
        private float $slope,
        private float $error,
        private float $degrees,
    ) {}

    /**
     * @param array<array-key, Effect|null> $effects of one attribute and outcome, by class; those that rest on two cars say nothing
     *
     * @return self|null null where no class speaks
     */
    public static function of(array $effects): ?self
    {
        $speaking = array_filter($effects, static fn(?Effect $effect): bool => $effect?->error() !== null && $effect->error() > 0.0);
        if ($speaking === []) {
            return null;
        }
        $first = $speaking[array_key_first($speaking)];
        $groups = array_sum(array_map(static fn(Effect $effect): int => $effect->groups(), $speaking));
        $slope = $variance = $freedom = 0.0;
        foreach ($speaking as $effect) {
            $weight = $effect->groups() / $groups;
            $own = $weight ** 2 * $effect->error() ** 2;
            $slope += $weight * $effect->perUnit();
            $variance += $own;
            $freedom += $own ** 2 / $effect->degrees();
        }
        $degrees = $variance ** 2 / $freedom;
        $least = min(array_map(static fn(Effect $effect): float => $effect->least, $speaking));
        $most = max(array_map(static fn(Effect $effect): float => $effect->most, $speaking));
        $error = sqrt($variance);
        $t = new StudentT($degrees);

        return new self(
            $first->factor,
            $first->outcome,
            $speaking,
            $least,
            $most,
            ($most - $least) * $slope,
            Interval::around(($most - $least) * $slope, ($most - $least) * $t->intervalFactor() * $error),
            $t->bothTails($slope / $error),
            self::welch(array_values($speaking)),
            $slope,
            $error,
            $degrees,
        );
    }

    /** What they say together, by the rules by which a class's own answer is judged. */
    public function answer(float $typical): Answer
    {
        return match (true) {
            Answer::isHardly($this->interval, $typical) => Answer::HardlyMatters,
            $this->interval->contains(0.0) => Answer::CannotTell,
            default => $this->mean > 0.0 ? Answer::More : Answer::Less,
        };
    }

    public function classesDiffer(): bool
    {
        return $this->differ !== null && $this->differ < self::LEVEL;
    }

    /** What one class says over the span of all. */
    public function spanOf(Effect $effect): float
    {
        return ($this->most - $this->least) * $effect->perUnit();
    }

    public function intervalOf(Effect $effect): ?Interval
    {
        $own = $effect->perUnitInterval();
        $span = $this->most - $this->least;

        return $own === null ? null : new Interval($span * $own->low, $span * $own->high);
    }

    /**
     * By how much more it did here than there, over the span of both: this year's classes against last year's.
     *
     * @return array{float, Interval, float} the difference, its interval at 95 %, and p of none
     */
    public function against(self $other): array
    {
        $span = max($this->most, $other->most) - min($this->least, $other->least);
        $variance = $this->error ** 2 + $other->error ** 2;
        $t = new StudentT($variance ** 2 / ($this->error ** 4 / $this->degrees + $other->error ** 4 / $other->degrees));
        $difference = $this->slope - $other->slope;

        return [
            $span * $difference,
            Interval::around($span * $difference, $span * $t->intervalFactor() * sqrt($variance)),
            $t->bothTails($difference / sqrt($variance)),
        ];
    }

    /** @param non-empty-list<Effect> $effects */
    private static function welch(array $effects): ?float
    {
        $count = count($effects);
        if ($count < 2) {
            return null;
        }
        $weights = array_map(static fn(Effect $effect): float => 1.0 / $effect->error() ** 2, $effects);
        $sum = array_sum($weights);
        $mean = array_sum(
            array_map(static fn(float $weight, Effect $effect): float => $weight * $effect->perUnit(), $weights, $effects),
        ) / $sum;
        $between = $small = 0.0;
        foreach ($effects as $i => $effect) {
            $between += $weights[$i] * ($effect->perUnit() - $mean) ** 2;
            $small += (1.0 - $weights[$i] / $sum) ** 2 / $effect->degrees();
        }
        $f = $between / ($count - 1) / (1.0 + 2.0 * ($count - 2) / ($count ** 2 - 1) * $small);

        return (new FDistribution($count - 1, ($count ** 2 - 1) / (3.0 * $small)))->upperTail($f);
    }
}

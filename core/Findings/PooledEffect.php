<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\FDistribution;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Normal;

/**
 * One question over several classes, each a block of its own: what their cars did is compared within a class only, and the classes'
 * slopes are then averaged, weighted by how many groups speak in each (weights that no result has a say in). Each class's interval
 * says already how few its groups are; of one class it stands as it is, of several their errors add up. Whether classes differ is
 * judged by Cochran's Q (Biometrics 10, 101, 1954).
 */
final readonly class PooledEffect
{
    /** Classes that do not differ are said to in one of twenty at most. */
    private const LEVEL = 0.05;

    /** χ² is F with so many degrees of freedom below. */
    private const VERY_MANY = 1e7;

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
        $slope = $variance = 0.0;
        foreach ($speaking as $effect) {
            $weight = $effect->groups() / $groups;
            $slope += $weight * $effect->perUnit();
            $variance += ($weight * $effect->error()) ** 2;
        }
        $least = min(array_map(static fn(Effect $effect): float => $effect->least, $speaking));
        $most = max(array_map(static fn(Effect $effect): float => $effect->most, $speaking));
        $error = sqrt($variance);

        return new self(
            $first->factor,
            $first->outcome,
            $speaking,
            $least,
            $most,
            ($most - $least) * $slope,
            // One class says what it says alone.
            count($speaking) === 1 && $first->interval !== null
                ? $first->interval
                : Interval::around(($most - $least) * $slope, ($most - $least) * Normal::quantile(0.975) * $error),
            2.0 * Normal::cumulative(-abs($slope / $error)),
            self::cochran(array_values($speaking)),
            $slope,
            $error,
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
        $difference = $this->slope - $other->slope;

        return [
            $span * $difference,
            Interval::around($span * $difference, $span * Normal::quantile(0.975) * sqrt($variance)),
            2.0 * Normal::cumulative(-abs($difference) / sqrt($variance)),
        ];
    }

    /**
     * Σ w·(slope − mean)², as good as χ² with one degree less than there are classes.
     *
     * @param non-empty-list<Effect> $effects
     */
    private static function cochran(array $effects): ?float
    {
        $count = count($effects);
        if ($count < 2) {
            return null;
        }
        $weights = array_map(static fn(Effect $effect): float => 1.0 / $effect->error() ** 2, $effects);
        $slopes = array_map(static fn(Effect $effect): float => $effect->perUnit(), $effects);
        $mean = array_sum(
            array_map(static fn(float $weight, float $slope): float => $weight * $slope, $weights, $slopes),
        ) / array_sum($weights);
        $q = array_sum(array_map(static fn(float $weight, float $slope): float => $weight * ($slope - $mean) ** 2, $weights, $slopes));

        return (new FDistribution($count - 1, self::VERY_MANY))->upperTail($q / ($count - 1));
    }
}

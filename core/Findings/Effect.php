<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\StudentT;
use Skivo\Core\Statistics\Verdict;

/**
 * What one choice did, from fair pairs alone: the mean of the pairs' differences with its t interval.
 *
 * Versions of a car share its group's faults, so the witnesses are groups, and each speaks in one pair only; which pairs
 * are taken is decided by the choices, never by the results. Cars that were rebuilt come first, then those that differ most. A single pair can only
 * speak of its own two cars: its interval is Welch's, from their tries.
 */
final readonly class Effect
{
    /**
     * @param string|null $from of two kinds, the one; null for a number
     * @param string|null $to the other
     * @param non-empty-list<FairPair> $pairs none shares a group with another
     * @param int $ahead in how many of them the car with more of it went farther
     * @param float $mean by how much it went farther on average (m, or s)
     * @param Interval|null $interval of that, at 95 %; null where a single pair has a car with one try
     * @param float|null $pValue of no effect at all
     */
    private function __construct(
        public CarAttribute $factor,
        public ?string $from,
        public ?string $to,
        public array $pairs,
        public int $ahead,
        public float $mean,
        public ?Interval $interval,
        public ?float $pValue,
        public Verdict $verdict,
    ) {}

    /**
     * Every choice that some fair pair speaks of, the surest first.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<self>
     */
    public static function all(array $cars): array
    {
        $found = [];
        foreach ($cars as $i => $one) {
            foreach (array_slice($cars, $i + 1) as $other) {
                $differ = Difference::between($one->choices, $other->choices);
                if (count($differ) !== 1) {
                    continue;
                }
                $factor = $differ[0];
                $a = $one->choices->explanation($factor);
                $b = $other->choices->explanation($factor);
                if ($a === null || $b === null) {
                    continue;
                }
                [$less, $more] = $a <= $b ? [$one, $other] : [$other, $one];
                $contrast = is_string($a)
                    ? mb_strtolower($less->choices->explanation($factor) . "\n" . $more->choices->explanation($factor))
                    : '';
                $found[$factor->value . "\n" . $contrast][] = new FairPair($factor, $less, $more);
            }
        }
        $effects = array_map(static fn(array $pairs): self => self::of($pairs), array_values($found));
        usort($effects, static fn(self $a, self $b): int => [$b->isPooled(), $a->pValue ?? 2.0] <=> [$a->isPooled(), $b->pValue ?? 2.0]);

        return $effects;
    }

    /** @param non-empty-list<FairPair> $pairs of one choice, and of the same two kinds */
    public static function of(array $pairs): self
    {
        $taken = self::apart($pairs);
        $factor = $taken[0]->factor;
        $kind = $taken[0]->less->choices->explanation($factor);
        $differences = new Sample(array_map(static fn(FairPair $pair): float => $pair->difference(), $taken));
        if ($differences->n > 1) {
            $interval = $differences->meanInterval();
            $error = $differences->standardError() ?? 0.0;
            $p = $error > 0.0 ? (new StudentT($differences->n - 1))->bothTails($differences->mean() / $error) : 0.0;
            $verdict = $interval?->contains(0.0) === false ? Verdict::ClearlyApart : Verdict::TooCloseToCall;
        } else {
            $own = $taken[0]->comparison();
            [$interval, $p, $verdict] = [$own->interval, $own->pValue, $own->verdict];
        }

        return new self(
            $factor,
            is_string($kind) ? $kind : null,
            is_string($kind) ? (string) $taken[0]->more->choices->explanation($factor) : null,
            $taken,
            count(array_filter($taken, static fn(FairPair $pair): bool => $pair->difference() > 0.0)),
            $differences->mean(),
            $interval,
            $p,
            $verdict,
        );
    }

    /** Whether it rests on more than one pair: only then does it speak of more than two cars. */
    public function isPooled(): bool
    {
        return count($this->pairs) > 1;
    }

    /** Clear, and not of two cars alone. */
    public function isClear(): bool
    {
        return $this->isPooled() && $this->verdict === Verdict::ClearlyApart;
    }

    /**
     * @param non-empty-list<FairPair> $pairs
     *
     * @return non-empty-list<FairPair>
     */
    private static function apart(array $pairs): array
    {
        $span = static function (FairPair $pair): float {
            $less = $pair->less->choices->explanation($pair->factor);
            $more = $pair->more->choices->explanation($pair->factor);

            return is_float($less) && is_float($more) ? abs($more - $less) : 0.0;
        };
        // First the rebuilt; among the rest the far apart; then as they come.
        usort($pairs, static fn(FairPair $a, FairPair $b): int => [$b->isRebuilt(), $span($b)] <=> [$a->isRebuilt(), $span($a)]);
        $first = array_shift($pairs);
        $used = [$first->less->group => true, $first->more->group => true];
        $taken = [$first];
        foreach ($pairs as $pair) {
            if (!isset($used[$pair->less->group]) && !isset($used[$pair->more->group])) {
                $used[$pair->less->group] = $used[$pair->more->group] = true;
                $taken[] = $pair;
            }
        }

        return $taken;
    }
}

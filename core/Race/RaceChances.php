<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Statistics\Normal;

/**
 * What races can't do: how often the better car loses one, and how often the best car of the class wins by each way of
 * finding it. Cars are as they may well be (ChanceOfFirst::truths); a heat is won by whoever does better in it, each about
 * its truth by its own normal scatter; heats are independent. Chances in a bracket are exact.
 */
final readonly class RaceChances
{
    private function __construct(
        /** That the better of any two loses one heat. */
        public float $betterLoses,
        /** That it loses best of three. */
        public float $betterLosesOfThree,
        /** That the best car of all wins a knockout, by single heats. */
        public float $byKnockout,
        /** By a knockout, each pair best of three. */
        public float $byKnockoutOfThree,
        /** Everyone against everyone, where it has most wins, ties shared. */
        public float $byRoundRobin,
        /** By the mean of so many tries. */
        public float $byMean,
    ) {}

    /**
     * @param list<array<string, array{float, float}>> $truths by entrant: truth (more is better), and scatter of one try
     * @param int $tries whose mean is taken
     *
     * @return self|null null for fewer than two cars
     */
    public static function of(array $truths, int $tries, int $seed = 1): ?self
    {
        $truths = array_values(array_filter($truths, static fn(array $draw): bool => count($draw) > 1));
        if ($truths === []) {
            return null;
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $sums = array_fill(0, 6, 0.0);
        foreach ($truths as $draw) {
            $cars = array_values($draw);
            // Seeds as good as they get: by the truth itself would flatter the bracket, so they are by lot.
            $cars = $random->shuffleArray($cars);
            $best = 0;
            foreach ($cars as $i => [$truth]) {
                $best = $truth > $cars[$best][0] ? $i : $best;
            }
            $once = self::pairs($cars);
            $ofThree = array_map(static fn(array $row): array => array_map(self::ofThree(...), $row), $once);
            [$loses, $losesOfThree] = [self::betterLoses($cars, $once), self::betterLoses($cars, $ofThree)];
            $sums[0] += $loses;
            $sums[1] += $losesOfThree;
            $sums[2] += self::knockout($once)[$best];
            $sums[3] += self::knockout($ofThree)[$best];
            $sums[4] += self::firstOfRounds($once, $best, $random);
            $sums[5] += self::firstByMean($cars, $best, $tries, $random);
        }

        return new self(...array_map(static fn(float $sum): float => $sum / count($truths), $sums));
    }

    /** Of winning two of three heats, from that of winning one. */
    public static function ofThree(float $once): float
    {
        return $once ** 2 * (3.0 - 2.0 * $once);
    }

    /**
     * How likely each car is to win a knockout, by the bracket for their places.
     *
     * @param non-empty-list<list<float>> $beats chance that one beats another
     *
     * @return non-empty-array<int, float> by the place
     */
    public static function knockout(array $beats): array
    {
        // Of each part of the bracket: who may come out of it, and how likely.
        $parts = array_map(
            static fn(array $pair): array => $pair[1] === null
                ? [$pair[0] => 1.0]
                : [$pair[0] => $beats[$pair[0]][$pair[1]], $pair[1] => $beats[$pair[1]][$pair[0]]],
            Bracket::firstRound(count($beats)),
        );
        while (count($parts) > 1) {
            $parts = array_map(static function (array $two) use ($beats): array {
                [$one, $other] = [$two[0], $two[1] ?? []];
                $out = [];
                foreach ([[$one, $other], [$other, $one]] as [$mine, $theirs]) {
                    foreach ($mine as $i => $chance) {
                        $out[$i] = 0.0;
                        foreach ($theirs as $j => $against) {
                            $out[$i] += $chance * $against * $beats[$i][$j];
                        }
                    }
                }

                return $out;
            }, array_chunk($parts, 2));
        }
        $chances = array_fill(0, count($beats), 0.0);
        foreach ($parts[0] ?? [] as $i => $chance) {
            $chances[$i] = $chance;
        }

        return $chances;
    }

    /**
     * @param non-empty-list<array{float, float}> $cars
     *
     * @return non-empty-list<list<float>>
     */
    private static function pairs(array $cars): array
    {
        return array_map(static fn(array $one): array => array_map(
            static fn(array $other): float => Normal::cumulative(($one[0] - $other[0]) / max(1e-12, sqrt($one[1] ** 2 + $other[1] ** 2))),
            $cars,
        ), $cars);
    }

    /**
     * @param non-empty-list<array{float, float}> $cars
     * @param non-empty-list<list<float>> $beats
     */
    private static function betterLoses(array $cars, array $beats): float
    {
        $sum = 0.0;
        $pairs = 0;
        foreach ($cars as $i => [$truth]) {
            for ($j = 0; $j < $i; $j++) {
                $sum += $truth > $cars[$j][0] ? $beats[$j][$i] : $beats[$i][$j];
                $pairs++;
            }
        }

        return $sum / max(1, $pairs);
    }

    /** @param non-empty-list<list<float>> $beats */
    private static function firstOfRounds(array $beats, int $best, Randomizer $random): float
    {
        $wins = array_fill(0, count($beats), 0);
        foreach ($beats as $i => $row) {
            for ($j = 0; $j < $i; $j++) {
                $wins[$random->getInt(0, 1 << 30) / (1 << 30) < $row[$j] ? $i : $j]++;
            }
        }

        return $wins[$best] === max($wins) ? 1.0 / count(array_keys($wins, max($wins), true)) : 0.0;
    }

    /** @param non-empty-list<array{float, float}> $cars */
    private static function firstByMean(array $cars, int $best, int $tries, Randomizer $random): float
    {
        $means = array_map(
            static fn(array $car): float => $car[0] + $car[1] / sqrt(max(1, $tries)) * Normal::quantile(
                $random->getInt(1, (1 << 30) - 1) / (1 << 30),
            ),
            $cars,
        );

        return $means[$best] === max($means) ? 1.0 : 0.0;
    }
}

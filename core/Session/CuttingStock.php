<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/**
 * How many straws or skewers it takes to cut a class's pieces, and which pieces come from each: the cutting
 * stock problem in one dimension (Gilmore & Gomory, Oper. Res. 9, 849, 1961).
 *
 * The fullest cut is taken first, and first fit decreasing is tried beside it (at most 11/9 of the least number and a
 * little: D. S. Johnson, SIAM J. Comput. 3, 299, 1974); the better of both stands. Where that does not meet the bound below
 * which nothing can go, the least number is found by dynamic programming over what is still to be cut, unless the
 * combinations are too many. Only what is proved is said to be the least.
 */
final readonly class CuttingStock
{
    /** Combinations of pieces still to be cut, times ways of cutting one length, up to which the exact search is quick. */
    private const MOST_STEPS = 1_000_000;

    /** Lengths agree when they differ by less than a hundredth of a millimetre. */
    private const TOLERANCE_M = 1e-5;

    /**
     * @param float $stockM the length of one straw or skewer
     * @param float $kerfM lost at each cut between two pieces
     * @param array<string, float> $lengthsM of the pieces, by name
     * @param list<array{pieces: array<string, int>, times: int}> $cuts which pieces come from one length, and from how many
     * @param bool $isLeast whether no fewer can do
     */
    private function __construct(
        public float $stockM,
        public float $kerfM,
        public array $lengthsM,
        public array $cuts,
        public bool $isLeast,
    ) {}

    /**
     * @param array<string, array{float, int}> $pieces length in m and number wanted, by name
     *
     * @throws DoesNotFitException where a piece is longer than the stock
     */
    public static function plan(float $stockM, float $kerfM, array $pieces): self
    {
        $pieces = array_filter($pieces, static fn(array $piece): bool => $piece[1] > 0);
        foreach ($pieces as $name => [$length]) {
            if ($length > $stockM + self::TOLERANCE_M) {
                throw new DoesNotFitException($name, $length, $stockM);
            }
        }
        uasort($pieces, static fn(array $a, array $b): int => $b[0] <=> $a[0]);
        $names = array_keys($pieces);
        $lengths = array_map(static fn(array $piece): float => $piece[0], array_values($pieces));
        $wanted = array_map(static fn(array $piece): int => $piece[1], array_values($pieces));
        $patterns = self::patterns($stockM, $kerfM, $lengths, $wanted);
        $states = (int) array_product(array_map(static fn(int $number): int => $number + 1, $wanted));
        $chosen = self::fullestFirst($wanted, $patterns, $lengths);
        $firstFit = self::firstFitDecreasing($stockM, $kerfM, $wanted, $lengths);
        $chosen = count($firstFit) < count($chosen) ? $firstFit : $chosen;
        $isLeast = count($chosen) === self::bound($stockM, $kerfM, $lengths, $wanted);
        if (!$isLeast && $states * count($patterns) <= self::MOST_STEPS) {
            $chosen = self::least($wanted, $patterns);
            $isLeast = true;
        }
        $cuts = [];
        foreach ($chosen as $pattern) {
            $key = implode(',', $pattern);
            $cuts[$key]['pieces'] = array_filter(array_combine($names, $pattern), static fn(int $count): bool => $count > 0);
            $cuts[$key]['times'] = ($cuts[$key]['times'] ?? 0) + 1;
        }
        usort($cuts, static fn(array $a, array $b): int => $b['times'] <=> $a['times']);

        return new self(
            $stockM,
            $kerfM,
            array_combine($names, $lengths),
            $cuts,
            $isLeast,
        );
    }

    /** How many pieces of one length a straw or skewer yields. */
    public static function yield(float $stockM, float $kerfM, float $pieceM): int
    {
        return $pieceM > $stockM + self::TOLERANCE_M ? 0 : (int) floor(($stockM + $kerfM + self::TOLERANCE_M) / ($pieceM + $kerfM));
    }

    /** How many straws or skewers the class needs. */
    public function count(): int
    {
        return array_sum(array_column($this->cuts, 'times'));
    }

    /** What is left over or lost in cuts, as a share of all that is used. */
    public function waste(): float
    {
        $used = 0.0;
        foreach ($this->cuts as ['pieces' => $pieces, 'times' => $times]) {
            foreach ($pieces as $name => $count) {
                $used += $times * $count * $this->lengthsM[$name];
            }
        }
        $all = $this->count() * $this->stockM;

        return $all > 0.0 ? 1.0 - $used / $all : 0.0;
    }

    /**
     * Every way of cutting one length from which no further wanted piece could be had.
     *
     * @param list<float> $lengths
     * @param list<int> $wanted
     *
     * @return list<list<int>>
     */
    private static function patterns(float $stockM, float $kerfM, array $lengths, array $wanted): array
    {
        $patterns = [[[], $stockM + $kerfM]];
        foreach ($lengths as $index => $length) {
            $next = [];
            foreach ($patterns as [$counts, $left]) {
                $most = min($wanted[$index], (int) floor(($left + self::TOLERANCE_M) / ($length + $kerfM)));
                for ($count = $most; $count >= 0; $count--) {
                    $next[] = [[...$counts, $count], $left - $count * ($length + $kerfM)];
                }
            }
            $patterns = $next;
        }
        $full = array_filter($patterns, static function (array $pattern) use ($kerfM, $lengths, $wanted): bool {
            foreach ($lengths as $index => $length) {
                if ($pattern[0][$index] < $wanted[$index] && $pattern[1] + self::TOLERANCE_M >= $length + $kerfM) {
                    return false;
                }
            }

            return array_sum($pattern[0]) > 0;
        });

        return array_values(array_map(static fn(array $pattern): array => $pattern[0], $full));
    }

    /**
     * @param list<int> $wanted
     * @param list<list<int>> $patterns
     *
     * @return list<list<int>> one pattern a length, as few as can be; each cut down to what was still wanted
     */
    private static function least(array $wanted, array $patterns): array
    {
        // What is still wanted, as one number in mixed radix: index = Σ amount_i × weight_i.
        $weights = [];
        $size = 1;
        foreach ($wanted as $number) {
            $weights[] = $size;
            $size *= $number + 1;
        }
        $kinds = count($wanted);
        $fewest = array_fill(0, $size, PHP_INT_MAX);
        $by = array_fill(0, $size, -1);
        $fewest[0] = 0;
        for ($state = 1; $state < $size; $state++) {
            foreach ($patterns as $which => $pattern) {
                $rest = $state;
                $before = 0;
                for ($kind = $kinds - 1; $kind >= 0; $kind--) {
                    $amount = intdiv($rest, $weights[$kind]);
                    $rest -= $amount * $weights[$kind];
                    $before += max(0, $amount - $pattern[$kind]) * $weights[$kind];
                }
                if ($before < $state && $fewest[$before] + 1 < $fewest[$state]) {
                    $fewest[$state] = $fewest[$before] + 1;
                    $by[$state] = $which;
                }
            }
        }
        $chosen = [];
        $left = $wanted;
        while (array_sum($left) > 0) {
            $state = 0;
            foreach ($left as $kind => $amount) {
                $state += $amount * $weights[$kind];
            }
            $chosen[] = self::cutFrom($left, $patterns[$by[$state]]);
        }

        return $chosen;
    }

    /**
     * Each time the cut that uses most of the length.
     *
     * @param list<int> $wanted
     * @param list<list<int>> $patterns
     * @param list<float> $lengths
     *
     * @return list<list<int>>
     */
    private static function fullestFirst(array $wanted, array $patterns, array $lengths): array
    {
        $chosen = [];
        while (array_sum($wanted) > 0) {
            $best = [];
            $most = 0.0;
            foreach ($patterns as $pattern) {
                $used = 0.0;
                foreach ($wanted as $kind => $amount) {
                    $used += min($amount, $pattern[$kind]) * $lengths[$kind];
                }
                if ($used > $most) {
                    $most = $used;
                    $best = $pattern;
                }
            }
            $chosen[] = self::cutFrom($wanted, $best);
        }

        return $chosen;
    }

    /**
     * Piece by piece, the longest first, each from the first length that still holds it.
     *
     * @param list<int> $wanted
     * @param list<float> $lengths falling
     *
     * @return list<list<int>>
     */
    private static function firstFitDecreasing(float $stockM, float $kerfM, array $wanted, array $lengths): array
    {
        $left = $cuts = [];
        foreach ($lengths as $kind => $length) {
            for ($piece = 0; $piece < $wanted[$kind]; $piece++) {
                for ($at = 0; $at < count($left) && $left[$at] + self::TOLERANCE_M < $length + $kerfM; $at++);
                $left[$at] = ($left[$at] ?? $stockM + $kerfM) - $length - $kerfM;
                $cuts[$at] ??= array_fill(0, count($lengths), 0);
                $cuts[$at][$kind]++;
            }
        }

        return array_values($cuts);
    }

    /**
     * Takes the pieces of a pattern that are still wanted.
     *
     * @param list<int> $wanted
     * @param list<int> $pattern
     *
     * @param-out list<int> $wanted
     *
     * @return list<int>
     */
    private static function cutFrom(array &$wanted, array $pattern): array
    {
        $taken = [];
        foreach ($wanted as $kind => $amount) {
            $taken[] = $count = min($amount, $pattern[$kind]);
            $wanted[$kind] = $amount - $count;
        }

        return $taken;
    }

    /**
     * Fewer can't do: the lengths alone need so many.
     *
     * @param list<float> $lengths
     * @param list<int> $wanted
     */
    private static function bound(float $stockM, float $kerfM, array $lengths, array $wanted): int
    {
        $total = 0.0;
        foreach ($lengths as $kind => $length) {
            $total += $wanted[$kind] * ($length + $kerfM);
        }

        return (int) ceil($total / ($stockM + $kerfM) - 1e-9);
    }
}

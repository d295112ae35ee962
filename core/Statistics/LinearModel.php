<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Least squares with several columns: y ≈ X·β, by Householder's orthogonal triangularisation (Golub, Numer. Math. 7,
 * 206, 1965), which keeps the digits that normal equations lose. Columns are scaled to unit length first.
 */
final readonly class LinearModel
{
    /**
     * @param list<float> $coefficients β, one a column
     * @param list<float> $errors their standard errors
     * @param list<list<float>> $covariance of the coefficients
     */
    private function __construct(
        public array $coefficients,
        public array $errors,
        public array $covariance,
        public float $residualDeviation,
        public float $residualSquares,
        public int $degreesOfFreedom,
    ) {}

    /**
     * @param list<list<float>> $rows of X, one an observation
     * @param list<float> $y
     *
     * @return self|null null where there are no more observations than columns, or the columns can't be told apart
     */
    public static function fit(array $rows, array $y): ?self
    {
        $n = count($rows);
        $k = count($rows[0] ?? []);
        if ($k === 0 || $n <= $k) {
            return null;
        }
        $norms = [];
        for ($j = 0; $j < $k; $j++) {
            $norms[$j] = sqrt(array_sum(array_map(static fn(array $row): float => $row[$j] ** 2, $rows)));
            if ($norms[$j] === 0.0) {
                return null;
            }
        }
        $a = [];
        foreach ($rows as $i => $row) {
            for ($j = 0; $j < $k; $j++) {
                $a[$i][$j] = $row[$j] / $norms[$j];
            }
            $a[$i][$k] = $y[$i];
        }
        if (!self::triangulate($a, $k)) {
            return null;
        }
        $beta = self::substitute($a, $k);
        $squares = 0.0;
        for ($i = $k; $i < $n; $i++) {
            $squares += $a[$i][$k] ** 2;
        }
        $freedom = $n - $k;
        $variance = $squares / $freedom;
        $covariance = self::covariance($a, $norms, $variance);

        return new self(
            array_map(static fn(float $scaled, float $norm): float => $scaled / $norm, $beta, $norms),
            array_map(static fn(int $j): float => sqrt($covariance[$j][$j]), range(0, $k - 1)),
            array_map(array_values(...), array_values($covariance)),
            sqrt($variance),
            $squares,
            $freedom,
        );
    }

    /**
     * Householder reflections, in place (Golub and Van Loan, Matrix Computations, algorithm 5.2.1): [A | y] becomes [R | Qᵀy].
     *
     * @param array<int, array<int, float>> $a rows of A, with y as their last column
     *
     * @return bool whether its columns are independent
     */
    private static function triangulate(array &$a, int $k): bool
    {
        $n = count($a);
        for ($j = 0; $j < $k; $j++) {
            $length = 0.0;
            for ($i = $j; $i < $n; $i++) {
                $length += $a[$i][$j] ** 2;
            }
            $length = sqrt($length);
            if ($length < 1e-10) {
                return false;
            }
            $alpha = $a[$j][$j] > 0.0 ? -$length : $length;
            $v = [];
            for ($i = $j; $i < $n; $i++) {
                $v[$i] = $a[$i][$j];
            }
            $v[$j] -= $alpha;
            $square = array_sum(array_map(static fn(float $each): float => $each * $each, $v));
            for ($c = $j; $c <= $k; $c++) {
                $dot = 0.0;
                for ($i = $j; $i < $n; $i++) {
                    $dot += $v[$i] * $a[$i][$c];
                }
                $factor = 2.0 * $dot / $square;
                for ($i = $j; $i < $n; $i++) {
                    $a[$i][$c] -= $factor * $v[$i];
                }
            }
        }

        return true;
    }

    /**
     * @param array<int, array<int, float>> $a as triangulate() leaves it
     *
     * @return array<int, float> what solves R b = Qᵀy
     */
    private static function substitute(array $a, int $k): array
    {
        $beta = array_fill(0, $k, 0.0);
        for ($j = $k - 1; $j >= 0; $j--) {
            $sum = $a[$j][$k];
            for ($c = $j + 1; $c < $k; $c++) {
                $sum -= $a[$j][$c] * $beta[$c];
            }
            $beta[$j] = $sum / $a[$j][$j];
        }

        return $beta;
    }

    /**
     * @param array<int, array<int, float>> $a as triangulate() leaves it
     * @param array<int, float> $norms of the columns before they were scaled
     *
     * @return array<int, array<int, float>> σ² (AᵀA)⁻¹
     */
    private static function covariance(array $a, array $norms, float $variance): array
    {
        $k = count($norms);
        $inverse = self::inverseOfTriangle($a, $k);
        $covariance = [];
        for ($i = 0; $i < $k; $i++) {
            for ($j = 0; $j < $k; $j++) {
                $sum = 0.0;
                for ($c = max($i, $j); $c < $k; $c++) {
                    $sum += $inverse[$i][$c] * $inverse[$j][$c];
                }
                $covariance[$i][$j] = $variance * $sum / ($norms[$i] * $norms[$j]);
            }
        }

        return $covariance;
    }

    /**
     * A polynomial in t, lowest power first.
     *
     * @param list<float> $t
     * @param list<float> $y
     */
    public static function polynomial(array $t, array $y, int $degree): ?self
    {
        return self::fit(
            array_map(static fn(float $at): array => array_map(static fn(int $power): float => $at ** $power, range(0, $degree)), $t),
            $y,
        );
    }

    /**
     * @param array<int, array<int, float>> $a with the triangle in its upper left
     *
     * @return array<int, array<int, float>>
     */
    private static function inverseOfTriangle(array $a, int $k): array
    {
        $inverse = array_fill(0, $k, array_fill(0, $k, 0.0));
        for ($j = 0; $j < $k; $j++) {
            $inverse[$j][$j] = 1.0 / $a[$j][$j];
            for ($i = $j - 1; $i >= 0; $i--) {
                $sum = 0.0;
                for ($c = $i + 1; $c <= $j; $c++) {
                    $sum += $a[$i][$c] * $inverse[$c][$j];
                }
                $inverse[$i][$j] = -$sum / $a[$i][$i];
            }
        }

        return $inverse;
    }
}

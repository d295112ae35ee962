<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Motion\Trace\Trace;
use Skivo\Core\Statistics\LinearModel;

final class LinearModelTest extends TestCase
{
    use AgreesClosely;

    /**
     * NIST Statistical Reference Datasets, linear regression, Longley: certified values. Its columns are nearly
     * dependent, so that each digit that is right had to be kept.
     */
    public function testLongley(): void
    {
        $rows = array_map(
            static fn(string $line): array => array_map(floatval(...), str_getcsv($line, ',', '"', '')),
            array_slice((array) file(__DIR__ . '/data/longley.csv', FILE_IGNORE_NEW_LINES), 1),
        );
        $model = LinearModel::fit(
            array_map(static fn(array $row): array => [1.0, ...array_slice($row, 1)], $rows),
            array_map(static fn(array $row): float => $row[0], $rows),
        );

        self::assertNotNull($model);
        self::assertCount(16, $rows);
        foreach ([
            [-3482258.63459582, 890420.383607373], [15.0618722713733, 84.9149257747669], [-0.358191792925910e-01, 0.334910077722432e-01],
            [-2.02022980381683, 0.488399681651699], [-1.03322686717359, 0.214274163161675], [-0.511041056535807e-01, 0.226073200069370],
            [1829.15146461355, 455.478499142212],
        ] as $column => [$coefficient, $error]) {
            self::assertRelative($coefficient, $model->coefficients[$column], 1e-8, "coefficient {$column}");
            self::assertRelative($error, $model->errors[$column], 1e-8, "error {$column}");
        }
        self::assertRelative(304.854073561965, $model->residualDeviation, 1e-9, 'residual deviation');
        self::assertSame(9, $model->degreesOfFreedom);
    }

    public function testRandomModelsAgainstNumPy(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(11));
        $draw = static fn(): float => $chance->getInt(-1_000_000, 1_000_000) / 100_000;
        $cases = [];
        foreach (range(1, 40) as $case) {
            $columns = 1 + $case % 5;
            $rows = array_map(
                static fn(): array => array_map(static fn(): float => $draw(), range(1, $columns)),
                range(1, $columns + 2 + $case % 20),
            );
            $cases[] = [$rows, array_map(static fn(): float => $draw(), $rows)];
        }
        $expected = SciPy::ask(
            <<<'PY'
            out = []
            for rows, y in data:
                x, y = np.array(rows), np.array(y)
                q, r = np.linalg.qr(x)
                beta = np.linalg.solve(r, q.T @ y)
                s2 = ((y - x @ beta) ** 2).sum() / (len(y) - x.shape[1])
                inverse = np.linalg.inv(r)
                cov = s2 * inverse @ inverse.T
                out.append([beta.tolist(), cov.tolist(), float(np.sqrt(s2))])
            PY,
            $cases,
        );

        foreach ($cases as $index => [$rows, $y]) {
            $model = LinearModel::fit($rows, $y);
            self::assertNotNull($model);
            foreach ($expected[$index][0] as $column => $coefficient) {
                self::assertEqualsWithDelta($coefficient, $model->coefficients[$column], 1e-9 * max(1.0, abs($coefficient)));
                foreach ($expected[$index][1][$column] as $other => $covariance) {
                    self::assertEqualsWithDelta($covariance, $model->covariance[$column][$other], 1e-9 * max(1.0, abs($covariance)));
                }
            }
            self::assertRelative($expected[$index][2], $model->residualDeviation, 1e-9);
        }
    }

    /** Speed and acceleration of a trace, beside NumPy's least squares over the same points around each. */
    public function testTheLocalFitOfATraceAgainstNumPy(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(3));
        $points = [];
        for ($t = 0.0; $t < 4.0; $t += 0.01 + $chance->getInt(0, 2000) / 100_000) {
            $points[] = [$t, 0.4 * $t ** 2 - 0.05 * $t ** 3 + $chance->getInt(-1000, 1000) / 500_000];
        }
        $trace = Trace::of($points);
        $expected = SciPy::ask(
            <<<'PY'
            t, x = np.array(data).T
            out = []
            for i, at in enumerate(t):
                near = np.flatnonzero(np.abs(t - at) <= 0.15)
                low, high = min(near[0], max(0, i - 3)), max(near[-1], min(len(t) - 1, i + 3))
                tau = t[low:high + 1] - at
                a = np.stack([np.ones_like(tau), tau, tau ** 2], 1)
                beta, *_ = np.linalg.lstsq(a, x[low:high + 1], rcond=None)
                out.append([float(beta[0]), float(beta[1]), float(2 * beta[2])])
            PY,
            $points,
        );

        self::assertSameSize($expected, $trace->points);
        foreach ($trace->points as $index => $point) {
            self::assertEqualsWithDelta($expected[$index], [$point->placeM, $point->speedMS, $point->accelerationMS2], 1e-8);
        }
    }
}

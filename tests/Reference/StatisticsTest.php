<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Statistics\Censored;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\Spearman;

final class StatisticsTest extends TestCase
{
    use AgreesClosely;

    /** NIST Statistical Reference Datasets, linear regression, Norris: certified values. */
    public function testNorris(): void
    {
        $rows = array_map(str_getcsv(...), array_slice((array) file(__DIR__ . '/data/norris.csv', FILE_IGNORE_NEW_LINES), 1));
        $line = LeastSquares::fit(
            array_map(static fn(array $row): float => (float) $row[1], $rows),
            array_map(static fn(array $row): float => (float) $row[0], $rows),
        );

        self::assertCount(36, $rows);
        self::assertNotNull($line);
        self::assertRelative(-0.262323073774029, $line->intercept, 1e-10, 'intercept');
        self::assertRelative(1.00211681802045, $line->slope, 1e-13, 'slope');
        self::assertRelative(0.429796848199937e-3, (float) $line->slopeError(), 1e-12, 'error of the slope');
        self::assertRelative(0.884796396144373, (float) $line->residualDeviation, 1e-12, 'residual deviation');
        self::assertRelative(0.999993745883712, $line->rSquared, 1e-13, 'R squared');
    }

    public function testRegressionWithItsBandsAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            for _ in range(60):
                n = int(rng.integers(3, 40)); x = rng.uniform(2, 12, n); y = 20 + rng.normal() * 30 * x + rng.normal(0, 25, n); at = float(rng.uniform(0, 15))
                r = stats.linregress(x, y); t = np.sqrt(stats.f.isf(0.05, 1, n - 2))
                s = np.sqrt(np.sum((y - r.intercept - r.slope * x) ** 2) / (n - 2)); h = 1 / n + (at - x.mean()) ** 2 / np.sum((x - x.mean()) ** 2)
                cases.append([x.tolist(), y.tolist(), at])
                expected.append([r.slope, r.intercept, r.stderr, r.rvalue ** 2, r.slope - t * r.stderr, r.slope + t * r.stderr,
                    r.intercept + r.slope * at - t * s * np.sqrt(h), r.intercept + r.slope * at + t * s * np.sqrt(1 + h)])
            PY);
        foreach ($cases as $index => [$x, $y, $at]) {
            $line = LeastSquares::fit($x, $y);
            self::assertNotNull($line);
            $actual = [
                $line->slope, $line->intercept, $line->slopeError(), $line->rSquared,
                $line->slopeInterval()?->low, $line
                    ->slopeInterval()?->high, $line
                    ->lineInterval($at)?->low, $line
                    ->predictionInterval($at)?->high,
            ];
            foreach ($actual as $which => $value) {
                self::assertRelative($expected[$index][$which], (float) $value, 1e-8, "case {$index}, value {$which}");
            }
        }
    }

    public function testSpearmanWithTiesAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            for _ in range(80):
                n = int(rng.integers(10, 40)); x = rng.integers(1, 9, n).astype(float); y = x * rng.normal() + rng.integers(0, 6, n)
                x[0], x[1], y[0], y[1] = 1, 2, 5.5, -3.5
                r = stats.spearmanr(x, y)
                cases.append([x.tolist(), y.tolist()]); expected.append([float(r.correlation), float(r.pvalue)])
            PY);
        foreach ($cases as $index => [$x, $y]) {
            $spearman = Spearman::of($x, $y);
            self::assertNotNull($spearman);
            self::assertEqualsWithDelta($expected[$index][0], $spearman->rho, 1e-12);
            self::assertEqualsWithDelta($expected[$index][1], $spearman->pValue, 1e-10);
        }
    }

    public function testSpreadAndIntervalsOfAMeanAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            for _ in range(80):
                a = rng.normal(3, .4, int(rng.integers(2, 12))); n = len(a); w = np.sqrt(stats.f.isf(0.05, 1, n - 1)) * stats.sem(a)
                cases.append(a.tolist()); expected.append([float(a.mean()), float(np.median(a)), float(a.std(ddof=1)), float(a.mean() - w), float(a.mean() + w)])
            PY);
        foreach ($cases as $index => $values) {
            $sample = new Sample($values);
            $actual = [
                $sample->mean(), $sample->median(), $sample->standardDeviation(), $sample->meanInterval()?->low,
                $sample->meanInterval()?->high,
            ];
            foreach ($actual as $which => $value) {
                self::assertRelative($expected[$index][$which], (float) $value, 1e-9, "value {$which}");
            }
        }
    }

    /** The likeliest mean of values of which some are only bounds, with a known scatter, by a general-purpose optimiser. */
    public function testTheMeanOfCensoredValuesAgainstSciPy(): void
    {
        $cases = [
            [[5.2, 5.6, 6.0], [2], 0.4], [[4.0, 6.0, 6.0], [1, 2], 0.5], [[5.9, 5.8, 6.0], [2], 0.1], [[6.0, 5.1], [0], 0.45],
            [[3.0, 3.2, 2.0], [2], 0.25],
        ];
        $expected = SciPy::ask(
            <<<'PY'
            from scipy import optimize
            out = []
            for values, bounds, sd in data:
                seen = [v for i, v in enumerate(values) if i not in bounds]; censored = [values[i] for i in bounds]
                f = lambda m: -(np.sum(stats.norm.logpdf(seen, m, sd)) + np.sum(stats.norm.logsf(censored, m, sd)))
                out.append(float(optimize.minimize_scalar(f, bounds=(0, 20), method='bounded', options={'xatol': 1e-11}).x))
            PY,
            $cases,
        );
        foreach ($cases as $index => [$values, $atLeast, $deviation]) {
            $completed = Censored::complete($values, $atLeast, $deviation);
            self::assertRelative($expected[$index], (new Sample($completed))->mean(), 1e-6, "case {$index}");
            foreach ($values as $i => $value) {
                in_array($i, $atLeast, true)
                    ? self::assertGreaterThanOrEqual($value, $completed[$i])
                    : self::assertSame($value, $completed[$i]);
            }
        }
    }

    /** @return array{list<mixed>, list<mixed>} */
    private function drawn(string $code): array
    {
        return SciPy::ask("rng = np.random.default_rng(data)\ncases, expected = [], []\n{$code}\nout = [cases, expected]", 811);
    }
}

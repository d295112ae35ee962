<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Circumstances;
use Skivo\Core\Bench\Repeatability;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Confounding;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\SeveralFactors;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Statistics\AnalysisOfVariance;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;

/** The statistics behind the findings against certified values and SciPy. */
final class FindingsStatisticsTest extends TestCase
{
    use AgreesClosely;

    /** NIST Statistical Reference Datasets, analysis of variance, SiRstv: resistivity of silicon on five instruments, certified values. */
    public function testAnalysisOfVarianceOnCertifiedData(): void
    {
        $analysis = AnalysisOfVariance::of([
            [196.3052, 196.1240, 196.1890, 196.2569, 196.3403],
            [196.3042, 196.3825, 196.1669, 196.3257, 196.0422],
            [196.1303, 196.2005, 196.2889, 196.0343, 196.1811],
            [196.2795, 196.1748, 196.1494, 196.1485, 195.9885],
            [196.2119, 196.1051, 196.1850, 196.0052, 196.2090],
        ]);
        self::assertNotNull($analysis);
        self::assertSame([4, 20], [$analysis->degreesBetween, $analysis->degreesWithin]);
        // Nine digits, as many as double precision leaves of values that agree in their first three.
        self::assertRelative(1.18046237440255, $analysis->f, 1e-9, 'F');
    }

    /** Rebuilt cars by a t test of their differences; one car of each group by least squares with a line for each kind of wheels. */
    public function testEffectsAgainstSciPy(): void
    {
        $rebuilt = $sets = $effects = [];
        mt_srand(11);
        $draw = static fn(float $about): array => array_map(static fn(): float => $about + mt_rand(0, 1000) / 1500, [1, 2, 3]);
        for ($case = 0; $case < 25; $case++) {
            $cars = $differences = [];
            for ($group = 0; $group < 2 + $case % 5; $group++) {
                [$before, $after] = [$draw(2.0), $draw(3.0)];
                $cars[] = $this->car("{$group}-1", 0.006, 0.06, $before, group: "g{$group}");
                $cars[] = $this->car("{$group}-2", 0.009, 0.06, $after, group: "g{$group}", version: 2);
                $differences[] = (new Sample($after))->mean() - (new Sample($before))->mean();
            }
            $rebuilt[] = $differences;
            $effects[] = $this->ofBore($cars);
        }
        for ($case = 0; $case < 25; $case++) {
            $cars = $rows = [];
            for ($index = 0; $index < 5 + $case % 6; $index++) {
                $bore = mt_rand(50, 90) / 10_000;
                $values = $draw(300 * $bore + $index % 2);
                $cars[] = $this->car("{$index}", $bore, 0.06, $values, ['caps', 'lids'][$index % 2]);
                $rows[] = [$bore, $index % 2, (new Sample($values))->mean()];
            }
            $sets[] = $rows;
            $effects[] = $this->ofBore($cars);
        }
        $expected = SciPy::ask(
            <<<'PY'
            out = []
            for d in data['rebuilt']:
                low, high = stats.t.interval(0.95, len(d) - 1, np.mean(d), stats.sem(d))
                out.append([float(np.mean(d)) / 0.003, float(low) / 0.003, float(high) / 0.003, float(stats.ttest_1samp(d, 0).pvalue)])
            for rows in data['sets']:
                x, k, y = np.array(rows).T
                X = np.column_stack([x, k == 0, k == 1]).astype(float)
                b, ss, *_ = np.linalg.lstsq(X, y, rcond=None)
                dof = len(y) - 3
                se = np.sqrt(np.linalg.inv(X.T @ X)[0, 0] * ss[0] / dof)
                t = stats.t.ppf(0.975, dof)
                out.append([float(b[0]), float(b[0] - t * se), float(b[0] + t * se), float(2 * stats.t.sf(abs(b[0] / se), dof))])
            PY,
            ['rebuilt' => $rebuilt, 'sets' => $sets],
        );
        foreach ($effects as $index => $effect) {
            foreach (
                [
                    $effect->perUnit(), $effect->perUnitInterval()?->low, $effect->perUnitInterval()?->high, $effect->pValue,
                ] as $which => $value
            ) {
                self::assertRelative($expected[$index][$which], (float) $value, 1e-7, "case {$index}, value {$which}");
            }
        }
    }

    /** @param list<ComparedCar> $cars */
    private function ofBore(array $cars): Effect
    {
        return array_values(
            array_filter(Effect::all($cars), static fn(Effect $each): bool => $each->factor === CarAttribute::NozzleBore),
        )[0];
    }

    public function testSeveralFactorsAgainstNumPy(): void
    {
        mt_srand(5);
        $cars = $rows = $y = [];
        for ($i = 0; $i < 14; $i++) {
            $bore = mt_rand(40, 110) / 10_000;
            $mass = mt_rand(30, 110) / 1000;
            $values = array_map(static fn(): float => 300 * $bore - 8 * $mass + mt_rand(0, 1000) / 2500, [1, 2, 3]);
            $cars[] = $this->car("{$i}", $bore, $mass, $values);
            $rows[] = [1.0, $bore, $mass];
            $y[] = (new Sample($values))->mean();
        }
        $several = SeveralFactors::of($cars);
        $expected = SciPy::ask(
            <<<'PY'
            X, y = np.array(data['x']), np.array(data['y'])
            b, ss, *_ = np.linalg.lstsq(X, y, rcond=None)
            dof = len(y) - X.shape[1]
            se = np.sqrt(np.diag(np.linalg.inv(X.T @ X)) * ss[0] / dof)
            t = stats.t.ppf(0.975, dof)
            out = [[b[j], b[j] - t * se[j], b[j] + t * se[j], 2 * stats.t.sf(abs(b[j] / se[j]), dof)] for j in (1, 2)]
            PY,
            ['x' => $rows, 'y' => $y],
        );
        self::assertTrue($several->isSeparable());
        foreach ([0, 1] as $j) {
            foreach (
                [
                    $several->slopes[$j], $several->intervals[$j]->low, $several->intervals[$j]->high, $several->pValues[$j],
                ] as $which => $value
            ) {
                self::assertRelative($expected[$j][$which], $value, 1e-7, "factor {$j}, value {$which}");
            }
        }
    }

    public function testHowCloselyChoicesGoAlongAgainstSciPy(): void
    {
        mt_srand(3);
        $cases = [];
        $shares = [];
        for ($case = 0; $case < 20; $case++) {
            $cars = $data = [];
            for ($i = 0; $i < 12; $i++) {
                $bore = mt_rand(4, 9) / 1000;
                $mass = mt_rand(0, 3) === 0 ? 0.05 : 6 * $bore + mt_rand(1, 9) / 1000;
                [$wheels, $mount] = [
                    ['caps', 'lids', 'discs'][($i + mt_rand(0, 1)) % 3],
                    ['fixed to the axle', 'spinning on the axle'][mt_rand(0, 3) === 0 ? 0 : $i % 2],
                ];
                $cars[] = $this->car("{$i}", $bore, $mass, [1.0], $wheels, $mount);
                $data[] = [$bore, $mass, $wheels, $mount];
            }
            $cases[] = $data;
            $shares[] = [
                Confounding::shareOf($cars, CarAttribute::NozzleBore, CarAttribute::Mass),
                Confounding::shareOf($cars, CarAttribute::NozzleBore, CarAttribute::WheelKind),
                Confounding::shareOf($cars, CarAttribute::WheelKind, CarAttribute::WheelMount),
            ];
        }
        $expected = SciPy::ask(
            <<<'PY'
            from scipy.stats.contingency import association, crosstab
            out = []
            for rows in data:
                b, m, w, a = (np.array(c) for c in zip(*rows))
                b, m = b.astype(float), m.astype(float)
                total = np.sum((b - b.mean()) ** 2)
                eta = sum(np.sum(w == k) * (b[w == k].mean() - b.mean()) ** 2 for k in set(w)) / total
                out.append([stats.pearsonr(b, m)[0] ** 2, float(eta), float(association(crosstab(w, a)[1], method='cramer', correction=False)) ** 2])
            PY,
            $cases,
        );
        foreach ($shares as $index => $three) {
            foreach ($three as $which => $share) {
                self::assertRelative($expected[$index][$which], (float) $share, 1e-9, "case {$index}, value {$which}");
            }
        }
    }

    public function testOutliersAgainstTheMeanShiftModel(): void
    {
        // A try's studentized residual is the t of a column of its own in the regression (Cook & Weisberg 1982, 2.2.2).
        mt_srand(17);
        $samples = $cases = [];
        for ($car = 0; $car < 7; $car++) {
            $mean = 1 + $car / 2;
            $cases[] = array_map(
                static fn(int $try): float => $mean * (1 + mt_rand(-100, 100) / 2000 + ($car === 3 && $try === 1 ? 0.4 : 0.0)),
                range(1, 3 + $car % 2),
            );
            $samples[] = new Sample($cases[$car]);
        }
        [$expected, $critical] = SciPy::ask(
            <<<'PY'
            e = [v / np.mean(c) - 1 for c in data for v in c]
            group = [i for i, c in enumerate(data) for _ in c]
            N, k = len(e), len(data)
            out = []
            for j in range(N):
                X = np.zeros((N, k + 1)); X[range(N), group] = 1; X[j, k] = 1
                b, ss, *_ = np.linalg.lstsq(X, np.array(e), rcond=None)
                s2 = np.sum((np.array(e) - X @ b) ** 2) / (N - k - 1)
                out.append(float(b[k] / np.sqrt(s2 * np.linalg.inv(X.T @ X)[k, k])))
            out = [out, float(stats.t.ppf(1 - 0.05 / (2 * N), N - k - 1))]
            PY,
            $cases,
        );
        $found = Outlier::among($samples);
        self::assertSame([3], array_keys($found));
        self::assertCount(1, array_filter($expected, static fn(float $t): bool => abs($t) > $critical));
        self::assertRelative(max($expected), $found[3][0]->t, 1e-8, 't');
        self::assertRelative($critical, $found[3][0]->critical, 1e-8, 'critical value');
    }

    public function testUncertaintiesOfTheBenchAgainstAMonteCarlo(): void
    {
        // GUM supplement 1 (JCGM 101:2008): draw the inputs and look at the result; here 400,000 draws of a coast-down.
        $car = new Circumstances(
            0.06,
            0.0005,
            1.05,
            1.1,
            new Estimate(0.04, 0.004),
            static fn(float $diameter): float => 2000.0,
            0.6,
            static fn(float $turns): float => 0.1 * $turns,
        );
        $exact = new Repeatability(['coast-down' => [0.0, 1e12], 'first-stretch' => [0.0, 1e12]]);
        $coast = BenchTest::CoastDown->result([[0.5, 0.6, 0.8]], $car, $exact);
        $stretch = BenchTest::FirstStretch->result([[0.6, 1.1]], $car, $exact);
        [$coasted, $stretched] = SciPy::ask(
            <<<'PY'
            rng = np.random.default_rng(1); n = 400000
            within = lambda at, a: at + rng.uniform(-a, a, n)
            s, t, d = within(0.5, 0.005), within(0.6, 0.1), within(0.8, 0.01)
            f = 2 * (np.sqrt(d + s) - np.sqrt(d)) ** 2 / t ** 2 / 9.80665 * 1.05
            s, t, m, mu = within(0.6, 0.005), within(1.1, 0.1), rng.normal(0.06, 0.0005, n), rng.normal(0.04, 0.004, n)
            out = [float(np.std(f)), float(np.std(m * (1.1 * 2 * s / t ** 2 + mu * 9.80665)))]
            PY,
            null,
        );
        // First order leaves out what bends over ±0.1 s: a few percent.
        self::assertRelative($coasted, $coast->standardUncertainty, 0.06, 'coast-down');
        self::assertRelative($stretched, $stretch->standardUncertainty, 0.03, 'first stretch');
    }

    /** @param non-empty-list<float> $values */
    private function car(
        string $id,
        float $boreM,
        float $massKg,
        array $values,
        string $wheels = 'caps',
        string $mount = 'fixed to the axle',
        ?string $group = null,
        int $version = 1,
    ): ComparedCar {
        $entry = static fn(CarAttribute $choice, float $si): Entry => new Entry(Quantity::fromSi($si, $choice->dimension()), "{$si}");

        return new ComparedCar(
            $id,
            $group ?? $id,
            $version,
            new Car(
                [
                    CarAttribute::NozzleBore->value => $entry(CarAttribute::NozzleBore, $boreM),
                    CarAttribute::Mass->value => $entry(CarAttribute::Mass, $massKg),
                    CarAttribute::BalloonSize->value => $entry(CarAttribute::BalloonSize, 0.2),
                ],
                [],
                [CarAttribute::WheelKind->value => $wheels, CarAttribute::WheelMount->value => $mount],
            ),
            new Sample($values),
        );
    }
}

<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Circumstances;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Confounding;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\SeveralFactors;
use Skivo\Core\Forecast\Calibration;
use Skivo\Core\Forecast\Observation;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
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

    public function testPooledEffectsAgainstSciPy(): void
    {
        $cases = [];
        $effects = [];
        mt_srand(11);
        for ($case = 0; $case < 25; $case++) {
            $cars = $differences = [];
            for ($pair = 0; $pair < 2 + $case % 5; $pair++) {
                $samples = [];
                foreach ([6, 9] as $bore) {
                    $values = array_map(static fn(): float => $bore / 3 + mt_rand(0, 1000) / 1500, [1, 2, 3]);
                    $samples[] = new Sample($values);
                    // Families of mass, so that only two cars are a pair.
                    $cars[] = $this->car("{$pair}-{$bore}", $bore / 1000, 0.03 * 1.3 ** $pair, $values);
                }
                $differences[] = $samples[1]->mean() - $samples[0]->mean();
            }
            $cases[] = $differences;
            $effects[] = array_values(array_filter(Effect::all($cars), static fn(Effect $each): bool => $each->factor === CarAttribute::NozzleBore))[0];
        }
        $expected = SciPy::ask('out = [[float(np.mean(d)), *map(float, stats.t.interval(0.95, len(d) - 1, np.mean(d), stats.sem(d))), float(stats.ttest_1samp(d, 0).pvalue)] for d in data]', $cases);
        foreach ($effects as $index => $effect) {
            foreach ([$effect->mean, $effect->interval?->low, $effect->interval?->high, $effect->pValue] as $which => $value) {
                self::assertRelative($expected[$index][$which], (float) $value, 1e-8, "case {$index}, value {$which}");
            }
        }
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
            foreach ([$several->slopes[$j], $several->intervals[$j]->low, $several->intervals[$j]->high, $several->pValues[$j]] as $which => $value) {
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
                [$wheels, $mount] = [['caps', 'lids', 'discs'][($i + mt_rand(0, 1)) % 3], ['fixed to the axle', 'spinning on the axle'][mt_rand(0, 3) === 0 ? 0 : $i % 2]];
                $cars[] = $this->car("{$i}", $bore, $mass, [1.0], $wheels, $mount);
                $data[] = [$bore, $mass, $wheels, $mount];
            }
            $cases[] = $data;
            $shares[] = [Confounding::shareOf($cars, CarAttribute::NozzleBore, CarAttribute::Mass), Confounding::shareOf($cars, CarAttribute::NozzleBore, CarAttribute::WheelKind), Confounding::shareOf($cars, CarAttribute::WheelKind, CarAttribute::WheelMount)];
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
            $cases[] = array_map(static fn(int $try): float => $mean * (1 + mt_rand(-100, 100) / 2000 + ($car === 3 && $try === 1 ? 0.4 : 0.0)), range(1, 3 + $car % 2));
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
        $car = new Circumstances(0.06, 0.0005, 1.05, 1.1, new Estimate(0.04, 0.004), static fn(float $diameter): float => 2000.0);
        $coast = BenchTest::CoastDown->result([[0.5, 0.6, 0.8]], $car);
        $stretch = BenchTest::FirstStretch->result([[0.6, 1.1]], $car);
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

    public function testACalibrationAgainstSciPysLeastSquares(): void
    {
        $observations = $designs = [];
        // A class as the model would have it with factors of 1.6 and 0.92, and misses of a few percent.
        foreach ([[6.0, 50, 1.03, 0.97], [7.0, 60, 0.96, 1.02], [8.0, 55, 1.05, 1.01], [9.0, 66, 0.98, 0.99], [7.0, 75, 1.01, 1.03], [8.0, 80, 0.95, 0.98]] as $index => [$bore, $mass, $far, $long]) {
            $settings = Settings::of([CarAttribute::NozzleBore->value => $bore / 1000, CarAttribute::Mass->value => $mass / 1000, CarAttribute::BreakawayRatio->value => 1.0]);
            $run = Simulator::run($settings->design(1.6, 0.92 ** 2), withTrajectory: true);
            [$distance, $time] = [$far * $run->distanceM, $long * $run->timeAt(1.0)];
            $observations[] = new Observation("{$index}", $settings, $distance, null, $time, 1.0);
            $designs[] = [
                'air' => ['temperature_c' => 20], 'f' => $settings->rollingCoefficient(), 'distance' => $distance, 'time' => $time,
                'balloon' => ['relaxed_diameter_m' => 0.06, 'film_thickness_m' => 0.00025, 'inflated_diameter_m' => 0.2],
                'nozzle' => ['segments' => [['bore_m' => $bore / 1000, 'length_m' => 0.15]]],
                'car' => ['mass_kg' => $mass / 1000, 'wheel_equivalent_mass_kg' => $settings->design()->vehicle->wheelEquivalentMassKg, 'body_drag_area_m2' => $settings->design()->vehicle->bodyDragAreaM2],
            ];
        }
        $calibration = Calibration::of($observations);
        [$friction, $discharge] = SciPy::ask(
            'import sys as _s; _s.path.insert(0, ' . json_encode(__DIR__, JSON_UNESCAPED_SLASHES) . ")\n" . <<<'PY'
            import copy, run_model
            from scipy.optimize import least_squares
            def misses(p):
                out = []
                for each in data:
                    d = copy.deepcopy(each)
                    d['car']['rolling_coefficient'] = d['f'] * np.exp(p[0])
                    d['balloon']['modulus_pa'] = 300000 * np.exp(2 * p[1])
                    r = run_model.solve(d, 'RK45', 1e-7, 1e-10, False, 1.0)
                    out += [2 * (p - o) / (p + o) for p, o in ((r['distance_m'], d['distance']), (r['passed_s'], d['time']))]
                return out
            fit = least_squares(misses, [0.0, 0.0], diff_step=1e-3, x_scale=0.1, xtol=1e-6)
            out = [float(v) for v in np.exp(fit.x)]
            PY,
            $designs,
        );
        self::assertNotNull($calibration);
        self::assertRelative($friction, $calibration->friction, 2e-3, 'friction');
        self::assertRelative($discharge, $calibration->discharge, 2e-3, 'discharge');
    }

    /** @param non-empty-list<float> $values */
    private function car(string $id, float $boreM, float $massKg, array $values, string $wheels = 'caps', string $mount = 'fixed to the axle'): ComparedCar
    {
        $entry = static fn(CarAttribute $choice, float $si): Entry => new Entry(Quantity::fromSi($si, $choice->dimension()), "{$si}");

        return new ComparedCar(
            $id,
            $id,
            1,
            new Car(
                [CarAttribute::NozzleBore->value => $entry(CarAttribute::NozzleBore, $boreM), CarAttribute::Mass->value => $entry(CarAttribute::Mass, $massKg)],
                [],
                [CarAttribute::WheelKind->value => $wheels, CarAttribute::WheelMount->value => $mount],
            ),
            new Sample($values),
        );
    }
}

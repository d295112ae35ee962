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
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;

/** The statistics behind the findings against certified values and SciPy. */
final class FindingsStatisticsTest extends TestCase
{
    use AgreesClosely;

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

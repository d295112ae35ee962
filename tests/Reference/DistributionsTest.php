<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Statistics\FDistribution;
use Skivo\Core\Statistics\Gamma;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Normal;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\StudentizedRange;
use Skivo\Core\Statistics\StudentT;

final class DistributionsTest extends TestCase
{
    use AgreesClosely;

    private const TOLERANCE = 1e-10;

    /** NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2, critical values of Student's t, 0.975. */
    public function testTheTableOfTheNistHandbook(): void
    {
        foreach ([2 => 4.303, 10 => 2.228, 30 => 2.042] as $degrees => $value) {
            self::assertSame($value, round((new StudentT($degrees))->quantile(0.975), 3));
        }
    }

    public function testClosedFormsForOneAndTwoDegreesOfFreedom(): void
    {
        foreach ([0.6, 0.9, 0.975, 0.999, 0.02] as $p) {
            self::assertRelative(tan(M_PI * ($p - 0.5)), (new StudentT(1))->quantile($p), 1e-12);
            self::assertRelative((2 * $p - 1) / sqrt(2 * $p * (1 - $p)), (new StudentT(2))->quantile($p), 1e-12);
        }
    }

    public function testStudentsTAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            cases, expected = [], []
            for _ in range(400):
                nu = float(10 ** rng.uniform(-0.3, 6)); t = float(rng.normal() * 5)
                cases.append([nu, t]); expected.append([float(stats.t.cdf(t, nu)), float(2 * stats.t.sf(abs(t), nu))])
            PY);
        foreach ($cases as $index => [$degrees, $t]) {
            $student = new StudentT($degrees);
            self::assertRelative($expected[$index][0], $student->cumulative($t), self::TOLERANCE, "cdf t={$t} nu={$degrees}");
            self::assertRelative($expected[$index][1], $student->bothTails($t), self::TOLERANCE, "tails t={$t} nu={$degrees}");
        }
    }

    /**
     * SciPy's own t.ppf of Debian 12 is good to some nine digits only, so it is first brought to the root
     * of SciPy's survival function, which is good to the last digits, by Newton's method.
     */
    public function testQuantilesOfStudentsTAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            cases, expected = [], []
            for _ in range(400):
                nu = float(10 ** rng.uniform(-0.3, 5)); p = float(rng.uniform(0.501, 0.9999))
                q = stats.t.ppf(p, nu)
                for _ in range(4): q += (stats.t.sf(q, nu) - (1 - p)) / stats.t.pdf(q, nu)
                cases.append([nu, p]); expected.append(float(q))
            PY);
        foreach ($cases as $index => [$degrees, $p]) {
            self::assertRelative($expected[$index], (new StudentT($degrees))->quantile($p), self::TOLERANCE, "p={$p} nu={$degrees}");
            self::assertRelative(-$expected[$index], (new StudentT($degrees))->quantile(1 - $p), self::TOLERANCE, "1-p={$p} nu={$degrees}");
        }
    }

    public function testFAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            cases, expected = [], []
            for _ in range(400):
                a, b = float(rng.integers(1, 60)), float(rng.integers(1, 500)); f = float(rng.uniform(0.02, 9)); p = float(rng.uniform(0.0005, 0.9995))
                cases.append([a, b, f, p]); expected.append([float(stats.f.cdf(f, a, b)), float(stats.f.sf(f, a, b)), float(stats.f.ppf(p, a, b))])
            PY);
        foreach ($cases as $index => [$a, $b, $f, $p]) {
            $distribution = new FDistribution($a, $b);
            self::assertRelative($expected[$index][0], $distribution->cumulative($f), self::TOLERANCE, "cdf {$f} {$a} {$b}");
            self::assertRelative($expected[$index][1], $distribution->upperTail($f), self::TOLERANCE, "sf {$f} {$a} {$b}");
            self::assertRelative($expected[$index][2], $distribution->quantile($p), self::TOLERANCE, "ppf {$p} {$a} {$b}");
        }
    }

    public function testTheNormalAndGammasDerivativesAgainstSciPy(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            cases, expected = [], []
            for _ in range(300):
                z = float(rng.normal() * 5); x = float(10 ** rng.uniform(-1.3, 3))
                cases.append([z, x]); expected.append([float(stats.norm.cdf(z)), float(stats.norm.pdf(z))]
                    + [float(special.polygamma(n, x)) for n in (0, 1, 3)])
            PY);
        foreach ($cases as $index => [$z, $x]) {
            $actual = [Normal::cumulative($z), Normal::density($z), Gamma::digamma($x), Gamma::trigamma($x), Gamma::pentagamma($x)];
            foreach ($actual as $which => $value) {
                // ψ has a zero, and far out in the tail only so many digits are to be had.
                self::assertEqualsWithDelta(
                    $expected[$index][$which],
                    $value,
                    self::TOLERANCE * max(abs($expected[$index][$which]), $which === 2 ? 1.0 : 1e-2),
                    "{$which} at {$z} {$x}",
                );
            }
            self::assertRelative($x, Gamma::inverseTrigamma(Gamma::trigamma($x)), 1e-8, "inverse at {$x}");
        }
    }

    public function testTheStudentizedRangeAgainstSciPyAndATable(): void
    {
        [$cases, $expected] = $this->drawn(<<<'PY'
            cases, expected = [], []
            for k in (2, 3, 5, 8, 15, 40):
                for nu in (2, 4, 7.5, 16, 80, 400):
                    q = float(rng.uniform(2, 7))
                    cases.append([k, nu, q]); expected.append(float(stats.studentized_range.sf(q, k, nu)))
            PY);
        foreach ($cases as $index => [$means, $degrees, $q]) {
            self::assertEqualsWithDelta(
                $expected[$index],
                (new StudentizedRange((int) $means, $degrees))->upperTail($q),
                2e-5,
                "{$means} {$degrees} {$q}",
            );
        }
        // The 5 % points of the usual tables, from memory.
        foreach ([[3, 10.0, 3.88], [10, 20.0, 5.01], [4, INF, 3.63]] as [$means, $degrees, $q]) {
            self::assertSame($q, round((new StudentizedRange($means, $degrees))->exceededWith(0.05), 2));
        }
        // Of two means it is Student's t, times √2.
        self::assertRelative((new StudentT(7))->bothTails(2.1), (new StudentizedRange(2, 7.0))->upperTail(2.1 * M_SQRT2), 1e-7);
        self::assertSame(1.0, (new StudentizedRange(5, 7.0))->upperTail(0.0));
    }

    /** By SciPy: the moments of ln s², and the scale of s²/s₀² ~ F by a general-purpose optimiser. */
    public function testModeratedVariancesAgainstSciPy(): void
    {
        $cars = [];
        foreach (
            [[3.1, 2.9, 3.0], [2.0, 2.02], [4.0, 3.2, 4.9], [2.5, 2.52, 2.49], [1.8, 2.3], [5.0, 5.02, 4.99, 5.01], [3.3]] as $values
        ) {
            $cars[] = new Sample($values);
        }
        $expected = SciPy::ask(
            <<<'PY'
            from scipy import optimize
            s2, d = [], []
            for x in data:
                if len(x) > 1: s2.append((np.var(x, ddof=1) + 0.01 ** 2 / 12) / np.mean(x) ** 2); d.append(len(x) - 1)
            s2, d = np.array(s2), np.array(d, float)
            e = np.log(s2) - special.digamma(d / 2) + np.log(d / 2); n = len(s2)
            between = np.sum((e - e.mean()) ** 2 / (n - 1) - special.polygamma(1, d / 2) / n)
            d0 = 2 * optimize.brentq(lambda x: special.polygamma(1, x) - between, 1e-3, 1e3)
            least = optimize.minimize_scalar(lambda t: -np.sum(stats.f.logpdf(s2 / np.exp(t), d, d0) - t), bounds=(-12, 0), method='bounded', options={'xatol': 1e-11})
            s0 = float(np.exp(least.x)); out = [float(d0), s0]
            for x in data:
                own = len(x) - 1; v = (np.var(x, ddof=1) + 0.01 ** 2 / 12) / np.mean(x) ** 2 if own else 0.0
                out.append([float((d0 * s0 + own * v) / (d0 + own) * np.mean(x) ** 2), float(max(1, min(d0 + own, d.sum())))])
            PY,
            array_map(static fn(Sample $car): array => $car->values, $cars),
        );
        $scatter = ModeratedScatter::of($cars, 0.01);
        self::assertNotNull($scatter);
        self::assertRelative($expected[0], $scatter->priorDegrees, 1e-8, 'd₀');
        self::assertRelative($expected[1], $scatter->priorVariance, 1e-5, 's₀²');
        foreach ($cars as $car => $sample) {
            self::assertRelative($expected[$car + 2][0], $scatter->variance($sample), 1e-5, "car {$car}");
            self::assertRelative($expected[$car + 2][1], $scatter->degreesOfFreedom($sample), 1e-8, "car {$car}");
        }
    }

    public function testTheEnds(): void
    {
        self::assertSame(0.0, (new StudentT(3))->quantile(0.5));
        self::assertSame(0.0, (new StudentT(3))->bothTails(INF));
        self::assertSame(1.0, (new FDistribution(2, 3))->upperTail(0.0));
        self::assertSame(0.0, (new FDistribution(2, 3))->upperTail(INF));
        foreach ([0.0, 1.0, NAN, -1.0] as $p) {
            try {
                (new StudentT(3))->quantile($p);
                self::fail("{$p} is no probability of a quantile");
            } catch (\DomainException) {
                $this->addToAssertionCount(1);
            }
        }
        $this->expectException(\DomainException::class);
        new StudentT(0.0);
    }

    /** @return array{list<list<float>>, list<mixed>} */
    private function drawn(string $code): array
    {
        return SciPy::ask("rng = np.random.default_rng(data)\n{$code}\nout = [cases, expected]", 20260501);
    }
}

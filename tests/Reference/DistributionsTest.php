<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Statistics\FDistribution;
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

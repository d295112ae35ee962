<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Statistics\Censored;
use Skivo\Core\Statistics\MixedModel;
use Skivo\Core\Statistics\Spearman;

/** The mixed model against dense matrices in NumPy, bounds and ranks against SciPy. */
final class MixedModelTest extends TestCase
{
    use AgreesClosely;
    use DrawsNormals;

    /** Generalized least squares with the covariance written out, over the same grid, weighted by the same restricted likelihood. */
    public function testTheModelAgainstDenseMatrices(): void
    {
        $this->seed(20261201);
        $constants = (new \ReflectionClass(MixedModel::class))->getConstants();
        $cases = $fits = [];
        foreach ([[8, 0], [8, 4], [5, 5], [12, 3]] as [$groups, $rebuilds]) {
            $fixed = $random = $y = $variances = $names = $rebuilt = [];
            for ($group = 0; $group < $groups; $group++) {
                $hands = 0.2 * $this->normal();
                foreach ($group < $rebuilds ? [0, 1] : [0] as $version) {
                    $fixed[] = [1.0, ($group % 3) / 2 + 0.3 * $version];
                    $random[] = [0.3 * $this->normal(), 0.1 * $group / $groups];
                    $y[] = 1.0 + $hands + 0.3 * ($group % 3) / 2 + 0.05 * $this->normal();
                    $variances[] = 0.002 + 0.001 * ($group % 4);
                    $names[] = "g{$group}";
                    $rebuilt[] = $version > 0;
                }
            }
            $cases[] = ['x' => $fixed, 'z' => $random, 'y' => $y, 'v' => $variances, 'g' => $names, 'r' => $rebuilt];
            $fits[] = MixedModel::fit($fixed, $random, $y, $variances, $names, $rebuilt);
        }
        $expected = SciPy::ask(
            <<<'PY'
            from scipy.optimize import brentq
            k = data['constants']
            def widths(grid):
                g = np.array(grid)
                up = np.append(g[1:], g[-1]); down = np.insert(g[:-1], 0, 0.0)
                return (up - down) / 2
            out = []
            for c in data['cases']:
                X, Z, y, v = (np.array(c[n]) for n in 'xzyv')
                G = np.equal.outer(np.array(c['g']), np.array(c['g'])).astype(float)
                R = np.diag(np.array(c['r']).astype(float))
                parts = []
                rhos = k['REBUILDING'] if any(c['r']) else [0.0]
                wr = widths(k['REBUILDING']) if any(c['r']) else [1.0]
                for rho, w2 in zip(rhos, wr):
                    for tau, w1 in zip(k['GROUPS'], widths(k['GROUPS'])):
                        V = np.diag(v) + rho ** 2 * R + tau ** 2 * G + Z @ Z.T
                        W = np.linalg.inv(V)
                        A = X.T @ W @ X
                        b = np.linalg.solve(A, X.T @ W @ y)
                        e = y - X @ b
                        ll = -0.5 * (np.linalg.slogdet(V)[1] + np.linalg.slogdet(A)[1] + e @ W @ e)
                        prior = -0.5 * (tau / k['GROUPS_PRIOR']) ** 2 - 0.5 * (rho / k['REBUILDING_PRIOR']) ** 2 - k['TOWARDS_NOTHING'] * np.log((tau ** 2 + v.mean()) * (rho ** 2 + v.mean()))
                        parts.append((ll + prior + np.log(w1 * w2), b[-1], np.sqrt(np.linalg.inv(A)[-1, -1]), tau, Z.T @ W @ e))
                w = np.exp(np.array([p[0] for p in parts]) - max(p[0] for p in parts)); w /= w.sum()
                keep = w >= 1e-5
                w = np.where(keep, w, 0.0); w /= w.sum()
                m = np.array([p[1] for p in parts]); s = np.array([p[2] for p in parts])
                cdf = lambda t: float(np.sum(w * stats.norm.cdf((t - m) / s)))
                q = [brentq(lambda t: cdf(t) - a, -20, 20, xtol=1e-13) for a in (0.025, 0.975)]
                u = sum(wi * p[4] for wi, p in zip(w, parts))
                out.append([float(np.sum(w * m)), q[0], q[1], 2 * min(cdf(0.0), 1 - cdf(0.0)), float(np.sum(w * np.array([p[3] for p in parts]))), float(u[0]), float(u[1])])
            PY,
            ['cases' => $cases, 'constants' => $constants],
        );
        foreach ($fits as $index => $fit) {
            self::assertNotNull($fit);
            $interval = $fit->interval();
            foreach (
                [
                    $fit->mean(), $interval->low, $interval->high, $fit->pValue(), $fit->ofGroups, $fit->random[0], $fit->random[1],
                ] as $which => $value
            ) {
                self::assertRelative($expected[$index][$which], $value, 1e-6, "case {$index}, value {$which}");
            }
        }
    }

    public function testWhatCannotBeToldApartIsNotFitted(): void
    {
        $fit = static fn(array $x): ?MixedModel => MixedModel::fit(
            array_map(static fn(float $each): array => [1.0, $each], $x),
            array_fill(0, count($x), []),
            array_fill(0, count($x), 1.0),
            array_fill(0, count($x), 0.01),
            array_map(strval(...), array_keys($x)),
            array_fill(0, count($x), false),
        );
        self::assertNull($fit([1.0, 1.0, 1.0]));
        self::assertNull($fit([1.0, 2.0]));
        self::assertNotNull($fit([1.0, 2.0, 3.0]));
    }

    public function testBoundsAgainstSciPy(): void
    {
        $cases = [[1.0, 1, 0.5, 0.3], [1.0, -1, 0.5, 0.3], [0.0, 1, 0.0, 1.0], [2.0, 1, 3.0, 0.5], [2.0, -1, 3.0, 0.5]];
        $expected = SciPy::ask(
            <<<'PY'
            out = []
            for bound, side, mean, sd in data:
                a, b = ((bound - mean) / sd, np.inf) if side > 0 else (-np.inf, (bound - mean) / sd)
                out.append([float(x) for x in stats.truncnorm.stats(a, b, loc=mean, scale=sd, moments='mv')])
            PY,
            $cases,
        );
        foreach ($cases as $index => [$bound, $side, $mean, $deviation]) {
            foreach (Censored::beyond($bound, $side, $mean, $deviation) as $which => $value) {
                self::assertRelative($expected[$index][$which], $value, 1e-5, "case {$index}, moment {$which}");
            }
        }
    }

    /** Below ten points every order is counted; three points in a row are no proof (p = 1/3). */
    public function testExactRanksAgainstEveryPermutation(): void
    {
        $this->seed(7);
        $cases = [[[1.0, 2.0, 3.0], [1.0, 2.0, 3.0]]];
        foreach ([4, 5, 6, 7, 7] as $n) {
            $cases[] = [
                array_map(fn(): float => round($this->normal(), $n === 7 ? 0 : 3), range(1, $n)),
                array_map(fn(): float => round($this->normal(), 1), range(1, $n)),
            ];
        }
        $expected = SciPy::ask(
            <<<'PY'
            from itertools import permutations
            out = []
            for x, y in data:
                a, b = stats.rankdata(x), stats.rankdata(y)
                rho = stats.pearsonr(a, b)[0]
                all = [stats.pearsonr(a, p)[0] for p in permutations(b)] if len(x) < 7 else [np.corrcoef(a, p)[0, 1] for p in permutations(b)]
                out.append([float(rho), float(np.mean(np.abs(all) >= abs(rho) - 1e-9))])
            PY,
            $cases,
        );
        foreach ($cases as $index => [$x, $y]) {
            $found = Spearman::of($x, $y);
            self::assertNotNull($found);
            self::assertEqualsWithDelta($expected[$index][0], $found->rho, 1e-9);
            self::assertEqualsWithDelta($expected[$index][1], $found->pValue, 1e-9, "case {$index}");
        }
    }
}

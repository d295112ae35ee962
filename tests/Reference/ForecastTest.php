<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Forecast\DistanceTable;
use Skivo\Core\Forecast\Evidence;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Forecast\Spread;
use Skivo\Core\Forecast\Workmanship;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Normal;

/** The one forecast of a car: its tables beside the simulator, its posterior beside SciPy, its bands beside simulated classes. */
final class ForecastTest extends TestCase
{
    use AgreesClosely;
    use DrawsNormals;

    /** Tries of the simulated classes scatter by so much. */
    private const SCATTER = 0.08;

    protected function setUp(): void
    {
        $this->seed(20261128);
    }

    public function testTheTableSaysWhatTheSimulatorDoes(): void
    {
        $kept = new KeptInMemory();
        foreach (
            [
                [], ['nozzle_bore' => 0.012], ['nozzle_bore' => 0.004], ['mass' => 0.2], ['nozzle_angle' => 20.0],
                ['nozzle_outlets' => 3.0], ['balloon_pressure' => 1.3],
            ] as $values
        ) {
            $settings = Settings::of($values);
            $table = DistanceTable::of($settings, $kept);
            self::assertEqualsWithDelta($settings->rollingCoefficient(), $table->partsFriction, 1e-12);
            foreach ([0.01, 0.02, 0.03, 0.05, 0.08, 0.12, 0.2] as $friction) {
                foreach ([0.5, 0.65, 0.8, 1.0, 1.2] as $pressure) {
                    $distance = Simulator::run(
                        $settings->with(CarAttribute::RollingCoefficient, $friction)->design(1.0, $pressure),
                    )->distanceM;
                    self::assertEqualsWithDelta(
                        $distance,
                        $table->distanceM($friction, $pressure),
                        0.04 * $distance + 0.02,
                        json_encode([$values, $friction, $pressure]) ?: '',
                    );
                }
            }
        }
    }

    /** Of a band too, on both sides of the pull at which its rims begin to slip, where the distance falls to a part of itself. */
    public function testTheTableOfABandSaysWhatTheSimulatorDoes(): void
    {
        $kept = new KeptInMemory();
        $band = [
            'band_width' => 0.001, 'band_thickness' => 0.0008, 'chain_length' => 0.12, 'installed_length' => 0.11, 'mass' => 0.056,
            'wheel_diameter' => 0.032, 'turns_wound' => 24.0, 'grip' => 0.86,
        ];
        $slips = 0;
        foreach (
            [
                [], ['turns_wound' => 30.0], ['turns_wound' => 12.0, 'grip' => 0.35], ['wheel_diameter' => 0.06], ['band_end' => 1.0],
            ] as $values
        ) {
            $settings = Settings::of($values + $band, EnergySource::ElasticBand);
            $table = DistanceTable::of($settings, $kept);
            foreach ([0.01, 0.03, 0.08, 0.12, 0.2] as $friction) {
                foreach ([0.5, 0.7, 0.9, 1.0, 1.1, 1.3, 1.7] as $pull) {
                    $run = $settings->with(CarAttribute::RollingCoefficient, $friction)->run(strength: $pull);
                    self::assertEqualsWithDelta(
                        $run->distanceM,
                        $table->distanceM($friction, $pull),
                        0.09 * $run->distanceM + 0.03,
                        json_encode([$values, $friction, $pull]) ?: '',
                    );
                    $slips += $run->energy->slip > 0.0 ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(30, $slips);
    }

    /** A mixture of normal distributions and of tries that do not start, by SciPy's own distribution function. */
    public function testTheSpreadOfOneMoreTryAgainstSciPy(): void
    {
        $cases = [
            [[0 => 1.0], 0.0, 0.08], [[-20 => 1.0, 10 => 2.0, 30 => 0.5], 0.3, 0.05], [[5 => 1.0, 6 => 1.0], 4.0, 0.2],
            [[40 => 0.2], 0.001, 0.03],
        ];
        $shares = [0.025, 0.25, 0.5, 0.75, 0.975];
        $expected = SciPy::ask(
            <<<'PY'
            from scipy.optimize import brentq
            out = []
            for bins, none, s in data['cases']:
                d = np.array([np.exp(float(k) * 0.03) for k, _ in bins]); w = np.array([v for _, v in bins]); w, none = w / (w.sum() + none), none / (w.sum() + none)
                F = lambda y: none + float(np.sum(w * stats.norm.cdf((y - d) / (s * d))))
                out.append([0.0 if q <= none else brentq(lambda y: F(y) - q, 1e-6, 100) for q in data['shares']])
            PY,
            [
                'cases' => array_map(
                    static fn(array $case): array => [array_map(null, array_keys($case[0]), array_values($case[0])), $case[1], $case[2]],
                    $cases,
                ),
                'shares' => $shares,
            ],
        );
        foreach ($cases as $index => [$weights, $noStart, $scatter]) {
            foreach ($shares as $which => $share) {
                self::assertEqualsWithDelta(
                    $expected[$index][$which],
                    (new Spread($weights, $noStart, $scatter))->quantile($share),
                    0.01 * $expected[$index][$which],
                    "case {$index}, {$share}",
                );
            }
        }
        self::assertSame(0.0, (new Spread([], 1.0, 0.1))->quantile(0.9), 'a car that never starts');
    }

    /** The posterior of the class and of a car, on finer grids and by other code. */
    public function testTheWorkmanshipOfAClassAgainstSciPy(): void
    {
        $table = DistanceTable::of(Settings::of([]), new KeptInMemory());
        $measured = [[0.06, 0.003, 8.0], [0.085, 0.005, 4.0], [0.05, 0.004, INF], [0.11, 0.006, 6.0]];
        $cars = [];
        foreach ($measured as $index => [$friction, $error, $degrees]) {
            $cars[] = new Evidence("{$index}", $table, new Estimate($friction, $error, $degrees));
        }
        $unknown = new Evidence('x', $table);
        $workmanship = new Workmanship([...$cars, $unknown]);
        [$usual, $low, $high, $next] = SciPy::ask(
            <<<'PY'
            parts = data['parts']
            mu = np.linspace(np.log(0.03) - 3.5 * 0.8, np.log(0.03) + 3.5 * 0.8, 161); tau = np.linspace(0.01, 2.2, 110); lw = np.linspace(-9, 1, 1001)
            M, T = np.meshgrid(mu, tau, indexing='ij')
            log = stats.norm.logpdf(M, np.log(0.03), 0.8) + stats.halfnorm.logpdf(T, scale=0.5)
            P = stats.norm.pdf(lw[None, None, :], M[..., None], T[..., None])
            P /= P.sum(-1, keepdims=True)
            for f, u, nu in data['measured']:
                z = (parts + np.exp(lw) - f) / u
                like = stats.norm.pdf(z) if nu is None else stats.t.pdf(z, nu)
                log += np.log((P * like).sum(-1))
            w = np.exp(log - log.max()); w /= w.sum()
            c = np.cumsum(w.sum(1)); q = lambda p, c, x: float(np.interp(p, c, x))
            pred = np.cumsum((w[..., None] * P).sum((0, 1)))
            out = [float(np.exp(q(p, c - w.sum(1) / 2, mu))) for p in (0.5, 0.025, 0.975)] + [float(np.exp(np.interp(0.5, pred, lw)))]
            PY,
            [
                'parts' => $table->partsFriction,
                'measured' => array_map(
                    static fn(array $each): array => [$each[0], $each[1], is_infinite($each[2]) ? null : $each[2]],
                    $measured,
                ),
            ],
        );
        $hands = $workmanship->hands();
        self::assertEqualsWithDelta($usual, $hands->workmanship, 0.04 * $usual);
        self::assertEqualsWithDelta($low, $hands->workmanshipInterval->low, 0.12 * $low);
        self::assertEqualsWithDelta($high, $hands->workmanshipInterval->high, 0.12 * $high);
        self::assertEqualsWithDelta($next, $workmanship->forecast($unknown)->friction - $table->partsFriction, 0.05 * $next);
        // A measured car is where it was measured.
        foreach ($cars as $index => $car) {
            self::assertEqualsWithDelta($measured[$index][0], $workmanship->forecast($car)->friction, 0.02 * $measured[$index][0] + 0.001);
            $workmanships = array_column($workmanship->stateOf($car)->draws, 0);
            $rising = $workmanships;
            sort($rising);
            self::assertSame($rising, $workmanships, 'so that the middle one is the middle');
        }
    }

    /** @return iterable<string, array{float, float, int, float, float}> workmanship, its spread, how many of eight cars are measured, how often bands must cover */
    public static function hands(): iterable
    {
        foreach ([[0.01, 0.125], [0.02, 0.4], [0.06, 0.7], [0.09, 0.9]] as [$workmanship, $spread]) {
            yield "{$workmanship}, before any data" => [$workmanship, $spread, 0, 0.90, 1.0];
            yield "{$workmanship}, four measured" => [$workmanship, $spread, 4, 0.92, 0.98];
        }
    }

    /** The truth comes from the simulator itself; neither the tables nor the grids have a part in it. */
    #[DataProvider('hands')]
    public function testBandsCoverCarsThatHandsBuilt(float $workmanship, float $spread, int $measured, float $least, float $most): void
    {
        $kept = new KeptInMemory();
        $designs = array_map(static fn(array $values): Settings => Settings::of($values), [
            ['nozzle_bore' => 0.006, 'mass' => 0.06], ['nozzle_bore' => 0.007, 'mass' => 0.055], ['nozzle_bore' => 0.008, 'mass' => 0.075],
            ['nozzle_bore' => 0.009, 'mass' => 0.065],
        ]);
        $covered = $cars = 0;
        for ($class = 0; $class < self::many(60); $class++) {
            $pressure = log(0.8) + 0.15 * $this->normal();
            $evidence = $tries = [];
            for ($car = 0; $car < 8; $car++) {
                $settings = $designs[$car % 4];
                $friction = min(1.0, $settings->rollingCoefficient() + $workmanship * exp($spread * $this->normal()));
                $run = Simulator::run(
                    $settings->with(CarAttribute::RollingCoefficient, $friction)->design(1.0, exp($pressure + 0.1 * $this->normal())),
                    1e-3,
                );
                $tries[$car] = max(0.0, $run->distanceM * (1.0 + self::SCATTER * $this->normal()));
                $error = 0.05 / sqrt(3) * $friction;
                $evidence[$car] = new Evidence(
                    "{$car}",
                    DistanceTable::of($settings, $kept),
                    $car < $measured ? new Estimate(max(1e-3, $friction + $error * $this->normal()), $error, 6.0) : null,
                    scatter: self::SCATTER,
                );
            }
            $hands = new Workmanship($evidence);
            foreach (array_slice($evidence, $measured, null, true) as $car => $each) {
                $band = $hands->forecast($each)->band95;
                $covered += (int) ($tries[$car] >= $band->low - 1e-9 && $tries[$car] <= $band->high);
                $cars++;
            }
        }
        $error = 2 * sqrt(0.05 * 0.95 / $cars);
        self::assertGreaterThanOrEqual($least - $error, $covered / $cars);
        self::assertLessThanOrEqual($most + $error, $covered / $cars);
    }

    /** @return iterable<string, array{float, float}> by how much the class's balloons push otherwise (ln), and how many cars lose 40 % of it unseen */
    public static function oddClasses(): iterable
    {
        yield 'half the pressure' => [log(0.5), 0.0];
        yield 'a third more push' => [log(1.3), 0.0];
        yield 'a third less push' => [log(0.7), 0.0];
        yield 'a leak that nobody saw on one car of four' => [0.0, 0.25];
    }

    /** Who measured friction alone on all eight cars knows nothing of the push: before any run, after the others' runs, after its own. */
    #[DataProvider('oddClasses')]
    public function testAClassWhosePushIsOddIsStillCovered(float $off, float $leaking): void
    {
        $kept = new KeptInMemory();
        $designs = array_map(static fn(float $bore): Settings => Settings::of(['nozzle_bore' => $bore]), [0.006, 0.007, 0.008, 0.009]);
        $covered = [0, 0, 0];
        $cars = 0;
        for ($class = 0; $class < self::many(40); $class++) {
            $pressure = log(0.8) + $off + 0.15 * $this->normal();
            $evidence = $next = [];
            for ($car = 0; $car < 8; $car++) {
                $settings = $designs[$car % 4];
                $friction = min(1.0, $settings->rollingCoefficient() + 0.04 * exp(0.5 * $this->normal()));
                $own = exp($pressure + 0.1 * $this->normal()) * ($this->normal() < Normal::quantile(max(1e-9, $leaking)) ? 0.6 : 1.0);
                $built = $settings->with(CarAttribute::RollingCoefficient, $friction)->design(1.0, $own);
                $distance = Simulator::run($built, 1e-3)->distanceM;
                $starts = $distance > 0.02;
                $try = fn(): float => $starts ? max(0.01, $distance * (1.0 + self::SCATTER * $this->normal())) : 0.0;
                $next[$car] = $try();
                $error = 0.05 / sqrt(3) * $friction;
                $evidence[$car] = new Evidence(
                    "{$car}",
                    DistanceTable::of($settings, $kept),
                    new Estimate(max(1e-3, $friction + $error * $this->normal()), $error, 6.0),
                    distancesM: $starts ? [$try(), $try(), $try()] : [],
                    noStarts: $starts ? 0 : 3,
                    scatter: self::SCATTER,
                );
            }
            $before = new Workmanship(array_map(static fn(Evidence $each): Evidence => $each->beforeRuns(), $evidence));
            $after = new Workmanship($evidence);
            foreach ($evidence as $car => $each) {
                $bands = [$before->forecast($each->beforeRuns()), $after->forecastBeforeRuns($each), $after->forecast($each)];
                foreach ($bands as $when => $forecast) {
                    $covered[$when] += (int) ($next[$car] >= $forecast->band95->low - 1e-9 && $next[$car] <= $forecast->band95->high);
                }
                $cars++;
            }
        }
        // Cars of a class are off together: their classes are what is counted.
        $error = 2 * sqrt(0.12 * 0.88 / ($cars / 4));
        foreach (['before any run', 'after the others’ runs', 'after its own'] as $when => $said) {
            self::assertGreaterThan(0.88 - $error, $covered[$when] / $cars, $said);
        }
    }

    public function testRunsBoundWhatTheyCannotSay(): void
    {
        $table = DistanceTable::of(Settings::of([]), new KeptInMemory());
        $of = static fn(Evidence $car): float => (new Workmanship([$car]))->forecast($car)->friction;
        $nothing = $of(new Evidence('a', $table));
        self::assertLessThan($nothing, $of(new Evidence('a', $table, atLeastM: [8.0])), 'past the end: no more than so much friction');
        self::assertGreaterThan($nothing, $of(new Evidence('a', $table, noStarts: 1)), 'a car that did not start has more');
        // A bench that reads less than the parts have bounds the workmanship from above, and no more.
        $little = $of(new Evidence('a', $table, new Estimate(0.9 * $table->partsFriction, 0.002, 6.0)));
        self::assertLessThan($nothing, $little);
        self::assertGreaterThan($table->partsFriction, $little);
        // Three tries at 4 m: the forecast of a fourth lies about them, and says so of its own accuracy.
        $ran = new Evidence('a', $table, distancesM: [3.9, 4.0, 4.1]);
        $forecast = (new Workmanship([$ran]))->forecast($ran);
        self::assertEqualsWithDelta(4.0, $forecast->medianM, 0.1);
        self::assertEqualsWithDelta(4.0 * 1.96 * 0.08, ($forecast->band95->high - $forecast->band95->low) / 2, 0.2);
        self::assertGreaterThan($forecast->band50->high - $forecast->band50->low, $forecast->band95->high - $forecast->band95->low);
        // Before its runs it is any car of the class, here its own class; measured, its band narrows.
        $before = (new Workmanship([$ran]))->forecastBeforeRuns($ran);
        self::assertGreaterThan($forecast->band95->high, $before->band95->high);
        $bare = new Evidence('b', $table);
        $class = new Workmanship([$bare]);
        $once = $class->stateOf($bare)->onceMeasured($table->partsFriction, 0.04)->forecast($table);
        self::assertLessThan(
            $class->forecast($bare)->band95->high - $class->forecast($bare)->band95->low,
            $once->band95->high - $once->band95->low,
        );
    }
}

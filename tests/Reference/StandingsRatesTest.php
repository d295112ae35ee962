<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\ClassTries;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Statistics\Verdict;

/**
 * How often what the standings say is wrong, over classes whose truth is drawn here: eight cars whose tries scatter by 8 % of
 * how far they go, equally or (where said) with a standard deviation of ln 0.4 from car to car.
 */
final class StandingsRatesTest extends TestCase
{
    use DrawsNormals;

    private const CARS = 8;
    private const FAR_M = 3.0;
    private const SCATTER = 0.08;

    /** Where the lane ends (m): of a run that went farther it is only known that it passed it. */
    private float $laneM = INF;

    protected function setUp(): void
    {
        $this->seed(20261126);
    }

    /** @return iterable<string, array{int, float, float, float}> tries, how unequal scatter is, and the share that must be covered */
    public static function scatters(): iterable
    {
        yield 'two tries, equal scatter' => [2, 0.0, 0.935, 0.97];
        yield 'three tries, equal scatter' => [3, 0.0, 0.935, 0.97];
        yield 'two tries, unequal scatter' => [2, 0.4, 0.92, 0.97];
        yield 'three tries, unequal scatter' => [3, 0.4, 0.92, 0.97];
    }

    #[DataProvider('scatters')]
    public function testIntervalsOfMeansCoverTheTruth(int $tries, float $unequal, float $least, float $most): void
    {
        $covered = 0;
        $classes = self::many(1500);
        for ($class = 0; $class < $classes; $class++) {
            $truth = array_map(fn(): float => self::FAR_M * exp(0.3 * $this->normal()), range(1, self::CARS));
            $standings = $this->standings($this->runs($truth, $tries, $unequal));
            foreach ($standings->places as $place) {
                $interval = $place->sample === null ? null : $standings->scatter?->meanInterval($place->sample);
                $covered += (int) $interval?->contains($truth[(int) $place->entrant->id]);
            }
        }
        $share = $covered / $classes / self::CARS;
        // Two standard errors of a share of so many cars.
        $error = 2 * sqrt(0.05 * 0.95 / $classes / self::CARS);
        self::assertGreaterThan($least - $error, $share);
        self::assertLessThan($most + $error, $share);
    }

    /** @return iterable<string, array{0: list<float>, 1: float, 2: float, 3?: float, 4?: int}> truths over the best, how unequal scatter is, the share that may be wrong, where the lane ends (m), and tries */
    public static function classes(): iterable
    {
        yield 'all equal' => [array_fill(0, 8, 1.0), 0.0, 0.055];
        yield 'one bad' => [[...array_fill(0, 7, 1.0), 0.5], 0.0, 0.055];
        yield 'half bad' => [[...array_fill(0, 4, 1.0), ...array_fill(0, 4, 0.5)], 0.0, 0.055];
        yield 'all equal, one run in four past the end' => [array_fill(0, 8, 1.0), 0.0, 0.055, 3.15];
        yield 'half bad, one run in eight past the end' => [[...array_fill(0, 4, 1.0), ...array_fill(0, 4, 0.5)], 0.0, 0.055, 3.15];
        yield 'all equal, unequal scatter' => [array_fill(0, 8, 1.0), 0.4, 0.07];
        yield 'all equal, very unequal scatter' => [array_fill(0, 8, 1.0), 0.8, 0.07];
        yield 'twelve equal ones with two tries, unequal scatter' => [array_fill(0, 12, 1.0), 0.4, 0.07, INF, 2];
        yield 'half bad, very unequal scatter' => [[...array_fill(0, 4, 1.0), ...array_fill(0, 4, 0.5)], 0.8, 0.07];
    }

    /** @param list<float> $truth */
    #[DataProvider('classes')]
    public function testWhoeverIsAsGoodAsTheBestIsSeldomCalledBehind(
        array $truth,
        float $unequal,
        float $may,
        float $laneM = INF,
        int $tries = 3,
    ): void {
        $this->laneM = $laneM;
        $wrong = 0;
        $classes = self::many(1200);
        for ($class = 0; $class < $classes; $class++) {
            $behind = $this->behind($this->standings($this->runs(self::metres($truth), $tries, $unequal)));
            $wrong += (int) (array_filter($behind, static fn(int $car): bool => $truth[$car] === 1.0) !== []);
        }
        self::assertLessThan($may + 2 * sqrt($may * (1 - $may) / $classes), $wrong / $classes);
        self::assertGreaterThan(0.02, $wrong / $classes, 'nor so careful that it never says anything');
    }

    /**
     * Where scatter is truly equal; that it may be unequal costs six points of a difference of 15 %.
     *
     * @return iterable<string, array{list<float>, int, float}> truths over the best, the car that is behind, how often that must be said
     */
    public static function differences(): iterable
    {
        yield '15 % behind' => [[...array_fill(0, 7, 1.0), 0.85], 7, 0.42];
        yield '20 % behind' => [[...array_fill(0, 7, 1.0), 0.80], 7, 0.75];
        yield 'one of eight equal ones, where another leads by 30 %' => [[1.3, ...array_fill(0, 7, 1.0)], 7, 0.76];
    }

    /** @param list<float> $truth */
    #[DataProvider('differences')]
    public function testARealDifferenceIsSaid(array $truth, int $car, float $must): void
    {
        $said = 0;
        $classes = self::many(1200);
        for ($class = 0; $class < $classes; $class++) {
            $said += (int) in_array($car, $this->behind($this->standings($this->runs(self::metres($truth), 3, 0.0))), true);
        }
        self::assertGreaterThan($must - 2 * sqrt($must * (1 - $must) / $classes), $said / $classes);
    }

    /** @return iterable<string, array{Scoring, float, float}> the rule, the standard deviation between cars, how unequal scatter is */
    public static function spreads(): iterable
    {
        yield 'cars close together' => [Scoring::Mean, 0.08, 0.0];
        yield 'cars apart' => [Scoring::Mean, 0.2, 0.0];
        yield 'cars far apart' => [Scoring::Mean, 0.4, 0.0];
        yield 'unequal scatter' => [Scoring::Mean, 0.15, 0.4];
        yield 'the best counts' => [Scoring::Best, 0.15, 0.0];
    }

    #[DataProvider('spreads')]
    public function testChancesOfBeingFirstComeTrueAsOftenAsTheySay(Scoring $scoring, float $between, float $unequal): void
    {
        $said = $came = $count = ['50 to 70' => 0.0, '70 to 90' => 0.0];
        for ($class = 0; $class < self::many(800); $class++) {
            $truth = array_map(fn(): float => self::FAR_M * exp($between * $this->normal()), range(1, self::CARS));
            $scatters = $this->scattersOf($unequal);
            $chances = ChanceOfFirst::of($this->standings($this->runsOf($truth, $scatters, 3), $scoring), $class, 300);
            $id = (string) array_search(max($chances), $chances, true);
            $bin = match (true) {
                $chances[$id] >= 0.5 && $chances[$id] < 0.7 => '50 to 70',
                $chances[$id] >= 0.7 && $chances[$id] < 0.9 => '70 to 90',
                default => null,
            };
            if ($bin !== null) {
                $said[$bin] += $chances[$id];
                $came[$bin] += $this->shareOfFirsts((int) $id, $truth, $scatters, $scoring);
                $count[$bin]++;
            }
        }
        foreach ($count as $bin => $of) {
            self::assertGreaterThan(30, $of);
            self::assertEqualsWithDelta($said[$bin] / $of, $came[$bin] / $of, 0.07, $bin);
        }
    }

    /** Among equal cars the chances are hardly worse than naming all alike, which nobody can better (Brier's score, sum over the cars). */
    public function testAmongEqualCarsNobodyIsMuchMoreLikelyToBeFirst(): void
    {
        $classes = self::many(600);
        $score = 0.0;
        for ($class = 0; $class < $classes; $class++) {
            $truth = self::metres(array_fill(0, self::CARS, 1.0));
            $scatters = $this->scattersOf(0.0);
            $chances = ChanceOfFirst::of($this->standings($this->runsOf($truth, $scatters, 3), Scoring::Mean), $class, 300);
            $again = array_map(static fn(array $distances): float => array_sum($distances), $this->runsOf($truth, $scatters, 3));
            $first = (int) array_search(max($again), $again, true);
            foreach ($chances as $car => $chance) {
                $score += ($chance - ($car === $first ? 1.0 : 0.0)) ** 2;
            }
        }
        self::assertLessThan(1.0 - 1.0 / self::CARS + 0.02, $score / $classes);
    }

    /**
     * It is all run again, many times.
     *
     * @param list<float> $truth
     * @param list<float> $scatters
     */
    private function shareOfFirsts(int $car, array $truth, array $scatters, Scoring $scoring): float
    {
        $first = 0;
        for ($again = 0; $again < 80; $again++) {
            $scores = array_map(
                static fn(array $distances): float => $scoring === Scoring::Best
                    ? max($distances)
                    : array_sum($distances) / count($distances),
                $this->runsOf($truth, $scatters, 3),
            );
            $first += (int) ($scores[$car] === max($scores));
        }

        return $first / 80;
    }

    /**
     * @param list<float> $truth
     *
     * @return list<float>
     */
    private static function metres(array $truth): array
    {
        return array_map(static fn(float $share): float => self::FAR_M * $share, $truth);
    }

    /**
     * @param list<float> $truth m
     *
     * @return list<list<float>> distances by car, read to a centimetre
     */
    private function runs(array $truth, int $tries, float $unequal): array
    {
        return $this->runsOf($truth, $this->scattersOf($unequal, count($truth)), $tries);
    }

    /** @return list<float> */
    private function scattersOf(float $unequal, int $cars = self::CARS): array
    {
        return array_map(fn(): float => self::SCATTER * exp($unequal * $this->normal()), range(1, $cars));
    }

    /**
     * @param list<float> $truth m
     * @param list<float> $scatters of one try, over the truth
     *
     * @return list<list<float>>
     */
    private function runsOf(array $truth, array $scatters, int $tries): array
    {
        return array_map(
            fn(float $far, float $scatter): array => array_map(
                fn(): float => round(max(0.0, $far * (1.0 + $scatter * $this->normal())), 2),
                range(1, $tries),
            ),
            $truth,
            $scatters,
        );
    }

    /** @param list<list<float>> $runs */
    private function standings(array $runs, Scoring $scoring = Scoring::Mean): Standings
    {
        $own = array_map(fn(array $distances): array => array_map(
            fn(int $try, float $distance): Run => new Run(
                (string) $try,
                $try,
                min($distance, $this->laneM),
                pastEnd: $distance > $this->laneM,
            ),
            range(1, count($distances)),
            $distances,
        ), $runs);
        $tries = ClassTries::of($own, static fn(array $of, ?float $scatter): Tries => $scatter === null
            ? new Tries($of, count($of))
            : new Tries($of, count($of), scatter: $scatter));
        $entrants = array_map(static fn(int $car, Tries $each): Entrant => new Entrant((string) $car, $each), array_keys($tries), $tries);

        return Standings::of($entrants, new Award(Goal::Farthest), $scoring);
    }

    /** @return list<int> the cars that are called clearly behind */
    private function behind(Standings $standings): array
    {
        $behind = [];
        foreach ($standings->places as $place) {
            if ($place->againstLeader === Verdict::ClearlyApart) {
                $behind[] = (int) $place->entrant->id;
            }
        }

        return $behind;
    }
}

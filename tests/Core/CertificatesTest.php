<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Certificate;
use Skivo\Core\Challenge\Certificates;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Foresight;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Honour;
use Skivo\Core\Challenge\HonouredCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Challenge\VoidReason;

/** Who gets which certificate. */
final class CertificatesTest extends TestCase
{
    public function testTheFirstThreeAndNoMore(): void
    {
        $cars = [
            self::car('a', [[5.0, 5.02, 5.01]]), self::car('b', [[4.0, 4.02, 4.01]]), self::car('c', [[3.0, 3.02, 3.01]]),
            self::car('d', [[2.0, 2.02, 2.01]]),
        ];
        self::assertSame([['a', 1], ['b', 2], ['c', 3]], self::places($cars));
    }

    public function testTiesShareAndWhoCannotBeToldFromTheFirstStandsBesideIt(): void
    {
        $tied = [
            self::car('a', [[5.0, 5.02]]), self::car('b', [[4.0, 4.02]]), self::car('c', [[4.0, 4.02]]), self::car('d', [[2.0, 2.02]]),
        ];
        $second = array_values(array_filter(self::of($tied), static fn(Certificate $each): bool => $each->place === 2));
        self::assertSame(
            [['b', ['c']], ['c', ['b']]],
            array_map(static fn(Certificate $each): array => [$each->group, $each->beside], $second),
        );
        self::assertNotContains(3, array_column(self::places($tied), 1), 'two seconds leave no third');

        $close = [self::car('a', [[5.0, 4.8]]), self::car('b', [[4.7, 4.9]]), self::car('c', [[2.0, 2.1]])];
        self::assertSame([['a', 1], ['b', 1], ['c', 3]], self::places($close));
    }

    public function testStrengthsAreWhatHappened(): void
    {
        $repaired = self::car('c', [[3.0, 3.3, 2.9]], void: [2 => VoidReason::WheelOff]);
        $certificates = self::byHonour(self::of([
            self::car('a', [[5.0, 5.2, 5.4]]),
            self::car('b', [[2.0, 2.1, 1.9], [4.0, 4.02, 4.04]], new Foresight([1 => 0.3])),
            $repaired,
            self::car('d', [[1.0, 1.2, 1.4]]),
            new HonouredCar('e', [self::tries([0.5, 0.8, 0.6])], new Foresight([1 => -0.1, 2 => 0.1])),
        ]));
        self::assertSame(['b'], $certificates[Honour::Steadiest->value]);
        self::assertSame(['e'], $certificates[Honour::BestGuess->value]);
        self::assertSame(['b'], $certificates[Honour::MostImproved->value]);
        self::assertSame(['c'], $certificates[Honour::BestRepair->value]);
        self::assertSame(['d'], $certificates[Honour::EveryTry->value], 'whoever has no other');
        self::assertArrayNotHasKey(Honour::Straightest->value, $certificates, 'nobody measured it');
    }

    public function testAStrengthThatIsAnAwardIsNoneBesides(): void
    {
        $drift = static fn(string $id, float $cm): HonouredCar => new HonouredCar($id, [new Tries([
            new Run("{$id}1", 1, 4.0, null, null, $cm / 100), new Run("{$id}2", 2, 4.0, null, null, $cm / 100),
        ], 2)]);
        $cars = [$drift('a', 4.0), $drift('b', 9.0)];
        self::assertSame(['a'], self::byHonour(self::of($cars))[Honour::Straightest->value]);
        self::assertArrayNotHasKey(Honour::Straightest->value, self::byHonour(self::of($cars, [Goal::Farthest, Goal::Straightest])));
    }

    public function testWhereAllAreEqualNobodyIsBest(): void
    {
        $certificates = self::byHonour(self::of([self::car('a', [[3.0, 3.1, 3.2]]), self::car('b', [[3.0, 3.1, 3.2]])]));
        self::assertArrayNotHasKey(Honour::Steadiest->value, $certificates);
        self::assertSame([], self::of([new HonouredCar('a', [new Tries([], 3)])]));
    }

    /** Eight rebuilt cars that are as they were: said to have improved at most 1 time in 20, and a little for few tries. */
    public function testNobodyIsSaidToHaveImprovedByChance(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(2027));
        $said = 0;
        $classes = 1500;
        for ($class = 0; $class < $classes; $class++) {
            $cars = [];
            for ($car = 0; $car < 8; $car++) {
                $truth = exp(1.1 + 0.3 * self::normal($random));
                $make = static fn(): array => array_map(static fn(): float => $truth * exp(0.08 * self::normal($random)), range(1, 3));
                $cars[] = self::car("g{$car}", [$make(), $make()]);
            }
            $said += isset(self::byHonour(self::of($cars))[Honour::MostImproved->value]) ? 1 : 0;
        }
        self::assertLessThan(0.065, $said / $classes);
        self::assertGreaterThan(0.02, $said / $classes, 'nor is it so careful that it never speaks');
    }

    /** @return list<array{string, int|null}> */
    private static function places(array $cars): array
    {
        return array_values(
            array_map(
                static fn(Certificate $each): array => [$each->group, $each->place],
                array_filter(self::of($cars), static fn(Certificate $each): bool => $each->honour === Honour::Place),
            ),
        );
    }

    /**
     * @param list<HonouredCar> $cars
     * @param list<Goal> $goals
     *
     * @return list<Certificate>
     */
    private static function of(array $cars, array $goals = [Goal::Farthest]): array
    {
        $all = array_merge(...array_map(static fn(HonouredCar $car): array => $car->versions, $cars));

        return Certificates::of(array_map(static fn(Goal $goal): Standings => Standings::of(
            array_map(static fn(HonouredCar $car): Entrant => new Entrant($car->id, $car->standing()), $cars),
            new Award($goal),
            Scoring::Mean,
            (new Award($goal))->scatter($all),
        ), $goals), $cars);
    }

    /** @return array<string, list<string>> */
    private static function byHonour(array $certificates): array
    {
        $groups = [];
        foreach ($certificates as $certificate) {
            $groups[$certificate->honour->value][] = $certificate->group;
        }

        return $groups;
    }

    /**
     * @param list<list<float>> $versions distances (m)
     * @param array<int, VoidReason> $void by the number of the try of the last version
     */
    private static function car(string $id, array $versions, ?Foresight $foresight = null, array $void = []): HonouredCar
    {
        $last = array_key_last($versions);

        return new HonouredCar(
            $id,
            array_map(
                static fn(array $distances, int $version): Tries => self::tries($distances, $version === $last ? $void : []),
                $versions,
                array_keys($versions),
            ),
            $foresight,
        );
    }

    /**
     * @param list<float> $distances
     * @param array<int, VoidReason> $void
     */
    private static function tries(array $distances, array $void = []): Tries
    {
        $runs = [];
        foreach ($void as $try => $reason) {
            $runs[] = new Run("v{$try}", $try, null, null, $reason);
        }
        foreach ($distances as $index => $distance) {
            $runs[] = new Run("r{$index}", $index + 1, $distance);
        }

        return new Tries($runs, count($distances));
    }

    private static function normal(Randomizer $random): float
    {
        return sqrt(-2.0 * log($random->getInt(1, 1 << 30) / (1 << 30))) * cos(2.0 * M_PI * $random->getInt(0, 1 << 30) / (1 << 30));
    }
}

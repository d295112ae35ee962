<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Rules;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\Adjustment;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Belief;
use Skivo\Core\Findings\ByModel;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Confounding;
use Skivo\Core\Findings\Difference;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\LikeCars;
use Skivo\Core\Findings\NextTest;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Findings\SeveralFactors;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Statistics\Holm;
use Skivo\Core\Statistics\LeadingGroup;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\Verdict;
use Tests\GeneratedClass;

/** What a class's cars say of its choices. */
final class FindingsTest extends TestCase
{
    public function testCarsDifferOnlyInWhatNobodyWouldCallTheSame(): void
    {
        $one = GeneratedClass::choices(6.0, 60.0);
        self::assertSame([], Difference::between($one, GeneratedClass::choices(6.2, 62.0)), 'hand-made parts');
        self::assertSame([CarAttribute::NozzleBore], Difference::between($one, GeneratedClass::choices(8.0, 62.0)));
        self::assertSame([CarAttribute::NozzleBore, CarAttribute::Mass], Difference::between($one, GeneratedClass::choices(8.0, 70.0)));
        self::assertSame([CarAttribute::WheelKind], Difference::between($one, GeneratedClass::choices(6.0, 60.0, 'jar lids')));
        self::assertSame([], Difference::between($one, GeneratedClass::choices(6.0, 60.0, 'Bottle caps')));
    }

    /** @return iterable<string, array{array<string, float>, array<string, float>, list<CarAttribute>}> what is recorded of one, of the other, and what they differ in */
    public static function unlike(): iterable
    {
        yield 'a chassis twice as wide' => [['chassis_width' => 0.075], ['chassis_width' => 0.14], [CarAttribute::ChassisWidth]];
        yield 'a longer chassis on a longer wheelbase' => [
            ['chassis_length' => 0.15, 'wheelbase' => 0.09], ['chassis_length' => 0.2, 'wheelbase' => 0.12],
            [CarAttribute::ChassisLength, CarAttribute::Wheelbase],
        ];
        yield 'wheels farther apart' => [['track' => 0.09], ['track' => 0.12], [CarAttribute::Track]];
        yield 'a balloon a tenth larger' => [['balloon_size' => 0.20], ['balloon_size' => 0.22], [CarAttribute::BalloonSize]];
        yield 'a tube before the nozzle' => [[], ['wider_bore' => 0.0095], [CarAttribute::WiderBore]];
        yield 'two of them' => [[], ['wider_bore' => 0.0095, 'widest_bore' => 0.0127], [CarAttribute::WiderBore, CarAttribute::WidestBore]];
        yield 'five things at once' => [
            ['chassis_width' => 0.075, 'wheelbase' => 0.09, 'track' => 0.09, 'balloon_size' => 0.2, 'nozzle_length' => 0.1],
            ['chassis_width' => 0.10, 'wheelbase' => 0.12, 'track' => 0.12, 'balloon_size' => 0.22, 'nozzle_length' => 0.15],
            [
                CarAttribute::NozzleLength, CarAttribute::BalloonSize, CarAttribute::ChassisWidth, CarAttribute::Wheelbase,
                CarAttribute::Track,
            ],
        ];
    }

    /**
     * @param array<string, float> $one
     * @param array<string, float> $other
     * @param list<CarAttribute> $differ
     */
    #[DataProvider('unlike')]
    public function testCarsThatAreUnlikeInAnythingRecordedAreNotCompared(array $one, array $other, array $differ): void
    {
        $found = Difference::between(GeneratedClass::choices(6.0, 60.0, also: $one), GeneratedClass::choices(6.0, 60.0, also: $other));
        self::assertEqualsCanonicalizing(array_column($differ, 'value'), array_column($found, 'value'));
        // With another bore they differ in one thing more, and so are no witness of the bore: no model allows for it here.
        $cars = [
            new ComparedCar('a', 'a', 1, GeneratedClass::choices(6.0, 60.0, also: $one), new Sample([2.0, 2.1])),
            new ComparedCar('a2', 'a', 2, GeneratedClass::choices(8.0, 60.0, also: $other), new Sample([3.0, 3.1])),
        ];
        self::assertSame([], Effect::all($cars));
    }

    /** Versions of a car share its group's faults, so that a group rebuilt twice is one witness. */
    public function testAGroupSpeaksOnceHoweverOftenItRebuilt(): void
    {
        $car = static fn(string $group, int $version, float $bore, float $mean): ComparedCar => new ComparedCar(
            "{$group}{$version}",
            $group,
            $version,
            GeneratedClass::choices($bore, 60.0),
            new Sample([0.97 * $mean, 1.03 * $mean]),
        );
        $rebuilt = [$car('a', 1, 6.0, 2.0), $car('a', 2, 7.0, 2.4), $car('a', 3, 8.0, 2.9), $car('a', 4, 9.0, 3.1)];
        $effect = Effect::all($rebuilt)[0];
        self::assertSame(1, $effect->groups(), 'four versions, one group');
        self::assertNull($effect->interval, 'nobody can say how sure one group is');
        self::assertFalse($effect->isClear());
        $two = Effect::all([...$rebuilt, $car('b', 1, 6.0, 1.5), $car('b', 2, 8.0, 2.1), $car('b', 3, 6.0, 1.6)])[0];
        self::assertSame(2, $two->groups());
        self::assertCount(2, $two->rebuilt());
        // By hand: the slopes of the two groups, weighted by Σ(x − x̄)², t for one degree of freedom is 12.706.
        // A rebuilt version has 1/1.2 of the weight of a first one, as among other groups' cars.
        $points = [
            [[0.006, 2.0, 1.0], [0.007, 2.4, 1 / 1.2], [0.008, 2.9, 1 / 1.2], [0.009, 3.1, 1 / 1.2]],
            [[0.006, 1.5, 1.0], [0.008, 2.1, 1 / 1.2], [0.006, 1.6, 1 / 1.2]],
        ];
        $weighted = static function (array $of): array {
            $sum = array_sum(array_column($of, 2));
            $x = array_sum(array_map(static fn(array $p): float => $p[2] * $p[0], $of)) / $sum;
            $xx = array_sum(array_map(static fn(array $p): float => $p[2] * ($p[0] - $x) ** 2, $of));

            return [$xx, array_sum(array_map(static fn(array $p): float => $p[2] * ($p[0] - $x) * $p[1], $of)) / $xx];
        };
        [[$xa, $ba], [$xb, $bb]] = array_map($weighted, $points);
        $mean = ($xa * $ba + $xb * $bb) / ($xa + $xb);
        self::assertEqualsWithDelta($mean, $two->perUnit(), 1e-9);
        $error = sqrt(($xa * ($ba - $mean) ** 2 + $xb * ($bb - $mean) ** 2) / ($xa + $xb));
        self::assertEqualsWithDelta($mean - 12.7062 * $error, (float) $two->perUnitInterval()?->low, 1e-3);
    }

    /** Four p-values by hand: 0.005 ≤ 0.05/4, 0.01 ≤ 0.05/3, 0.03 > 0.05/2, and so 0.04 does not hold either. */
    public function testSeveralClaimsShareOneChanceOfBeingWrong(): void
    {
        $holds = Holm::holds(['a' => 0.01, 'b' => 0.04, 'c' => 0.03, 'd' => 0.005]);
        self::assertSame(['d' => true, 'a' => true, 'c' => false, 'b' => false], $holds);
        self::assertSame([], Holm::holds([]));
        self::assertSame(['a' => true], Holm::holds(['a' => 0.05]));
        self::assertSame(['a' => true, 'b' => true], Holm::holds(['a' => 0.02, 'b' => 0.02]));
    }

    /** @return iterable<string, array{CarAttribute, list<array{float, float}>, Answer}> what is asked, less and more of it, the answer */
    public static function answers(): iterable
    {
        yield 'wider is farther' => [CarAttribute::NozzleBore, [[2.0, 3.0], [2.2, 3.3], [1.8, 2.7]], Answer::More];
        yield 'wider is less far' => [CarAttribute::NozzleBore, [[3.0, 2.0], [3.3, 2.2], [2.7, 1.8]], Answer::Less];
        yield 'heavier is less far' => [CarAttribute::Mass, [[3.0, 2.0], [3.3, 2.2], [2.7, 1.8]], Answer::Less];
        yield 'within a tenth' => [CarAttribute::NozzleBore, [[2.0, 2.02], [2.2, 2.23], [1.8, 1.81]], Answer::HardlyMatters];
        yield 'they disagree' => [CarAttribute::NozzleBore, [[2.0, 3.0], [2.2, 1.9], [1.8, 2.4]], Answer::CannotTell];
        yield 'one pair' => [CarAttribute::NozzleBore, [[2.0, 3.0]], Answer::CannotTell];
        yield 'none' => [CarAttribute::NozzleBore, [], Answer::CannotTell];
    }

    /** @param list<array{float, float}> $pairs */
    #[DataProvider('answers')]
    public function testTheQuestionIsAnswered(CarAttribute $asked, array $pairs, Answer $answer): void
    {
        $cars = [];
        foreach ($pairs as $group => $means) {
            foreach ($means as $version => $mean) {
                $choices = $asked === CarAttribute::Mass
                    ? GeneratedClass::choices(6.0, 50.0 + 10 * $version)
                    : GeneratedClass::choices(6.0 + $version, 60.0);
                $cars[] = new ComparedCar("{$group}{$version}", "{$group}", $version, $choices, new Sample([0.99 * $mean, 1.01 * $mean]));
            }
        }
        $effects = Effect::all($cars);
        self::assertSame($answer, Answer::of($effects[0] ?? null, 2.2));
        // What is asked is judged by itself; of anything else the same cars must pass beside all that could be said.
        $several = SeveralFactors::of($cars);
        $trends = ['distance' => array_fill_keys(array_map(strval(...), range(1, 40)), 0.5)];
        foreach ($effects as $effect) {
            $claims = static fn(?Question $question): Claims => Claims::of($effects, $several, $trends, $question, ['distance' => 2.2]);
            self::assertSame($effect->isClear(), $claims(new Question($asked))->effect($effect));
            self::assertSame($answer, $claims(new Question($asked))->verdict($effect));
            self::assertSame($effect->isClear() && $effect->pValue <= 0.05 / 41, $claims(null)->effect($effect));
            self::assertSame(
                $effect->isClear() && $effect->pValue > 0.05 / 41 && $answer !== Answer::HardlyMatters,
                $claims(null)->verdict($effect) === Answer::Hint,
            );
            self::assertSame(40 + (int) $effect->isPooled(), $claims(null)->count());
        }
    }

    public function testAnAnswerAgreesWithWhatWasExpected(): void
    {
        foreach (
            [
                [Answer::More, true, false], [Answer::Less, false, true], [Answer::HardlyMatters, false, false],
                [Answer::CannotTell, null, null], [Answer::Hint, null, null],
            ] as [$answer, $more, $less]
        ) {
            self::assertSame([$more, $less], [$answer->agrees(1), $answer->agrees(-1)]);
        }
        // A better car goes farther, in less time, and strays less.
        self::assertSame([1, -1], [(new Question(CarAttribute::NozzleBore))->direction(), (new Question(CarAttribute::Mass))->direction()]);
        self::assertSame(
            [-1, 1],
            [
                (new Question(CarAttribute::NozzleBore, Outcome::Time))->direction(),
                (new Question(CarAttribute::Mass, Outcome::Straightness))->direction(),
            ],
        );
    }

    /** Without a rebuilt car the common slope of the sets, by hand: two sets of like cars (by wheels) and a line for each. */
    public function testOneCarOfEachGroupSpeaksWithinItsSet(): void
    {
        $car = static fn(string $id, float $bore, string $wheels, float $mean): ComparedCar => new ComparedCar(
            $id,
            $id,
            1,
            GeneratedClass::choices($bore, 60.0, $wheels),
            new Sample([0.95 * $mean, 1.05 * $mean]),
        );
        $cars = [
            $car('a', 6.0, 'caps', 2.0), $car('b', 7.0, 'caps', 2.3), $car('c', 8.0, 'caps', 2.9),
            $car('d', 6.0, 'lids', 3.0), $car('e', 8.0, 'lids', 4.1),
            // Alone of its kind: nobody to compare with.
            $car('f', 9.0, 'discs', 5.0),
        ];
        $effect = Effect::all($cars)[0];
        self::assertSame(CarAttribute::NozzleBore, $effect->factor);
        self::assertSame(['a', 'b', 'c', 'd', 'e'], $effect->cars());
        self::assertSame(['f'], array_column($effect->left, 'id'));
        self::assertSame([], $effect->rebuilt());
        // Σ(x − x̄)² is 2 and 2 (mm²), Σ(x − x̄)·y is 0.9 and 1.1: slope 0.5 m/mm. Misses: two sets, five cars, two degrees.
        self::assertEqualsWithDelta(0.5e3, $effect->perUnit(), 1e-6);
        self::assertEqualsWithDelta([0.006, 0.008, 1.0], [$effect->least, $effect->most, $effect->mean], 1e-9);
        $squares = 0.0;
        foreach ([[[6, 2.0], [7, 2.3], [8, 2.9]], [[6, 3.0], [8, 4.1]]] as $set) {
            $mean = array_sum(array_column($set, 1)) / count($set);
            foreach ($set as [$x, $y]) {
                $squares += ($y - $mean - 0.5 * ($x - 7)) ** 2;
            }
        }
        $error = sqrt($squares / 2 / 4);
        self::assertEqualsWithDelta(1.0 - 4.302653 * 2 * $error, (float) $effect->interval?->low, 1e-4);
    }

    public function testTwoCarsSpeakAloneOfThemselves(): void
    {
        $class = new GeneratedClass(4, fromTryToTry: 0.05);
        $effect = Effect::all([$class->car('a', 6.0, 60.0, 2.0), $class->car('b', 8.0, 60.0, 3.0)])[0];
        self::assertFalse($effect->isPooled());
        self::assertNull($effect->interval);
        self::assertNull($effect->pValue);
        self::assertFalse($effect->isClear(), 'two cars make no finding');
        self::assertEqualsWithDelta(1.0, $effect->mean, 0.2);
        self::assertSame([], Effect::all([]));
    }

    /** What nobody recorded can't be known to be alike; without nozzle, balloon, mass or wheels there is no claim at all. */
    public function testWhatNobodyRecordedStandsInTheWay(): void
    {
        $car = static fn(string $id, float $bore, array $without): ComparedCar => new ComparedCar($id, $id, 1, new Car(
            array_diff_key(GeneratedClass::choices($bore, 60.0)->quantities, array_flip($without)),
            [],
            in_array('wheel_kind', $without, true) ? [] : ['wheel_kind' => 'caps'],
        ), new Sample([$bore / 3, $bore / 2.9]));
        foreach (
            [
                [['mass'], [CarAttribute::Mass]], [['balloon_size'], [CarAttribute::BalloonSize]],
                [['wheel_kind'], [CarAttribute::WheelKind]], [['mass', 'balloon_size'], [CarAttribute::BalloonSize, CarAttribute::Mass]],
            ] as [$without, $missing]
        ) {
            $cars = array_map(static fn(int $index): ComparedCar => $car("c{$index}", 6.0 + $index % 2, $without), range(1, 6));
            self::assertSame($missing, LikeCars::unrecorded($cars, CarAttribute::NozzleBore));
            self::assertSame([], Effect::all($cars));
        }
        // Of one car alone nobody weighed it: that one is left out.
        $cars = [
            ...array_map(static fn(int $index): ComparedCar => $car("c{$index}", 6.0 + $index % 2, []), range(1, 5)),
            $car('light', 8.0, ['mass']),
        ];
        self::assertSame(['light'], array_column(Effect::all($cars)[0]->left, 'id'));
        // What most left out is as good as not recorded, and leaves nobody out.
        $cars = array_map(static fn(int $index): ComparedCar => $car("c{$index}", 6.0 + $index % 2, []), range(1, 5));
        $cars[] = new ComparedCar('x', 'x', 1, GeneratedClass::choices(7.0, 60.0, 'caps', ['track' => 0.1]), new Sample([2.0, 2.1]));
        self::assertCount(6, Effect::all($cars)[0]->cars());
    }

    public function testAClassWhereBoreMattersAndMassDoesNotSaysSo(): void
    {
        // Wide nozzles go a metre farther whatever the mass: no friction that grows with it, by decree.
        $class = new GeneratedClass(11, fromCarToCar: 0.08, fromTryToTry: 0.05);
        $cars = [];
        foreach ([50.0, 60.0, 72.0, 88.0] as $index => $mass) {
            $cars[] = $class->car("n{$index}", 6.0, $mass, 2.0);
            $cars[] = $class->car("w{$index}", 9.0, $mass, 3.0);
        }
        $massIsNothing = new class implements Adjustment {
            public function factor(string $car, array $sizes, Outcome $outcome): float
            {
                return 1.0;
            }

            public function knows(CarAttribute $attribute, Outcome $outcome): bool
            {
                return true;
            }
        };
        $effects = Effect::all($cars, $massIsNothing);
        self::assertSame([], Confounding::among($cars));
        $bore = array_values(array_filter($effects, static fn(Effect $effect): bool => $effect->factor === CarAttribute::NozzleBore))[0];
        self::assertTrue($bore->isClear());
        self::assertTrue($bore->interval?->contains(1.0));
        self::assertGreaterThan(0.0, $bore->interval->low);

        $several = SeveralFactors::of($cars);
        self::assertTrue($several->isSeparable());
        self::assertSame([CarAttribute::NozzleBore, CarAttribute::Mass], $several->factors);
        self::assertTrue($several->intervals[0]->contains(1.0 / 0.003));
        self::assertTrue($several->intervals[1]->contains(0.0));

        $rulings = Ruling::all(
            $cars,
            $effects,
            [],
            $several,
            Claims::of($effects, $several, [], new Question(CarAttribute::NozzleBore), ['distance' => 2.5]),
            ...self::typical(),
        );
        $of = static fn(Belief $belief): Ruling => array_values(
            array_filter($rulings, static fn(Ruling $ruling): bool => $ruling->belief === $belief),
        )[0];
        self::assertTrue($of(Belief::WiderNozzle)->isSupported);
        self::assertFalse($of(Belief::WiderNozzle)->byRegression);
        self::assertNull($of(Belief::LighterCar)->isSupported);
        self::assertFalse($of(Belief::MoreAir)->varies);
        self::assertSame(1, $of(Belief::LargerWheels)->modelSays, 'larger wheels on the same axle lower f');
        self::assertNull($of(Belief::Joint)->modelSays);
    }

    public function testConfoundedChoicesAreNamedAndTheNextTestTakesThemApart(): void
    {
        // Every wide nozzle sits on a light car.
        $class = new GeneratedClass(12);
        $cars = [];
        foreach ([[5.0, 92.0], [6.0, 80.0], [7.0, 70.0], [8.0, 60.0], [9.0, 50.0]] as $index => [$bore, $mass]) {
            $cars[] = $class->car("c{$index}", $bore, $mass, 1.0 + $index / 2);
        }
        $confounded = Confounding::among($cars);
        self::assertCount(1, $confounded);
        self::assertSame([CarAttribute::NozzleBore, CarAttribute::Mass], [$confounded[0]->one, $confounded[0]->other]);
        self::assertGreaterThan(0.98, $confounded[0]->share);
        $several = SeveralFactors::of([...$cars, $class->car('c5', 10.0, 41.0, 4.0)]);
        self::assertFalse($several->isSeparable());
        self::assertSame([CarAttribute::NozzleBore, CarAttribute::Mass], $several->confounded);
        self::assertSame([], Effect::all($cars));
        $ruling = array_values(
            array_filter(
                Ruling::all($cars, [], $confounded, $several, Claims::of([], $several, [], null, []), ...self::nobody()),
                static fn(Ruling $each): bool => $each->belief === Belief::WiderNozzle,
            ),
        )[0];
        self::assertNull($ruling->isSupported);
        self::assertSame(CarAttribute::Mass, $ruling->confoundedWith);

        $next = NextTest::propose($cars, [], $confounded);
        self::assertNotNull($next);
        self::assertSame([CarAttribute::NozzleBore, CarAttribute::Mass], [$next->factor, $next->confoundedWith]);
        // By trying them all: the one after which the bores lie farthest about their line over the masses.
        $squares = static function (array $points): float {
            $line = LeastSquares::fit(array_column($points, 1), array_column($points, 0));
            $mean = array_sum(array_column($points, 0)) / count($points);

            return array_sum(
                array_map(static fn(array $point): float => ($point[0] - $mean) ** 2, $points),
            ) * (1.0 - ($line->rSquared ?? 0.0));
        };
        $points = [[0.005, 0.092], [0.006, 0.08], [0.007, 0.07], [0.008, 0.06], [0.009, 0.05]];
        $most = max(array_map(
            static fn(array $point): float => max(array_map(
                static fn(array $other): float => max($point[0] / $other[0], $other[0] / $point[0]) > 1.6 + 1e-9
                    ? 0.0
                    : $squares([...$points, [$other[0], $point[1]]]),
                $points,
            )),
            $points,
        ));
        self::assertEqualsWithDelta($most, $squares([...$points, [$next->to, $next->car->choices->number(CarAttribute::Mass)]]), 1e-12);
        self::assertNull(NextTest::propose([$cars[0], $cars[0], $cars[0], $cars[0]], [], []));
    }

    /** Mass varies too, and nobody has settled it; but the class asked about the bore, and finishes that first. */
    public function testTheNextTestFinishesTheClasssOwnQuestion(): void
    {
        $car = static fn(string $group, int $version, float $bore, float $mass): ComparedCar => new ComparedCar(
            "{$group}{$version}",
            $group,
            $version,
            GeneratedClass::choices($bore, $mass),
            new Sample([2.0, 2.2]),
        );
        $cars = [
            $car('a', 1, 6.0, 50.0), $car('a', 2, 8.0, 50.0), $car('b', 1, 6.0, 60.0), $car('c', 1, 8.0, 75.0), $car('d', 1, 7.0, 50.0),
        ];
        $effects = Effect::all($cars);
        $asks = new Question(CarAttribute::NozzleBore);
        $next = NextTest::propose($cars, $effects, [], null, $asks);
        self::assertSame(CarAttribute::NozzleBore, $next?->factor);
        self::assertNotSame('a', $next->car->group, 'who rebuilt already need not do it again');
        self::assertSame(CarAttribute::Mass, NextTest::propose($cars, $effects, [], null, new Question(CarAttribute::Mass))?->factor);

        // Where the rules hold the nozzle, or nobody may take the value, something else is asked.
        $rules = new Rules([Step::Mass]);
        $mayBe = static fn(ComparedCar $of, CarAttribute $factor, float|string $to): bool => $rules->allowChange(
            $of->choices,
            $of->choices->with($factor, $to),
            $factor,
            new Car(),
        );
        self::assertSame(CarAttribute::Mass, NextTest::propose($cars, $effects, [], null, $asks, $mayBe)?->factor);
        self::assertNull(NextTest::propose($cars, $effects, [], null, $asks, static fn(): bool => false));
        $light = new Rules(heaviestKg: 0.062);
        $mayBe = static fn(ComparedCar $of, CarAttribute $factor, float|string $to): bool => $light->allowChange(
            $of->choices,
            $of->choices->with($factor, $to),
            $factor,
            new Car(),
        );
        $next = NextTest::propose($cars, $effects, [], null, new Question(CarAttribute::Mass), $mayBe);
        self::assertLessThanOrEqual(0.062, $next?->to, 'no proposal breaks a rule of the challenge');
    }

    public function testACarWithOneThingChanged(): void
    {
        $car = new Car(
            GeneratedClass::choices(6.0, 60.0)->quantities,
            [CarAttribute::NozzleOutlets->value => 1],
            [CarAttribute::WheelKind->value => 'caps'],
        );
        foreach (
            [
                [CarAttribute::NozzleBore, 0.008], [CarAttribute::NozzleOutlets, '3'], [CarAttribute::WheelKind, 'lids'],
                [CarAttribute::BalloonSize, 0.25],
            ] as [$attribute, $value]
        ) {
            $changed = $car->with($attribute, $value);
            self::assertSame($value, $changed->explanation($attribute));
            self::assertSame([$attribute], Difference::between($car, $changed));
        }
    }

    public function testKindsThatGoAlongAreFoundToo(): void
    {
        $class = new GeneratedClass(13);
        $car = static fn(string $id, float $bore, string $wheels): ComparedCar => new ComparedCar(
            $id,
            $id,
            1,
            GeneratedClass::choices($bore, 60.0, $wheels),
            $class->tries(2.0),
        );
        $cars = [$car('a', 6.0, 'caps'), $car('b', 6.0, 'caps'), $car('c', 9.0, 'lids'), $car('d', 9.0, 'lids'), $car('e', 9.0, 'lids')];
        self::assertEqualsWithDelta(1.0, (float) Confounding::shareOf($cars, CarAttribute::NozzleBore, CarAttribute::WheelKind), 1e-12);
        self::assertSame(
            [CarAttribute::NozzleBore, CarAttribute::WheelKind],
            [Confounding::among($cars)[0]->one, Confounding::among($cars)[0]->other],
        );
        $next = NextTest::propose($cars, [], Confounding::among($cars));
        self::assertSame(CarAttribute::NozzleBore, $next?->factor);
        self::assertNull(Confounding::shareOf(array_slice($cars, 0, 3), CarAttribute::NozzleBore, CarAttribute::WheelKind), 'too few cars');
        self::assertNull(Confounding::shareOf($cars, CarAttribute::NozzleBore, CarAttribute::Mass), 'mass does not vary');
    }

    public function testTheChanceOfBeingFirst(): void
    {
        $chances = ChanceOfFirst::of($this->standings(['A' => [2.0, 2.4, 2.2], 'B' => [1.9, 2.3, 2.1], 'C' => [1.0, 1.1, 1.2]]));
        self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9);
        self::assertGreaterThan($chances['B'], $chances['A']);
        self::assertGreaterThan(0.2, $chances['B'], 'a few centimetres are no certainty');
        self::assertLessThan(0.01, $chances['C']);
        self::assertSame(
            $chances,
            ChanceOfFirst::of($this->standings(['A' => [2.0, 2.4, 2.2], 'B' => [1.9, 2.3, 2.1], 'C' => [1.0, 1.1, 1.2]])),
            'the same seed, the same draws',
        );
        self::assertSame(['A' => 1.0, 'B' => 0.0], ChanceOfFirst::of($this->standings(['A' => [5.0, 5.1], 'B' => [1.0, 1.02]])));
        $equal = ChanceOfFirst::of($this->standings(['A' => [2.0, 2.2], 'B' => [2.0, 2.2]]));
        self::assertEqualsWithDelta(0.5, $equal['A'], 0.04);
        // One try of A, by the scatter of the others: a guess, and no certainty.
        $once = ChanceOfFirst::of($this->standings(['A' => [2.2], 'B' => [1.9, 2.2], 'C' => [2.0, 2.3]]));
        self::assertGreaterThan(0.2, $once['A']);
        self::assertLessThan(0.7, $once['A']);
        self::assertSame([], ChanceOfFirst::of($this->standings(['A' => [2.0], 'B' => [1.0]])), 'nothing tells luck from a better car');
        self::assertSame([], ChanceOfFirst::of($this->standings([])));
    }

    public function testAClassThatDiffersByChanceAloneHasNobodyClearlyBehind(): void
    {
        $verdicts = fn(array $runs): array => array_map(
            static fn($place): ?Verdict => $place->againstLeader,
            $this->standings($runs)->places,
        );
        $loose = ['A' => [2.0, 2.2, 2.4], 'B' => [1.9, 2.1, 2.3], 'C' => [1.8, 2.1, 2.2], 'D' => [2.1, 1.9, 2.0], 'E' => [1.7, 2.0, 2.2]];
        self::assertNotContains(Verdict::ClearlyApart, $verdicts($loose));
        self::assertSame([null, Verdict::ClearlyApart], $verdicts(['A' => [2.0, 2.1, 2.2], 'B' => [1.0, 1.1, 1.2]]));
        self::assertSame([null, Verdict::NoSpreadYet], $verdicts(['A' => [2.0], 'B' => [1.0]]));
        // A car that ran once is judged by the spread of the others.
        self::assertSame(
            [null, Verdict::TooCloseToCall, Verdict::ClearlyApart],
            $verdicts(['A' => [2.0, 2.1, 2.2], 'B' => [2.05], 'C' => [1.0]]),
        );
    }

    /** The last of a set is tried against the range of the set, so whoever is nearly as good as the leader stays. */
    public function testTheLeadingGroupHoldsTogether(): void
    {
        $far = static fn(float $mean): Sample => new Sample([0.95 * $mean, $mean, 1.05 * $mean]);
        $size = static function (array $means) use ($far): int {
            $samples = array_map($far, $means);

            return LeadingGroup::size($samples, ModeratedScatter::of($samples, 0.0) ?? self::fail('It has spread.'), true);
        };
        self::assertSame(1, $size([3.0]));
        self::assertSame(2, $size([3.0, 2.9]));
        self::assertSame(1, $size([3.0, 2.0]));
        self::assertSame(3, $size([3.0, 2.95, 2.9, 1.5, 1.4]));
        $samples = array_map($far, [1.0, 1.02, 2.0]);
        self::assertSame(
            2,
            LeadingGroup::size($samples, ModeratedScatter::of($samples, 0.0) ?? self::fail('It has spread.'), false),
            'less is better',
        );
    }

    public function testAnOutlierIsNamedByTheScatterOfTheWholeClass(): void
    {
        $samples = [
            'a' => new Sample([2.0, 2.1, 1.9]), 'b' => new Sample([3.0, 3.1, 2.9]), 'c' => new Sample([1.0, 1.05, 0.95]),
            'd' => new Sample([4.0, 4.1, 2.2]),
        ];
        $found = Outlier::among($samples);
        self::assertSame(['d'], array_keys($found));
        self::assertSame([2, 2.2], [$found['d'][0]->index, $found['d'][0]->value]);
        self::assertLessThan(-$found['d'][0]->critical, $found['d'][0]->t);
        // Twice as far for all of a car: the scatter is a share, so nothing changes.
        $samples['d'] = new Sample([8.0, 8.2, 4.4]);
        self::assertEqualsWithDelta($found['d'][0]->t, Outlier::among($samples)['d'][0]->t, 1e-9);
        self::assertSame([], Outlier::among(['a' => new Sample([1.0, 9.0]), 'b' => new Sample([1.0])]), 'too few to tell');
        self::assertSame([], Outlier::among(array_fill(0, 5, new Sample([2.0, 2.0, 2.0]))), 'no scatter at all');
        $one = array_fill(0, 5, new Sample([2.0, 2.0, 2.0])) + [5 => new Sample([2.0, 2.0, 3.0])];
        self::assertSame([5], array_keys(Outlier::among($one)));
    }

    public function testOddRecordsDoNotStopIt(): void
    {
        $class = new GeneratedClass(5);
        $bare = new ComparedCar('x', 'x', 1, new \Skivo\Core\Car\Car(), $class->tries(1.0));
        self::assertSame([], Effect::all([$bare, $bare, $bare]));
        self::assertSame([], Confounding::among([$bare, $bare, $bare, $bare]));
        self::assertFalse(SeveralFactors::of([$bare])->isSeparable());
        self::assertSame(0.008, GeneratedClass::choices(8.0, 1.0)->number(CarAttribute::NozzleBore));
    }

    /** @return array{ByModel, string} the model of a class with one usual car, and that car */
    private static function typical(): array
    {
        $kept = new KeptInMemory();
        $car = new RecordedCar('t', 't', 1, GeneratedClass::choices(6.0, 60.0), new Tries([], 3));

        return [new ByModel(ClassForecast::of([$car], Catalogue::standard(), null, null, null, $kept), $kept), 't'];
    }

    /** @return array{ByModel, null} */
    private static function nobody(): array
    {
        $kept = new KeptInMemory();

        return [new ByModel(ClassForecast::of([], Catalogue::standard(), null, null, null, $kept), $kept), null];
    }

    /** @param array<string, list<float>> $groups */
    private function standings(array $groups): Standings
    {
        $entrants = [];
        foreach ($groups as $id => $distances) {
            $entrants[] = new Entrant(
                $id,
                new Tries(
                    array_map(
                        static fn(int $try, float $distance): Run => new Run("{$id}{$try}", $try + 1, $distance),
                        array_keys($distances),
                        $distances,
                    ),
                    count($distances),
                ),
            );
        }

        return Standings::of($entrants, new Award(Goal::Farthest), Scoring::Mean);
    }
}

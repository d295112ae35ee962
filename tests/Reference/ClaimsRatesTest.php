<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\ClassTries;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\NoAdjustment;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Findings\SeveralFactors;
use Skivo\Core\Findings\Trends;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Statistics\Sample;

/**
 * How often what is said of choices is wrong, and how often a real effect is seen: eight groups whose cars differ by 30 cm
 * about three metres and whose tries scatter by 15 cm; none, four or all of which rebuilt their cars.
 */
final class ClaimsRatesTest extends TestCase
{
    use DrawsNormals;

    private const BETWEEN_GROUPS_M = 0.3;
    private const OF_TRIES_M = 0.15;

    /** Standard deviation, from car to car, of ln of the scatter of its tries. */
    private float $unequal = 0.0;

    /** Where the lane ends (m): farther runs are only known to have passed it. */
    private float $laneM = INF;

    protected function setUp(): void
    {
        $this->seed(20261127);
    }

    /** @return iterable<string, array{int, float, float}> how many groups rebuilt their cars, how unequal scatter is, and where the lane ends (m) */
    public static function rebuilds(): iterable
    {
        yield 'nobody rebuilt' => [0, 0.0, INF];
        yield 'four rebuilt' => [4, 0.0, INF];
        yield 'all rebuilt' => [8, 0.0, INF];
        yield 'four rebuilt, unequal scatter' => [4, 0.4, INF];
        yield 'four rebuilt, one run in six past the end' => [4, 0.0, 3.3];
    }

    /** The family is every attribute, every outcome and every way of looking: like cars, the regression, trends. */
    #[DataProvider('rebuilds')]
    public function testWhereNothingMattersLittleIsClaimed(int $rebuilds, float $unequal, float $laneM): void
    {
        [$this->unequal, $this->laneM] = [$unequal, $laneM];
        $classes = self::many(600);
        $question = new Question(CarAttribute::NozzleBore);
        $wrongAnswers = $wrongClaims = $judged = 0;
        for ($class = 0; $class < $classes; $class++) {
            $cars = $this->mixedClass($rebuilds);
            $effects = [];
            foreach (Outcome::cases() as $outcome) {
                array_push($effects, ...Effect::all($cars, new NoAdjustment(), $outcome));
            }
            $several = SeveralFactors::of(ComparedCar::newest($cars));
            $claims = Claims::of(
                $effects,
                $several,
                Trends::among($cars)->pValues,
                $question,
                ['distance' => 3.0, 'time' => 1.2, 'straightness' => 0.03],
            );
            $said = false;
            foreach ($effects as $effect) {
                $isWrong = in_array($claims->verdict($effect), [Answer::More, Answer::Less], true);
                if ($question->isOf($effect)) {
                    $judged += (int) $effect->isPooled();
                    $wrongAnswers += (int) $isWrong;
                } else {
                    $said = $said || $isWrong;
                }
            }
            $slopes = array_filter($several->factors, $claims->slope(...));
            $trends = array_filter(
                CarAttribute::explaining(),
                static fn(CarAttribute $factor): bool => array_filter(
                    Outcome::cases(),
                    static fn(Outcome $outcome): bool => $claims->trend($factor, $outcome),
                ) !== [],
            );
            $wrongClaims += (int) ($said || $slopes !== [] || $trends !== []);
        }
        $error = 2 * sqrt(0.05 * 0.95 / $classes);
        self::assertLessThan(0.05 + $error, $wrongAnswers / $classes, 'the answer');
        self::assertLessThan(0.05 + $error, $wrongClaims / $classes, 'everything else');
        self::assertGreaterThan(0.5, $judged / $classes, 'and there was something to judge');
    }

    /** @return iterable<string, array{0: \Closure(self): list<ComparedCar>, 1: float, 2?: float}> a class in which a wider bore goes 50 cm farther, how often that is seen at least, and how unequal scatter is */
    public static function designs(): iterable
    {
        yield 'four of eight with the other bore' => [
            static fn(self $of): array => $of->classOf(static fn(int $group): array => [$group < 4 ? 0.006 : 0.008], 0.0), 0.45,
        ];
        yield 'four rebuilt, rebuilding by nothing' => [
            static fn(self $of): array => $of->classOf(static fn(int $group): array => $group < 4 ? [0.006, 0.008] : [0.006], 0.0), 0.98,
        ];
        yield 'four rebuilt' => [
            static fn(self $of): array => $of->classOf(static fn(int $group): array => $group < 4 ? [0.006, 0.008] : [0.006], 0.1), 0.9,
        ];
        yield 'eight rebuilt' => [static fn(self $of): array => $of->classOf(static fn(int $group): array => [0.006, 0.008], 0.1), 0.98];
        yield 'four rebuilt, unequal scatter' => [
            static fn(self $of): array => $of->classOf(static fn(int $group): array => $group < 4 ? [0.006, 0.008] : [0.006], 0.1), 0.85,
            0.4,
        ];
        yield 'four of eight, unequal scatter' => [
            static fn(self $of): array => $of->classOf(static fn(int $group): array => [$group < 4 ? 0.006 : 0.008], 0.0), 0.42, 0.4,
        ];
        yield 'both ways, four rebuilt' => [
            static fn(self $of): array => $of->classOf(
                static fn(int $group): array => $group < 4
                    ? [0.006 + 0.002 * ($group % 2), 0.008 - 0.002 * ($group % 2)]
                    : [0.006 + 0.002 * ($group % 2)],
                0.1,
            ),
            0.9,
        ];
        yield 'two groups changed alike' => [
            static fn(self $of): array => $of->classOf(static fn(int $group): array => $group < 2 ? [0.006, 0.008] : [0.006], 0.1), 0.2,
        ];
        yield 'two groups changed alike, three times' => [
            static fn(self $of): array => $of->classOf(
                static fn(int $group): array => $group < 2 ? [0.006, 0.008, 0.008, 0.008] : [0.006 + 0.002 * ($group % 2)],
                0.1,
            ),
            0.3,
        ];
    }

    /** @param \Closure(self): list<ComparedCar> $make */
    #[DataProvider('designs')]
    public function testIntervalsCoverAndARealEffectIsSeen(\Closure $make, float $seenAtLeast, float $unequal = 0.0): void
    {
        $this->unequal = $unequal;
        $classes = self::many(1500);
        $covered = $seen = 0;
        for ($class = 0; $class < $classes; $class++) {
            $effect = Effect::of($make($this), CarAttribute::NozzleBore, Outcome::Distance, null, new NoAdjustment());
            self::assertNotNull($effect?->interval);
            $covered += (int) $effect->interval->contains(0.5);
            $seen += (int) ($effect->isClear() && $effect->mean > 0.0);
        }
        $error = 2 * sqrt(0.05 * 0.95 / $classes);
        self::assertGreaterThanOrEqual(0.935 - $error, $covered / $classes);
        self::assertLessThanOrEqual(0.965 + $error, $covered / $classes);
        self::assertGreaterThanOrEqual($seenAtLeast - $error, $seen / $classes);
    }

    /**
     * One design but for the bore, which goes 25 cm farther for each millimetre.
     *
     * @param \Closure(int): list<float> $bores of the versions of a group's car (m)
     *
     * @return list<ComparedCar>
     */
    private function classOf(\Closure $bores, float $ofRebuilding): array
    {
        $cars = [];
        for ($group = 0; $group < 8; $group++) {
            $truth = 3.0 + self::BETWEEN_GROUPS_M * $this->normal();
            foreach ($bores($group) as $index => $bore) {
                $own = $truth + 250.0 * ($bore - 0.006) + ($index > 0 ? $ofRebuilding * $this->normal() : 0.0);
                $cars[] = $this->car($group, $index + 1, $bore, 0.06, 'bottle caps', $own);
            }
        }

        return $cars;
    }

    /** @return list<ComparedCar> of several designs, none of which matters */
    private function mixedClass(int $rebuilds): array
    {
        $cars = [];
        foreach (range(1, 8) as $group) {
            $bore = [0.006, 0.007, 0.008][$this->chance->getInt(0, 2)];
            $mass = [0.0595, 0.06, 0.061, 0.07][$this->chance->getInt(0, 3)];
            $wheels = ['bottle caps', 'bottle caps', 'jar lids'][$this->chance->getInt(0, 2)];
            $truth = 3.0 + self::BETWEEN_GROUPS_M * $this->normal();
            $cars[] = $this->car($group, 1, $bore, $mass, $wheels, $truth);
            if ($group <= $rebuilds) {
                $cars[] = $this->car($group, 2, $bore + 0.002, $mass, $wheels, $truth + 0.1 * $this->normal());
            }
        }

        return $this->laneM === INF ? $cars : $this->onALane($cars);
    }

    /**
     * The same cars on a lane that ends: how far a run went that passed it is judged as the class's runs are.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<ComparedCar>
     */
    private function onALane(array $cars): array
    {
        $runs = array_map(fn(ComparedCar $car): array => array_map(
            fn(float $distance, int $index): Run => new Run(
                (string) $index,
                $index + 1,
                min($distance, $this->laneM),
                pastEnd: $distance > $this->laneM,
            ),
            $car->sample->values,
            array_keys($car->sample->values),
        ), $cars);
        $tries = ClassTries::of(
            $runs,
            static fn(array $own, ?float $scatter): Tries => $scatter === null ? new Tries($own, 3) : new Tries($own, 3, scatter: $scatter),
        );

        return array_map(
            static fn(ComparedCar $car, Tries $own): ComparedCar => new ComparedCar(
                $car->id,
                $car->group,
                $car->version,
                $car->choices,
                $own->distances() ?? $car->sample,
                $car->others,
            ),
            $cars,
            $tries,
        );
    }

    private function car(int $group, int $version, float $bore, float $mass, string $wheels, float $truth): ComparedCar
    {
        $entry = static fn(CarAttribute $attribute, float $si): Entry => new Entry(
            Quantity::fromSi($si, $attribute->dimension()),
            (string) $si,
        );
        $tries = fn(float $about, float $scatter): Sample => new Sample(
            array_map(fn(): float => $about + $scatter * $this->normal(), [1, 2, 3]),
        );

        return new ComparedCar(
            "{$group}-{$version}",
            (string) $group,
            $version,
            new Car(
                [
                    CarAttribute::NozzleBore->value => $entry(CarAttribute::NozzleBore, $bore),
                    CarAttribute::Mass->value => $entry(CarAttribute::Mass, $mass),
                    CarAttribute::BalloonSize->value => $entry(CarAttribute::BalloonSize, 0.2),
                ],
                [],
                [CarAttribute::WheelKind->value => $wheels],
            ),
            $tries($truth, self::OF_TRIES_M * exp($this->unequal * $this->normal())),
            [
                Outcome::Time->value => $tries(1.2 + 0.1 * $this->normal(), 0.05),
                Outcome::Straightness->value => $tries(0.03 + 0.01 * $this->normal(), 0.01),
            ],
        );
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\AllowedFor;
use Skivo\Core\Findings\Belief;
use Skivo\Core\Findings\ByModel;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Difference;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Known;
use Skivo\Core\Findings\NextTest;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Findings\Work;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;

/** What must hold of bench and findings whatever the class did. */
final class FindingsPropertiesTest extends TestCase
{
    use TestTrait;

    public function testWhateverTheBenchReadsTheForcesAreThere(): void
    {
        $model = CarModel::of(new Car(), Catalogue::standard());
        $this->limitTo(150)->forAll(
            Generators::elements(BenchTest::askedOf(EnergySource::Balloon)),
            Generators::choose(1, 4),
            Generators::seq(Generators::choose(0, 1000)),
        )->then(function (BenchTest $test, int $repeats, array $drawn) use ($model): void {
            $readings = [];
            for ($repeat = 0; $repeat < $repeats; $repeat++) {
                $readings[] = array_map(
                    static function ($field, int $index) use ($drawn, $repeat): float {
                        // Anywhere between the least and the greatest that a form takes, on the scale of its size.
                        $at = ($drawn[($repeat * 3 + $index) % max(1, count($drawn))] ?? 500) / 1000;

                        return $field->least <= 0.0 ? $at * $field->greatest : $field->least * ($field->greatest / $field->least) ** $at;
                    },
                    $test->fields(),
                    array_keys($test->fields()),
                );
            }
            $forces = Forces::of($model, [$test->value => $readings]);
            $result = $forces->results[$test->value];
            self::assertTrue(is_finite($result->value) && $result->value >= 0.0);
            self::assertTrue($result->interval()->contains($result->value));
            foreach ([$forces->friction, $forces->thrust, $forces->pressure] as $estimate) {
                self::assertGreaterThan(0.0, $estimate->value);
                self::assertTrue(is_finite($estimate->interval()->high));
            }
        });
    }

    public function testMoreRepeatsOfTheSameReadingNeverMakeItLessSure(): void
    {
        $this->limitTo(100)
            ->forAll(Generators::choose(1, 100), Generators::choose(1, 100), Generators::choose(2, 8))
            ->then(function (int $value, int $error, int $repeats): void {
                $once = Estimate::ofRepeats([(float) $value], 0.05, 4.0, $error / 10);
                $often = Estimate::ofRepeats(array_fill(0, $repeats, (float) $value), 0.05, 4.0, $error / 10);
                self::assertLessThan($once->standardUncertainty, $often->standardUncertainty);
                self::assertGreaterThanOrEqual($error / 10, $often->standardUncertainty, 'the reading error stays');
                $weighted = Estimate::weighted([$once, $often]);
                self::assertEqualsWithDelta((float) $value, $weighted->value, 1e-9);
                self::assertLessThanOrEqual($once->standardUncertainty, $weighted->standardUncertainty);
            });
    }

    public function testWhateverAClassBuildsItsFindingsHoldTogether(): void
    {
        $this->limitTo(120)
            ->forAll(Generators::choose(0, 14), Generators::choose(1, 1_000_000))
            ->then(function (int $count, int $seed): void {
                mt_srand($seed);
                $cars = $this->someCars($count);
                $effects = Effect::all($cars);
                foreach ($effects as $effect) {
                    self::assertSame([], array_intersect($effect->cars(), array_column($effect->left, 'id')));
                    self::assertTrue($effect->interval === null || $effect->interval->contains($effect->mean), "{$effect->key()} {$seed}");
                    $shares = $effect->shares();
                    if ($shares !== null) {
                        $parts = array_sum(array_map(static fn(AllowedFor $each): float => $each->makes, $shares->others));
                        self::assertEqualsWithDelta($shares->total(), $shares->own + $parts + $shares->hands, 1e-9);
                    }
                    self::assertTrue(!$effect->isClear() || count($effect->cars()) > 2, 'two cars make no finding');
                    self::assertLessThanOrEqual(count($effect->cars()), $effect->groups());
                    self::assertTrue($effect->isPooled() || $effect->groups() < 4 || $effect->hangsOnOneGroup());
                }
                $claims = Claims::of($effects, null, ['distance' => 2.0]);
                $next = NextTest::propose(
                    $cars,
                    $effects,
                    $claims,
                    null,
                    static fn(): bool => true,
                    static fn(ComparedCar $car, CarAttribute $attribute, float|string $to): float => 0.3,
                );
                if ($next !== null) {
                    self::assertGreaterThanOrEqual($next->showsM, abs($next->expectsM), 'what is proposed can show');
                    foreach ($next->changes as $change) {
                        self::assertFalse(Difference::isSame($next->factor, $change->from, $change->to), 'the next test changes something');
                        self::assertSame($change->from, $change->car->choices->explanation($next->factor));
                    }
                }
                $kept = new KeptInMemory();
                $model = new ByModel(ClassForecast::of([], Catalogue::standard(), null, null, null, $kept), $kept);
                $rulings = Ruling::all(
                    $cars,
                    $effects,
                    $claims,
                    $model,
                    null,
                );
                $sources = array_map(static fn(ComparedCar $car): EnergySource => $car->choices->source() ?? EnergySource::Balloon, $cars);
                $concerned = array_filter(Belief::cases(), static fn(Belief $belief): bool => $cars === [] || $belief->concerns($sources));
                self::assertCount(
                    count($concerned),
                    array_unique(array_map(static fn(Ruling $ruling): string => $ruling->belief->value, $rulings)),
                );
                foreach ($rulings as $ruling) {
                    self::assertTrue($ruling->isSupported === null || $ruling->varies, 'nothing is supported where nothing varies');
                    self::assertTrue(
                        $ruling->isSupported === null || $ruling->answer->isTold(),
                    );
                }
            });
    }

    public function testTheOrderOfTheCarsChangesNoEffect(): void
    {
        $this->limitTo(60)
            ->forAll(Generators::choose(2, 10), Generators::choose(1, 1_000_000))
            ->then(function (int $count, int $seed): void {
                mt_srand($seed);
                $cars = $this->someCars($count);
                $said = static fn(array $of): array => array_map(
                    static fn(Effect $effect): string => "{$effect->key()} " . sprintf('%.8g', $effect->perUnit()),
                    Effect::all($of),
                );
                $one = $said($cars);
                $other = $said(array_reverse($cars));
                sort($one);
                sort($other);
                self::assertSame($one, $other);
            });
    }

    public function testChancesAddUpAndTheCertainFirstIsCertain(): void
    {
        $this->limitTo(60)
            ->forAll(
                Generators::choose(1, 6),
                Generators::choose(1, 1_000_000),
                Generators::elements(Scoring::cases()),
                Generators::elements(Goal::Farthest, Goal::NearestMark),
            )
            ->then(function (int $groups, int $seed, Scoring $scoring, Goal $goal): void {
                mt_srand($seed);
                $award = new Award($goal, 2.0);
                $entrants = [];
                for ($group = 0; $group < $groups; $group++) {
                    $tries = mt_rand(1, 4);
                    $entrants[] = new Entrant(
                        "g{$group}",
                        new Tries(
                            array_map(
                                static fn(int $try): Run => new Run("{$group}-{$try}", $try, mt_rand(50, 400) / 100),
                                range(1, $tries),
                            ),
                            $tries,
                        ),
                    );
                }
                $standings = Standings::of($entrants, $award, $scoring);
                $chances = ChanceOfFirst::of($standings, $seed, 200);
                self::assertSame($standings->scatter === null, $chances === []);
                self::assertEqualsWithDelta($chances === [] ? 0.0 : 1.0, array_sum($chances), 1e-9);
                foreach ($chances as $chance) {
                    self::assertGreaterThanOrEqual(0.0, $chance);
                }
                if ($groups === 1 && $chances !== []) {
                    self::assertSame([1.0], array_values($chances));
                }
            });
    }

    public function testOutliersAreAmongTheTriesTheyAreNamedOf(): void
    {
        $this->limitTo(80)->forAll(Generators::choose(1, 8), Generators::choose(1, 1_000_000))->then(function (int $cars, int $seed): void {
            mt_srand($seed);
            $samples = [];
            for ($car = 0; $car < $cars; $car++) {
                $samples["c{$car}"] = new Sample(
                    array_map(
                        static fn(int $try): float => mt_rand(0, 9) === 0 ? mt_rand(0, 900) / 100 : 2.0 + mt_rand(-10, 10) / 100,
                        range(1, mt_rand(1, 5)),
                    ),
                );
            }
            foreach (Outlier::among($samples) as $car => $found) {
                foreach ($found as $outlier) {
                    self::assertSame($samples[$car]->values[$outlier->index], $outlier->value);
                    self::assertGreaterThan($outlier->critical, abs($outlier->t));
                }
            }
        });
    }

    /** Whatever is measured and whatever is not, the two blocks of a car have the same area. */
    public function testPushTimesTheStretchIsHoldTimesTheDistance(): void
    {
        $this->limitTo(80)
            ->forAll(Generators::choose(4, 12), Generators::choose(25, 120), Generators::choose(5, 120), Generators::choose(0, 7))
            ->then(function (int $bore, int $mass, int $friction, int $known): void {
                $run = Simulator::run(
                    Settings::of(
                        ['nozzle_bore' => $bore / 1000, 'mass' => $mass / 1000, 'rolling_coefficient' => $friction / 1000],
                    )->design(),
                );
                if (!$run->moves) {
                    return;
                }
                $stretch = $run->driveEnd->distanceM ?? $run->distanceM;
                $work = Work::of(
                    $run->energy,
                    $run->distanceM,
                    $stretch,
                    $known % 2 === 0 ? null : 1.1 * $run->distanceM,
                    null,
                    ($known & 2) > 0,
                    ($known & 4) > 0,
                );
                self::assertEqualsWithDelta($work->holdN * $work->distanceM, $work->pushN * $work->stretchM, 1e-9);
                self::assertSame(
                    1,
                    count(array_filter(
                        [$work->push, $work->stretch, $work->hold, $work->distance],
                        static fn(Known $each): bool => $each === Known::WorkedOut,
                    )),
                    'one edge is worked out from the other three',
                );
                self::assertGreaterThanOrEqual($work->holdN * (1 - 1e-9), $work->pushN);
                if ($known === 0) {
                    // By the model alone the edge that is worked out is what the model has.
                    self::assertEqualsWithDelta(
                        ($run->energy->rolling + $run->energy->drag + $run->energy->carriedOff) / $run->distanceM,
                        $work->holdN,
                        0.002 * $work->holdN,
                    );
                }
            });
    }

    /** @return list<ComparedCar> cars of few sizes, so that some are alike; now and then something is not on record */
    private function someCars(int $count): array
    {
        $cars = [];
        for ($car = 0; $car < $count; $car++) {
            $quantities = [];
            foreach (
                [
                    [CarAttribute::NozzleBore, [0.006, 0.008, 0.01]], [CarAttribute::Mass, [0.05, 0.06, 0.08]],
                    [CarAttribute::WheelDiameter, [0.03, 0.06]], [CarAttribute::EndPlay, [0.001, 0.002]],
                    [CarAttribute::BalloonSize, [0.2]],
                ] as [$choice, $values]
            ) {
                if (mt_rand(0, 9) > 0) {
                    $value = $values[mt_rand(0, count($values) - 1)];
                    $quantities[$choice->value] = new Entry(Quantity::fromSi($value, $choice->dimension()), (string) $value);
                }
            }
            $kinds = mt_rand(0, 3) > 0
                ? [CarAttribute::WheelMount->value => ['fixed to the axle', 'spinning on the axle'][mt_rand(0, 1)]]
                : [];
            $cars[] = new ComparedCar(
                "c{$car}",
                'g' . intdiv($car, 2),
                1 + $car % 2,
                new Car($quantities, [CarAttribute::NozzleOutlets->value => mt_rand(0, 4) > 0 ? 1 : 3], $kinds),
                new Sample(array_map(static fn(int $try): float => mt_rand(50, 500) / 100, range(1, mt_rand(1, 4)))),
            );
        }

        return $cars;
    }
}

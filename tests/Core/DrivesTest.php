<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BandCurve;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Change;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Geometry\Fault;
use Skivo\Core\Car\Geometry\Faults;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Diagnosis\Cause;
use Skivo\Core\Diagnosis\Diagnosis;
use Skivo\Core\Diagnosis\Likelihood;
use Skivo\Core\Diagnosis\Symptom;
use Skivo\Core\Exchange\ClassReader;
use Skivo\Core\Findings\Answer;
use Skivo\Core\Findings\Dose;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\SourceUse;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\DrivenAxle;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Ramp;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Coast;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\ElasticDesign;
use Skivo\Core\Simulation\EnergyStory;
use Skivo\Core\Simulation\LargerCar;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;

/** Band, ramp and balloon as what drives a car: what is recorded, computed, measured and found wrong of each. */
final class DrivesTest extends TestCase
{
    public function testARampGivesItsHeightLessWhatRollingTakes(): void
    {
        $vehicle = new Vehicle(0.06, 0.05, 0.004, 1.2, 0.003);
        $ramp = new Ramp(0.15, 0.6);
        // m·g·(h − f·d) = 0.06 · 9.80665 · (0.15 − 0.03) = 0.0706079 J, of which ½·0.064·v².
        self::assertEqualsWithDelta(sqrt(2 * 0.0706079 / 0.064), $ramp->speedMS($vehicle, 0.064), 1e-6);
        self::assertSame(0.0, (new Ramp(0.03, 0.6))->speedMS($vehicle, 0.064), 'gentler than its friction');
        $run = Coast::run($vehicle, new Air(), $ramp->speedMS($vehicle, 0.064), $ramp, true);
        self::assertEqualsWithDelta(0.06 * 9.80665 * 0.15, $run->energy->potential, 1e-12);
        self::assertEqualsWithDelta(
            $run->energy->potential,
            $run->energy->rolledOnRamp() + $run->energy->moved(),
            1e-9,
            'the ledger closes',
        );
        self::assertEqualsWithDelta(0.05 * 0.06 * 9.80665 * 0.6, $run->energy->rolledOnRamp(), 1e-6);
        $last = $run->trajectory[count($run->trajectory) - 1];
        self::assertEqualsWithDelta([$run->distanceM, $run->stopTimeS, 0.0], [$last->distanceM, $last->timeS, $last->speedMS], 1e-9);
        self::assertEqualsWithDelta(0.7, $run->timeAt(0.4) ?? 0.0, 0.5);
    }

    /** The closed form beside the integrator that runs balloons, with a balloon that is empty and has no drag. */
    public function testRollingOutAgreesWithTheIntegrator(): void
    {
        foreach ([[0.05, 1.5, 0.003], [0.01, 2.5, 0.02], [0.2, 0.4, 0.0005], [0.004, 3.0, 0.05]] as [$friction, $speed, $drag]) {
            $vehicle = new Vehicle(0.05, $friction, 0.003, 1.0, $drag);
            $ode = Simulator::run(
                new Design(
                    new Balloon(0.01, 5e-5, 0.01, dragCoefficient: 0.0),
                    new Nozzle([new Tube(0.006)]),
                    $vehicle,
                    startSpeedMS: $speed,
                ),
                1e-9,
            );
            $closed = Coast::run($vehicle, new Air(), $speed);
            self::assertEqualsWithDelta(1.0, $closed->distanceM / $ode->distanceM, 2e-5);
            self::assertEqualsWithDelta(1.0, $closed->stopTimeS / $ode->stopTimeS, 2e-5);
            self::assertEqualsWithDelta($ode->energy->drag, $closed->energy->drag, 1e-4 * $closed->energy->start);
        }
        $still = Coast::run(new Vehicle(0.05, 0.05), new Air(), 0.0);
        self::assertSame([false, 0.0, 0.0], [$still->moves, $still->distanceM, $still->stopTimeS]);
    }

    public function testALeakAndAPinchCostDistanceAndBreathALittle(): void
    {
        $usual = Settings::of(['rolling_coefficient' => 0.06, 'balloon_size' => 0.22]);
        $far = static fn(Settings $settings): float => $settings->run()->distanceM;
        self::assertLessThan($far($usual), $far($usual->with(CarAttribute::Leak, 5e-6)));
        self::assertLessThan($far($usual), $far($usual->with(CarAttribute::ReleaseLoss, 1.0)));
        $breath = $far($usual->with(CarAttribute::FilledBy, 1.0)) / $far($usual);
        self::assertEqualsWithDelta(0.96, $breath, 0.03, 'a few percent');
        self::assertNotSame(1.0, $breath);
        // The leak of the airtight check empties the balloon by what was lost in ten seconds.
        $model = CarModel::of(self::built(['balloon_size' => '20 cm', 'nozzle_bore' => '8 mm', 'mass' => '60 g']), Catalogue::standard());
        self::assertSame($model, $model->leaking(null));
        $leaking = $model->leaking(0.01)->settings->design();
        $pressure = $leaking->balloon->gaugePressurePa(0.195);
        $lost = M_PI / 6 * (0.2 ** 3 - 0.19 ** 3);
        self::assertEqualsWithDelta($lost / 10.0, $leaking->leakAreaM2 * sqrt(2 * $pressure / $leaking->air->densityKgM3()), 1e-12);
    }

    /** ∫p dV by a sum over ten thousand shells. */
    public function testTheWorkOfFillingABalloon(): void
    {
        $balloon = new Balloon(0.06, 0.00025, 0.2, 2);
        $sum = 0.0;
        for ($i = 0; $i < 10_000; $i++) {
            $at = 0.06 + 0.14 * ($i + 0.5) / 10_000;
            $sum += 2 * $balloon->gaugePressurePa($at) * M_PI / 2 * $at ** 2 * 0.14 / 10_000;
        }
        self::assertEqualsWithDelta(1.0, $balloon->storedJ() / $sum, 1e-6);
        self::assertSame(0.0, (new Balloon(0.06, 0.00025, 0.06))->storedJ());
    }

    public function testACarsSourceDecidesWhatItsModelIsMadeOf(): void
    {
        $band = self::band();
        $model = CarModel::of($band, Catalogue::standard(), 'varnished wood');
        self::assertSame([EnergySource::ElasticBand, []], [$model->source(), $model->missing]);
        $design = $model->settings->elasticDesign();
        self::assertEqualsWithDelta(
            [0.11, 1.6e-6, 24.0, 0.0019],
            [$design->band->relaxedLengthM, $design->band->sectionAreaM2, $design->band->turns, $design->drive->axleRadiusM],
            1e-12,
            'two loops of 5.5 cm, two strands of 1 mm by 0.8 mm, wound round 3 mm and half a strand',
        );
        self::assertSame(0.80, $design->drive->staticFriction, 'rubber on the rims');
        // Hook 5 mm from the front of 15 cm, rear axle by wheelbase in the middle.
        self::assertEqualsWithDelta(0.145 - 0.0335, $design->band->installedLengthM, 1e-9);
        self::assertArrayNotHasKey('nozzle_bore', $model->origins);
        $loaded = CarModel::of(
            $band->with(CarAttribute::Ballast, 0.02)->with(CarAttribute::Mass, 0.076),
            Catalogue::standard(),
        )->settings->elasticDesign();
        self::assertGreaterThan(
            $design->drive->loadShare,
            $loaded->drive->loadShare,
            'ballast lies over the driven axle unless it is said',
        );
        $missing = CarModel::of(new Car([], [], ['energy_source' => 'elastic band']), Catalogue::standard());
        self::assertSame([CarAttribute::ChainLength, CarAttribute::TurnsWound], $missing->missing);
        self::assertSame(
            [CarAttribute::RampHeight],
            CarModel::of(new Car([], [], ['energy_source' => 'ramp']), Catalogue::standard())->missing,
        );
        // Wound past what rubber stands: nothing is computed of it, and it says by what.
        try {
            CarModel::of($band->with(CarAttribute::TurnsWound, '200'), Catalogue::standard());
            self::fail('It was computed.');
        } catch (BeyondModelException $found) {
            self::assertSame(['turns_wound'], array_keys($found->beyond));
            self::assertSame(200.0, $found->beyond['turns_wound']->value);
            self::assertLessThan(200.0, $found->beyond['turns_wound']->greatest);
        }
    }

    public function testWhatIsLeftOfAnotherDriveSaysNothing(): void
    {
        $was = self::built(['nozzle_bore' => '8 mm', 'balloon_size' => '20 cm', 'mass' => '58 g', 'wheel_diameter' => '32 mm']);
        $is = self::band()->completedBy($was);
        self::assertNull($is->explanation(CarAttribute::NozzleBore));
        self::assertSame(24.0, $is->explanation(CarAttribute::TurnsWound));
        self::assertNull($was->explanation(CarAttribute::TurnsWound));
        self::assertSame(
            [CarAttribute::EnergySource],
            Change::made(
                $was,
                $was->with(CarAttribute::EnergySource, 'elastic band')
                    ->with(CarAttribute::TurnsWound, '20')
                    ->with(CarAttribute::Mass, 0.05),
            ),
        );
        foreach (CarAttribute::cases() as $attribute) {
            $of = array_filter(EnergySource::cases(), $attribute->belongsTo(...));
            self::assertNotSame([], $of, $attribute->value);
            self::assertSame($attribute->isOfTheDrive(), count($of) < count(EnergySource::cases()), $attribute->value);
        }
    }

    public function testAWindingsFaultsAreFoundAndNoOthers(): void
    {
        $keys = static fn(Car $car): array => array_map(
            static fn(Fault $fault): string => $fault->key,
            (new Faults($car, Catalogue::standard()))->all(),
        );
        self::assertSame([], $keys(self::band()));
        self::assertContains('chain-too-long', $keys(self::band(['band_length' => '8 cm'])));
        self::assertContains('chain-too-short', $keys(self::band(['band_length' => '5 mm'], ['turns_wound' => 1])));
        self::assertContains('wound-too-far', $keys(self::band([], ['turns_wound' => 40])));
        self::assertContains('band-tied', $keys(self::band([], [], ['band_end' => 'tied'])));
        self::assertContains('hook-pulls-out', $keys(self::band(['hook_place' => '1 mm'])));
        self::assertContains('hook-to-one-side', $keys(self::band(['hook_offset' => '20 mm', 'track' => '9 cm'])));
        self::assertContains('driven-wheels-spin', $keys(self::band([], [], ['wheel_mount' => 'spinning on the axle'])));
        self::assertContains('band-rubs', $keys(self::band(['chassis_height' => '0.5 mm', 'bearing_bore' => '8 mm'])));
        self::assertNotContains('wound-too-far', $keys(self::built(['nozzle_bore' => '8 mm'])));
    }

    public function testADiagnosisOfSpinningWheelsSaysHowManyGramsCureIt(): void
    {
        $car = self::band([], ['turns_wound' => 30], ['tyre' => 'none']);
        $causes = (
            new Diagnosis($car, new CheckCard([], source: EnergySource::ElasticBand), Catalogue::standard(), 'varnished wood')
        )->of(Symptom::WheelsSpin);
        $of = static function (string $key) use ($causes): Cause {
            $found = array_values(array_filter($causes, static fn(Cause $cause): bool => $cause->key === $key));

            return $found[0] ?? throw new \LogicException($key);
        };
        self::assertSame([Likelihood::Shown, 'too_little_weight'], [$causes[0]->likelihood, $causes[0]->key]);
        $design = CarModel::of($car, Catalogue::standard(), 'varnished wood')->settings->elasticDesign();
        self::assertTrue($design->slipsAtFirst());
        $ballast = $design->ballastToHoldKg();
        self::assertNotNull($ballast);
        self::assertSame($ballast, $of('too_little_weight')->cure?->values['ballast']->si ?? null);
        // With that much over the driven axle it holds; with a gram less it does not.
        $with = static function (float $more) use ($design): bool {
            $mass = $design->vehicle->massKg;
            $drive = $design->drive;

            return (
                new ElasticDesign(
                    $design->band,
                    new DrivenAxle(
                        $drive->axleRadiusM,
                        $drive->wheelRadiusM,
                        ($drive->loadShare * $mass + $more) / ($mass + $more),
                        $drive->staticFriction,
                        $drive->kineticFriction,
                        $drive->spinInertiaKgM2,
                    ),
                    new Vehicle(
                        $mass + $more,
                        $design->vehicle->rollingCoefficient,
                        $design->vehicle->wheelEquivalentMassKg,
                        1.2,
                        $design->vehicle->bodyDragAreaM2,
                    ),
                )
            )->slipsAtFirst();
        };
        self::assertSame([false, true], [$with($ballast + 1e-6), $with($ballast - 0.001)]);
        $turns = $design->turnsThatHold();
        self::assertNotNull($turns);
        self::assertSame([false, true], [$design->wound($turns - 0.01)->slipsAtFirst(), $design->wound($turns + 0.01)->slipsAtFirst()]);
        self::assertEqualsWithDelta(
            1.0,
            $design->pullThatSlips()[0] - $design->pullThatSlips()[1] * $design->vehicle->rollingCoefficient,
            1.0,
        );
        self::assertSame(
            Likelihood::Unlikely,
            (
                new Diagnosis(self::band(), new CheckCard([]), Catalogue::standard(), 'varnished wood')
            )->of(Symptom::BandBrakes)[2]->likelihood,
        );
        self::assertNotContains(Symptom::Hisses, Symptom::of(EnergySource::ElasticBand));
        self::assertNotContains(Symptom::WheelsSpin, Symptom::of(EnergySource::Balloon));
    }

    public function testTheBenchReadsPullGripAndLoad(): void
    {
        $model = CarModel::of(self::band(), Catalogue::standard(), 'varnished wood');
        $band = $model->settings->elasticDesign();
        $grams = static fn(float $newtons): float => $newtons / 9.80665;
        $readings = [];
        foreach ([4.0, 10.0, 16.0, 24.0] as $turns) {
            $pull = 0.9 * $band->band->pullN($band->drive->woundM($turns));
            $readings[] = [$turns, $grams($pull), $grams(0.8 * $pull)];
        }
        $weight = 0.056 * 9.80665;
        $forces = Forces::of($model, [
            BenchTest::LoadShare->value => [[0.034, 0.022]],
            BenchTest::Grip->value => [
                [
                    $grams(0.7 * $weight * 0.034 / 0.056 + $model->settings->rollingCoefficient() * $weight * 0.022 / 0.056),
                    $grams(0.5 * $weight * 0.034 / 0.056 + $model->settings->rollingCoefficient() * $weight * 0.022 / 0.056),
                ],
            ],
            BenchTest::BandPull->value => $readings,
        ]);
        $settings = $forces->model->settings;
        self::assertEqualsWithDelta(
            [0.034 / 0.056, 0.7, 0.5 / 0.7, 0.9, 0.8],
            [
                $settings->get(CarAttribute::DrivenLoadShare), $settings->get(CarAttribute::Grip),
                $settings->get(CarAttribute::GripSliding), $settings->get(CarAttribute::BandStiffness),
                $settings->get(CarAttribute::ReturnedFraction),
            ],
            1e-6,
        );
        self::assertTrue($forces->thrustIsMeasured());
        // The area under the pull is the work of winding: by trapezia a little more than the curve's own.
        $stored = 0.9 * $band->band->storedJ($band->drive->woundM(24.0));
        self::assertEqualsWithDelta(1.0, ($forces->band->storedJ ?? 0.0) / $stored, 0.05);
        self::assertEqualsWithDelta(0.8, ($forces->band->returnedJ ?? 0.0) / ($forces->band->storedJ ?? 1.0), 1e-9);
        self::assertNull(BandCurve::of([], $model));
        self::assertNull(BandCurve::of([[4.0, 0.1, 0.08]], $model)?->storedJ, 'one count is no curve');
        self::assertNull(BandCurve::of([[4.0, 0.1, 0.08]], CarModel::of(new Car(), Catalogue::standard())), 'a balloon has none');
    }

    public function testTheEnergyOfABandsRunIsToldAndCloses(): void
    {
        foreach ([24.0, 34.0] as $turns) {
            $run = CarModel::of(
                self::band(),
                Catalogue::standard(),
                'varnished wood',
            )->settings->with(CarAttribute::RollingCoefficient, 0.08)
                ->with(CarAttribute::TurnsWound, $turns)
                ->run(withTrajectory: true);
            $story = EnergyStory::of($run);
            self::assertNotNull($story);
            self::assertEqualsWithDelta([1.0, 0.0], [$story->moments[0]['balloon'], $story->moments[0]['warm']], 1e-6);
            foreach ($story->moments as $moment) {
                self::assertEqualsWithDelta(1.0, array_sum([$moment['balloon'], $moment['moving'], $moment['warm']]), 1e-6);
            }
            $distances = array_map(static fn($moment): float => $moment->distanceM, $run->trajectory);
            $sorted = $distances;
            sort($sorted);
            self::assertEqualsWithDelta($sorted, $distances, 1e-9, 'it never rolls back');
            self::assertEqualsWithDelta($run->distanceM, max($distances), 1e-6);
        }
    }

    public function testALargerCarNeedsMoreThanItGets(): void
    {
        $car = Settings::of(['rolling_coefficient' => 0.06, 'balloon_size' => 0.22]);
        $small = LargerCar::of($car, 1.0, 0.0, 10.0);
        $large = LargerCar::of($car, 8.0, 40.0, 10.0);
        self::assertTrue($small->starts());
        self::assertEqualsWithDelta(8.0, $large->thrustN / $small->thrustN, 1e-9, 'the push grows with the size');
        self::assertEqualsWithDelta(512.0 * $small->massKg + 40.0, $large->massKg, 1e-9, 'the mass with its cube');
        self::assertEqualsWithDelta(1 / 8, $large->pressurePa / $small->pressurePa, 1e-12);
        self::assertEqualsWithDelta(512.0, $large->fillingS / $small->fillingS, 1e-9);
        self::assertFalse($large->starts());
        self::assertEqualsWithDelta($large->thrustN, $large->couldStartKg() * 9.80665 * 0.06 * 1.2, 1e-9);
        self::assertGreaterThan(50.0, $large->shortBy());
    }

    public function testTurnsAreLoggedSweptAndTold(): void
    {
        self::assertSame('14 turns', (new Inflation(InflationKind::Turns, null, 14))->asWritten());
        $read = Inflation::read('14 turns', new QuantityReader(), UnitSystem::Metric);
        self::assertSame([InflationKind::Turns, 14], [$read->kind, $read->strokes]);
        self::assertSame([InflationKind::Turns], InflationKind::of([EnergySource::ElasticBand]));
        // More turns go farther until the wheels spin: 20 turns are best.
        $runs = [];
        foreach ([8, 14, 20, 26, 32, 32, 26, 20, 14, 8] as $index => $turns) {
            $runs[] = new Run("r{$index}", $index + 1, 4.0 - (($turns - 20) / 8) ** 2 + 0.03 * ($index % 3 - 1), turns: (float) $turns);
        }
        [$dose] = Dose::all(['a' => new Tries($runs, 10)]);
        self::assertSame(CarAttribute::TurnsWound, $dose->of);
        self::assertEqualsWithDelta(20.0, $dose->best, 0.5);
    }

    /** By the door for classes of others: a class with both drives, compared. */
    public function testSourcesOfEnergyStandSideBySide(): void
    {
        $cars = [];
        foreach ([[2.9, 4.4], [3.4, 4.9], [2.6, 4.3], [3.1, 5.2]] as $index => [$blown, $wound]) {
            $same = ['mass' => 0.058, 'wheel_kind' => 'bottle caps', 'wheel_diameter' => 0.032];
            $runs = static fn(float $far): array => [['distance_m' => $far], ['distance_m' => 1.04 * $far], ['distance_m' => 0.97 * $far]];
            $cars[] = [
                'id' => "b{$index}", 'group' => "g{$index}", 'version' => 1,
                'attributes' => $same + ['energy_source' => 'balloon', 'nozzle_bore' => 0.008, 'balloon_filled' => 0.2],
                'runs' => $runs($blown),
            ];
            $cars[] = [
                'id' => "e{$index}", 'group' => "g{$index}", 'version' => 2,
                'attributes' => $same + [
                    'energy_source' => 'elastic band', 'band_length' => 0.055, 'bands_in_chain' => 2, 'band_width' => 0.001,
                    'band_thickness' => 0.0008, 'turns_wound' => 24, 'tyre' => 'rubber band',
                ],
                'runs' => $runs($wound),
            ];
        }
        $found = Findings::of(
            ClassReader::read(
                json_encode(
                    ['question' => ['attribute' => 'energy_source', 'from' => 'balloon', 'to' => 'elastic band'], 'cars' => $cars],
                    JSON_THROW_ON_ERROR,
                ),
            ),
            new KeptInMemory(),
            50,
        );
        self::assertSame(Answer::More, $found->answer, 'what belongs to a drive is part of its effect');
        self::assertSame(
            [EnergySource::Balloon, EnergySource::ElasticBand],
            array_map(static fn(SourceUse $use): EnergySource => $use->source, $found->sources),
        );
        [$balloon, $band] = $found->sources;
        self::assertSame(4, count($band->cars));
        self::assertGreaterThan($balloon->distanceM->value, $band->distanceM->value);
        self::assertLessThan(0.08, $balloon->share->value ?? 1.0, 'nearly all of a balloon leaves with the jet');
        self::assertGreaterThan(0.3, $band->share->low ?? 0.0);
        self::assertGreaterThan($balloon->perJouleM->high ?? INF, $band->perJouleM->low ?? 0.0);
        foreach ($found->sources as $use) {
            foreach ([$use->distanceM, $use->putInJ, $use->share, $use->perJouleM, $use->perMetreJ()] as $likely) {
                self::assertTrue($likely !== null && $likely->low < $likely->value && $likely->value < $likely->high);
            }
        }
        self::assertSame(
            [],
            array_filter(
                Findings::of(
                    ClassReader::read(json_encode(['cars' => [$cars[0], $cars[2]]], JSON_THROW_ON_ERROR)),
                    new KeptInMemory(),
                    20,
                )->sources,
            ),
            'one source has nothing to stand beside',
        );
    }

    /**
     * @param array<string, string> $quantities
     * @param array<string, int> $counts
     * @param array<string, string> $kinds
     */
    private static function band(array $quantities = [], array $counts = [], array $kinds = []): Car
    {
        return self::built(
            $quantities + [
                'chassis_length' => '15 cm', 'wheelbase' => '8.3 cm', 'wheel_diameter' => '32 mm', 'mass' => '56 g',
                'band_length' => '5.5 cm', 'band_width' => '1 mm', 'band_thickness' => '0.8 mm', 'hook_place' => '5 mm',
                'winding_diameter' => '3 mm',
            ],
            $counts + ['bands_in_chain' => 2, 'turns_wound' => 24],
            $kinds + ['energy_source' => 'elastic band', 'tyre' => 'rubber band', 'band_end' => 'free'],
        );
    }

    /**
     * @param array<string, string> $quantities
     * @param array<string, int> $counts
     * @param array<string, string> $kinds
     */
    private static function built(array $quantities, array $counts = [], array $kinds = []): Car
    {
        $reader = new QuantityReader();
        $entries = [];
        foreach ($quantities as $key => $typed) {
            $entries[$key] = $reader->read(
                $typed,
                CarAttribute::from($key)->bareUnit(UnitSystem::Metric) ?? throw new \LogicException($key),
            );
        }

        return new Car($entries, $counts, $kinds, isset($entries['balloon_size']) ? SizeMeasure::Diameter : null);
    }
}

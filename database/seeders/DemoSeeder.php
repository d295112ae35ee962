<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Access\Actor;
use App\Actions\ChangeRun;
use App\Actions\RecordRaceEvent;
use App\Actions\SetRace;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Reading as SensorReading;
use App\Models\Run;
use App\Models\User;
use App\Pages\Race\RaceOffer;
use App\Record\ClassRecord;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use Ramsey\Uuid\Uuid;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\RaceEvent;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RacePlan;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Simulator;

/**
 * A made-up class on a made-up island: the junior workshop of the boathouse of Merrowsay sends eight cars
 * across six metres of varnished floor. The cars are invented; their runs are the run model's, with scatter.
 */
final class DemoSeeder extends Seeder
{
    public const EMAIL = 'demo@skivo.example';

    /**
     * By group: the versions of its car, each with bore, outlets, nozzle length, nozzle kind, balloon (cm,
     * or a circumference), mass, wheels, wheel diameter, mount, chassis.
     */
    private const CARS = [
        'Bowline' => [['8 mm', 1, '12 cm', 'wide straw', '20 cm', '58 g', 'bottle caps', '32 mm', 'turning', 'corrugated card']],
        'Halyard' => [['9 mm', 1, '12 cm', 'wide straw', '20 cm', '58 g', 'bottle caps', '32 mm', 'turning', 'corrugated card']],
        'Cleat' => [['7 mm', 1, '12 cm', 'wide straw', '20 cm', '60 g', 'bottle caps', '32 mm', 'turning', 'corrugated card']],
        'Fender' => [['7 mm', 1, '12 cm', 'wide straw', '63 cm around', '60 g', 'bottle caps', '32 mm', 'turning', 'corrugated card']],
        'Reef' => [
            ['6 mm', 1, '18 cm', 'drinking straw', '18 cm', '74 g', 'card discs', '60 mm', 'turning', 'corrugated card'],
            ['6 mm', 3, '12 cm', 'bundle of straws', '19 cm', '68 g', 'card discs', '60 mm', 'turning', 'corrugated card'],
            ['7 mm', 3, '12 cm', 'bundle of straws', '19 cm', '68 g', 'card discs', '60 mm', 'turning', 'corrugated card'],
        ],
        'Sheepshank' => [['6 mm', 1, '14 cm', 'drinking straw', '19.5 cm', '55 g', 'jar lids', '58 mm', 'still', 'foam board']],
        'Thimble' => [['6 mm', 1, '12 cm', 'wide straw', '20 cm', '59 g', 'bottle caps', '32 mm', 'turning', 'corrugated card']],
        'Keel' => [['5 mm', 1, '20 cm', 'drinking straw', '18.5 cm', '92 g', 'bottle caps', '30 mm', 'turning', 'plastic bottle']],
    ];

    /**
     * What no build sheet records and only a bench test would show: each car's rolling coefficient, made
     * larger than its parts' by glue, tape and crooked axles.
     */
    private const FRICTION = [
        'Bowline' => 0.115, 'Halyard' => 0.130, 'Cleat' => 0.112, 'Fender' => 0.110, 'Reef' => 0.055, 'Reef 2' => 0.105, 'Reef 3' => 0.090,
        'Sheepshank' => 0.095, 'Thimble' => 0.100, 'Keel' => 0.034,
    ];

    /** By how much each car's axles are out of parallel (°), to the left; a drift on the floor shows it. */
    private const CROOKED = [
        'Bowline' => 0.05, 'Halyard' => -0.02, 'Cleat' => 0.30, 'Fender' => -0.55, 'Reef' => 0.12, 'Reef 2' => 0.12, 'Reef 3' => 0.12,
        'Sheepshank' => -0.15, 'Thimble' => 0.08, 'Keel' => 0.20,
    ];

    /** By kind of chassis: length, width, thickness (cm). */
    private const CHASSIS = [
        'corrugated card' => [15, 7.5, 0.4], 'foam board' => [13, 10, 0.5], 'craft stick' => [15, 2, 0.2],
        'plastic bottle' => [20, 6.5, 6.5],
    ];

    /** By kind of wheel: thickness (mm), mass (g). */
    private const WHEELS = ['bottle caps' => [14, 2.5], 'jar lids' => [12, 10], 'card discs' => [3, 3], 'optical discs' => [1.2, 16]];

    /**
     * What was found on the check cards: turning time (s), end play, wobble (mm), size lost (mm), and whether the balloon clears, the
     * nozzle is straight, points are off.
     */
    private const CHECKS = [
        'Bowline' => ['4.5', '1.5', '0.5', '0', true, true, true],
        'Halyard' => ['3', '2', '1', '1', true, true, true],
        'Cleat' => ['5', '1', '0.5', '2', true, true, true],
        'Fender' => ['6', '2', '1', '0', true, true, true],
        'Reef 3' => ['2', '3', '4', '1', true, true, true],
        'Sheepshank' => ['7', '1.5', '2', '0', true, true, null],
        'Keel' => ['0.6', '0.2', '1', null, null, true, true],
    ];

    /** What the bench measured: on which cars a ramp and three roll-outs, a push on the scale, a spin. */
    private const BENCH = [
        'Bowline' => [BenchTest::Ramp, BenchTest::StaticThrust, BenchTest::Spin], 'Halyard' => [BenchTest::Ramp],
        'Cleat' => [BenchTest::Ramp],
        'Reef 3' => [BenchTest::Ramp, BenchTest::StaticThrust], 'Sheepshank' => [BenchTest::Ramp], 'Thimble' => [BenchTest::Ramp],
        'Keel' => [BenchTest::Ramp, BenchTest::StaticThrust],
    ];

    /** The class's pump: strokes, and the circumference that they made (cm). */
    private const PUMP = [[5, '44.5'], [10, '55.8'], [15, '63.4'], [20, '69.9']];

    /** What groups expected before their tries, in cm. */
    private const EXPECTED = [
        'Bowline' => [300, 340, 345], 'Halyard' => [500, 430, 425], 'Cleat' => [200, 250, 260], 'Reef' => [250, 180, 175],
        'Keel' => [400, 150], 'Thimble' => [350, 400, 380],
    ];

    /** From try to try a car's distance scatters by about so much of it. */
    private const SCATTER = 0.05;

    /** In the order in which they were run: the car, why the try is void, a note. */
    private const RUNS = [
        ['Bowline', null, null], ['Halyard', null, null], ['Cleat', null, null], ['Fender', null, null],
        ['Reef', null, null], ['Sheepshank', null, null], ['Thimble', null, null], ['Keel', null, null],
        ['Bowline', null, null], ['Halyard', null, null],
        ['Cleat', VoidReason::HitSomething, 'met the bench leg'],
        ['Fender', null, null],
        ['Reef', VoidReason::WheelOff, 'front left; glued again'],
        ['Sheepshank', null, null], ['Thimble', null, null], ['Keel', null, null], ['Cleat', null, null],
        ['Reef', null, null], ['Bowline', null, null],
        ['Halyard', null, 'straightest run of the day'],
        ['Reef', null, null], ['Sheepshank', null, null], ['Thimble', null, null],
        ['Keel', VoidReason::NoStart, 'straw pinched'],
        ['Reef 2', null, null], ['Cleat', null, null], ['Reef 2', null, null],
        ['Fender', VoidReason::BalloonOff, null], ['Reef 2', null, null], ['Reef 3', null, null], ['Reef 3', null, null],
    ];

    /** The number by which the demo's race was drawn. */
    private const LOT = 41_782;

    private Chance $chance;

    /** What is measured beside the runs has a chance of its own, so that the runs stay as they are. */
    private Chance $beside;

    private User $educator;

    public function run(ChangeRun $change): void
    {
        $educator = User::query()->create([
            'name' => 'Demo educator',
            'email' => self::EMAIL,
            'password' => (string) (getenv('DEMO_PASSWORD') ?: throw new \LogicException('DEMO_PASSWORD is not set.')),
        ]);
        $challenge = $this->challenge($educator);
        $this->educator = $educator;
        $cars = $this->cars($challenge);
        foreach (self::CHECKS as $name => $found) {
            $this->check($cars[$name], $educator, self::CROOKED[$name], ...$found);
        }
        $time = CarbonImmutable::parse('2026-05-08 09:30:00 UTC');
        $this->chance = new Chance(2026);
        $this->beside = new Chance(58);
        foreach (self::BENCH as $name => $tests) {
            $this->measure($cars[$name], $name, $educator, $tests);
        }
        foreach (self::PUMP as [$strokes, $around]) {
            $challenge->pumpReadings()->create(
                ['strokes' => $strokes, 'size' => $this->entry($around, Unit::Centimetre), 'measured_as' => SizeMeasure::Circumference],
            );
        }
        $time = $this->tries($cars, $educator, $change, $time);
        $this->race($challenge, $educator, $time->addMinutes(20));
        (new DemoDrives($educator))->fill(CarbonImmutable::parse('2026-05-15 09:00:00 UTC'));
        (new DemoNotebooks())->fill($challenge, $educator, CarbonImmutable::parse('2026-05-08 09:00:00 UTC'), $time->addMinutes(6));
    }

    private function challenge(User $educator): Challenge
    {
        $challenge = $educator->challenges()->create([
            'name' => 'Cross the Slipway',
            'question' => 'Does a wider nozzle carry the car farther?',
            'asks' => CarAttribute::NozzleBore,
            'goal' => Goal::Farthest,
            'scoring' => Scoring::Mean,
            'tries' => 3,
            'lane_length' => $this->entry('6 m', Unit::Metre),
            'timed_length' => $this->entry('1 m', Unit::Metre),
            'surface' => 'varnished wood',
            'units' => UnitSystem::Metric,
            'awards' => [Goal::Fastest->value, Goal::Straightest->value],
            'lanes' => 2,
            'air_temperature_c' => 18.0,
            'air_temperature_entered' => '18 °C',
            'most_balloons' => 1,
            'heaviest' => $this->entry('90 g', Unit::Gram),
            'safety_read_at' => CarbonImmutable::parse('2026-05-04 16:00:00 UTC'),
        ]);
        $challenge->update(['safety_read' => array_column(Caution::cases(), 'value')]);
        $challenge->sessionPlan()->fill(['starts_at' => '2026-05-08 08:00', 'session_min' => 150, 'tries_again' => 1])->save();

        return $challenge;
    }

    /** @return array<string, Car> by the name of the group, and the version where it is not the first */
    private function cars(Challenge $challenge): array
    {
        /** @var array<string, Car> $cars */
        $cars = [];
        foreach (self::CARS as $name => $versions) {
            $position = count($cars) + 1;
            $group = $challenge->groups()->create(
                ['name' => $name, 'mark' => Mark::all()[$challenge->groups()->count()], 'position' => $position],
            );
            foreach ($versions as $index => $choices) {
                $car = $this->car($group, $index + 1, $choices);
                $cars[$index === 0 ? $name : "{$name} " . ($index + 1)] = $car;
            }
        }

        return $cars;
    }

    /**
     * @param array<string, Car> $cars
     *
     * @return CarbonImmutable when the last was logged
     */
    private function tries(array $cars, User $educator, ChangeRun $change, CarbonImmutable $time): CarbonImmutable
    {
        foreach (self::RUNS as [$name, $void, $note]) {
            [$distance, $seconds, $drift, $limp] = $void === null ? $this->ran($cars[$name], $name) : [null, null, null, null];
            $this->expect($cars[$name], $name, $time);
            $this->log($cars[$name], $time, $distance, $seconds, $drift, $void, $note, $limp);
            $time = $time->addSeconds(95);
        }
        // A slip of the pen, mended.
        [$distance, $seconds, $drift] = $this->ran($cars['Reef 3'], 'Reef 3');
        $run = $this->log($cars['Reef 3'], $time, strrev($distance), $seconds, $drift, null, null);
        $change->edit(
            $run,
            Actor::at($educator),
            $cars['Reef 3']->group,
            fn(): RunRecord => new RunRecord(
                $this->entry($distance, Unit::Centimetre),
                $run->time,
                note: 'tape misread at first',
                drift: $run->drift,
                side: $run->drift_side,
            ),
        );
        $run->changes()->update(['made_at' => $time->addMinute()]);
        $this->watch($cars['Reef 3'], $run->refresh(), $time);

        return $time;
    }

    /** A knockout at the end of the day, drawn by lot; the car that goes farther wins each heat, but for one. */
    private function race(Challenge $challenge, User $educator, CarbonImmutable $time): void
    {
        $groups = array_values($challenge->groups()->get()->map(static fn(Group $group): int => $group->id)->all());
        $plan = new RacePlan(RaceKind::Knockout, RaceOffer::byLot($groups, self::LOT), lengthM: 1.0, lanes: 2, lot: self::LOT);
        $race = app(SetRace::class)($challenge, $plan, $this->entry('1 m', Unit::Metre))->setRelation('challenge', $challenge);
        $order = array_flip(RaceOffer::bySeed(ClassRecord::of($challenge), $groups));
        for ($heat = 0; ($now = $race->load('events')->state()->now) !== []; $heat++) {
            [$one, $other] = [(string) $now[0]->a, (string) $now[0]->b];
            $isOne = ($order[$one] < $order[$other]) !== ($heat === 1);
            app(RecordRaceEvent::class)(
                $race,
                new RaceEvent(
                    Uuid::uuid5(Uuid::NAMESPACE_OID, "demo heat {$heat}")->toString(),
                    EventKind::Won,
                    $now[0]->key,
                    $isOne ? $one : $other,
                    $isOne ? $other : $one,
                ),
                null,
                0,
                $time->addMinutes(3 * $heat),
                Actor::at($educator),
            );
        }
        $race->forceFill(['created_at' => $time->subMinutes(2), 'ended_at' => $time->addMinutes(3 * $heat)])->save();
    }

    /** @param array{string, int, string, string, string, string, string, string, string, string} $choices */
    private function car(Group $group, int $version, array $choices): Car
    {
        [$bore, $outlets, $length, $kind, $balloon, $mass, $wheels, $diameter, $axle, $chassis] = $choices;
        $around = str_ends_with($balloon, ' around');
        $car = $group->cars()->make([
            'version' => $version,
            'reason' => [
                2 => 'Three straws push harder than one, and the axle rubbed less without the extra card.',
                3 => 'Only the straws are wider now, to see what that does.',
            ][$version] ?? null,
        ]);
        [$chassisLength, $chassisWidth, $chassisHeight] = self::CHASSIS[$chassis];
        [$thickness, $wheelMass] = self::WHEELS[$wheels];
        $sizes = new CutSizes($chassisWidth / 100, $thickness / 1000);
        $millimetres = static fn(float $metres): string => number_format(1000 * $metres) . ' mm';
        $car->choices = new Choices(
            [
                CarAttribute::ChassisLength->value => $this->entry("{$chassisLength} cm", Unit::Centimetre),
                CarAttribute::ChassisWidth->value => $this->entry("{$chassisWidth} cm", Unit::Centimetre),
                CarAttribute::ChassisHeight->value => $this->entry("{$chassisHeight} cm", Unit::Centimetre),
                CarAttribute::Wheelbase->value => $this->entry(
                    number_format(max(0.55 * $chassisLength, (float) $diameter / 10 + 1), 1) . ' cm',
                    Unit::Centimetre,
                ),
                CarAttribute::Track->value => $this->entry($millimetres($sizes->trackM()), Unit::Millimetre),
                CarAttribute::AxleDiameter->value => $this->entry('3 mm', Unit::Millimetre),
                CarAttribute::AxleLength->value => $this->entry($millimetres($sizes->axleLengthM()), Unit::Millimetre),
                CarAttribute::BearingBore->value => $this->entry('5 mm', Unit::Millimetre),
                CarAttribute::BearingLength->value => $this->entry($millimetres($sizes->bearingLengthM()), Unit::Millimetre),
                CarAttribute::WheelThickness->value => $this->entry("{$thickness} mm", Unit::Millimetre),
                CarAttribute::WheelMass->value => $this->entry("{$wheelMass} g", Unit::Gram),
                CarAttribute::NozzleBore->value => $this->entry($bore, Unit::Millimetre),
                CarAttribute::NozzleLength->value => $this->entry($length, Unit::Centimetre),
                CarAttribute::BalloonNominal->value => $this->entry('30 cm', Unit::Centimetre),
                CarAttribute::BalloonSize->value => $this->entry(str_replace(' around', '', $balloon), Unit::Centimetre),
                CarAttribute::Mass->value => $this->entry($mass, Unit::Gram),
                CarAttribute::WheelDiameter->value => $this->entry($diameter, Unit::Millimetre),
            ],
            [CarAttribute::NozzleOutlets->value => $outlets, CarAttribute::Balloons->value => 1, CarAttribute::BandTurns->value => 4],
            [
                CarAttribute::NozzleKind->value => $kind,
                CarAttribute::Bearing->value => 'bamboo skewer in a plastic straw',
                CarAttribute::Joint->value => 'elastic band',
                CarAttribute::WheelKind->value => $wheels,
                CarAttribute::WheelMount->value => ($axle === 'turning' ? WheelMount::Fixed : WheelMount::Spinning)->value,
                CarAttribute::Chassis->value => $chassis,
            ],
            $around ? SizeMeasure::Circumference : SizeMeasure::Diameter,
        );
        $car->save();
        $car->setRelation('group', $group);

        return $car;
    }

    /** @param list<BenchTest> $tests */
    private function measure(Car $car, string $name, User $educator, array $tests): void
    {
        $thrust = CarModel::of($car->choices, Catalogue::standard(), 'varnished wood')->settings->design()->firstThrustN();
        foreach ($tests as $test) {
            foreach ([1, 2, 3] as $repeat) {
                $around = fn(float $share): float => 1.0 + $share * $this->beside->normal();
                $reading = $car->benchReadings()->make(['test' => $test, 'user_id' => $educator->id]);
                $reading->put(match ($test) {
                    BenchTest::Ramp => [
                        $this->entry('12 cm', Unit::Centimetre),
                        $this->entry(number_format(12 / self::FRICTION[$name] * $around(0.05), 0, '.', '') . ' cm', Unit::Centimetre),
                    ],
                    BenchTest::StaticThrust => [
                        $this->entry(number_format(1000 * $thrust / 9.80665 * $around(0.06), 1, '.', '') . ' g', Unit::Gram),
                    ],
                    default => [$this->entry(number_format(4.5 * $around(0.1), 1) . ' s', Unit::Second)],
                });
                $reading->save();
            }
        }
    }

    /** What a motion sensor behind the start line saw of a run: the model's own, drawn out to where the car stopped. */
    private function watch(Car $car, Run $run, CarbonImmutable $time): void
    {
        $settings = CarModel::of($car->choices, Catalogue::standard(), 'varnished wood')->settings->with(
            CarAttribute::RollingCoefficient,
            self::FRICTION['Reef 3'],
        );
        $model = Simulator::run($settings->design(), withTrajectory: true);
        $longer = ($run->distance?->quantity->si() ?? 0.0) / $model->distanceM;
        $points = [];
        $next = 0.0;
        foreach ($model->trajectory as $moment) {
            if ($moment->timeS >= $next) {
                $points[] = [round(0.3 + $moment->timeS, 4), round($longer * $moment->distanceM + 0.002 * $this->beside->normal(), 4)];
                $next = $moment->timeS + 0.02;
            }
        }
        for ($t = 0.32; $t < 1.0; $t += 0.02) {
            $points[] = [round($t + $model->stopTimeS, 4), round($longer * $model->distanceM + 0.002 * $this->beside->normal(), 4)];
        }
        $reading = new SensorReading(
            [
                'id' => (string) Str::uuid7($time), 'run_id' => $run->id, 'kind' => 'trace', 'lane' => 1, 'data' => ['points' => $points],
                'measured_at' => $time,
            ],
        );
        $car->group->challenge->readings()->save($reading);
    }

    /** What a group said before its next try. */
    private function expect(Car $car, string $name, CarbonImmutable $run): void
    {
        $try = $car->runs()->whereNull('void_reason')->count() + 1;
        $expected = self::EXPECTED[$name][$try - 1] ?? null;
        if ($expected !== null && $car->predictions()->where('try', $try)->doesntExist()) {
            $car->predictions()->create(
                ['try' => $try, 'distance' => $this->entry("{$expected} cm", Unit::Centimetre), 'made_at' => $run->subMinute()],
            );
        }
    }

    /**
     * What the tape and the stopwatch showed: the run model's word on the car as it really was, and scatter.
     *
     * @return array{string, string, float, string|null} cm, s over the first metre, cm to the left of the line, and on some cars cm to where the balloon went limp
     */
    private function ran(Car $car, string $name): array
    {
        $settings = CarModel::of($car->choices, Catalogue::standard(), 'varnished wood')->settings->with(
            CarAttribute::RollingCoefficient,
            self::FRICTION[$name],
        );
        $run = Simulator::run($settings->design(), withTrajectory: true);
        $seconds = 0.0;
        foreach ($run->trajectory as $moment) {
            $seconds = $moment->distanceM <= 1.0 ? $moment->timeS : $seconds;
        }

        $distance = $run->distanceM * (1.0 + self::SCATTER * $this->chance->normal());
        $wheelbase = $car->choices->number(CarAttribute::Wheelbase) ?? 0.08;
        // Small angles: a car whose axles are out of parallel by δ strays by x²δ/(2w); aiming scatters.
        $drift = $distance ** 2 * deg2rad(self::CROOKED[$name]) / (2 * $wheelbase) + 0.02 * $distance * $this->chance->normal();

        return [
            number_format(100 * $distance, 0, '.', ''),
            number_format($seconds * (1.0 + 0.03 * $this->chance->normal()), 2),
            round(100 * $drift),
            $run->driveEnd === null || !in_array($name, ['Bowline', 'Cleat', 'Sheepshank', 'Keel'], true) ? null
                : number_format(
                    100 * $run->driveEnd->distanceM * $distance / $run->distanceM * (1.0 + 0.04 * $this->beside->normal()),
                    0,
                    '.',
                    '',
                ),
        ];
    }

    private function check(
        Car $car,
        User $educator,
        float $crooked,
        ?string $spin,
        ?string $endPlay,
        ?string $wobble,
        ?string $lost,
        ?bool $clears,
        ?bool $straight,
        ?bool $points,
    ): void {
        $wheelbase = 1000 * ($car->choices->number(CarAttribute::Wheelbase) ?? 0.08);
        $longer = 1000 * ($car->choices->number(CarAttribute::Track) ?? 0.09) * tan(deg2rad($crooked));
        foreach ([
            new Reading(CheckItem::Spin, $spin === null ? null : $this->entry("{$spin} s", Unit::Second)),
            new Reading(CheckItem::EndPlay, $endPlay === null ? null : $this->entry("{$endPlay} mm", Unit::Millimetre)),
            new Reading(CheckItem::Wobble, $wobble === null ? null : $this->entry("{$wobble} mm", Unit::Millimetre)),
            new Reading(
                CheckItem::Parallel,
                $this->entry(number_format($wheelbase, 1) . ' mm', Unit::Millimetre),
                $this->entry(number_format($wheelbase + $longer, 1) . ' mm', Unit::Millimetre),
            ),
            new Reading(
                CheckItem::Drift,
                $this->entry(number_format(abs($crooked) * 12, 0) . ' cm', Unit::Centimetre),
                $this->entry('150 cm', Unit::Centimetre),
                $crooked > 0.0 ? Side::Left : Side::Right,
            ),
            new Reading(CheckItem::Airtight, $lost === null ? null : $this->entry("{$lost} mm", Unit::Millimetre)),
            new Reading(CheckItem::BalloonClears, answer: $clears),
            new Reading(CheckItem::NozzleStraight, answer: $straight),
            new Reading(CheckItem::Firm, answer: $points === null ? null : true),
            new Reading(CheckItem::Height, answer: $points === null ? null : true),
            new Reading(CheckItem::PointsOff, answer: $points),
        ] as $reading) {
            if ($reading->first === null && $reading->answer === null) {
                continue;
            }
            $row = $car->checkReadings()->make(['item' => $reading->item, 'user_id' => $educator->id]);
            $row->put($reading);
            $row->save();
        }
    }

    private function log(
        Car $car,
        CarbonImmutable $time,
        ?string $distance,
        ?string $seconds,
        ?float $drift,
        ?VoidReason $void,
        ?string $note,
        ?string $limp = null,
    ): Run {
        $run = new Run([
            'id' => (string) Str::uuid7($time),
            'try' => $car->runs()->whereNull('void_reason')->count() + 1,
        ]);
        $run->logged_at = $time;
        $run->put(new RunRecord(
            $distance === null ? null : $this->entry($distance, Unit::Centimetre),
            $seconds === null ? null : $this->entry($seconds, Unit::Second),
            $void,
            $note,
            $drift === null ? null : $this->entry(abs($drift) . ' cm', Unit::Centimetre),
            $drift === null || $drift === 0.0 ? null : ($drift > 0.0 ? Side::Left : Side::Right),
            limp: $limp === null ? null : $this->entry($limp, Unit::Centimetre),
        ));
        $car->runs()->save($run);
        ChangeRun::act($run->setRelation('car', $car), Actor::at($this->educator), 'logged')->forceFill(['made_at' => $time])->save();

        return $run;
    }

    private function entry(string $typed, Unit $unit): Entry
    {
        return (new QuantityReader())->read($typed, $unit);
    }
}

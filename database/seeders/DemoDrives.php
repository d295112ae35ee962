<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Access\Actor;
use App\Actions\ChangeRun;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Settings;

/**
 * The week after, at the same boathouse: four of the cars that crossed the slipway take their balloons off and are driven by
 * wound bands. The cars are those of the first challenge with their own friction; their runs are the run model's, with scatter.
 */
final class DemoDrives
{
    public const NAME = 'Balloon or Band';

    /** By group: bore, mass and true friction of its car, and the mass with a band in place of the balloon. */
    private const CARS = [
        'Bowline' => ['8 mm', '58 g', 0.115, '56 g'], 'Halyard' => ['9 mm', '58 g', 0.130, '55 g'],
        'Cleat' => ['7 mm', '60 g', 0.112, '57 g'], 'Fender' => ['7 mm', '60 g', 0.110, '57 g'],
    ];

    /** By group: turns wound for its tries. */
    private const TURNS = ['Bowline' => 24, 'Halyard' => 24, 'Cleat' => 24, 'Fender' => 24];

    /** Two loops of 5.5 cm, 1 mm by 0.8 mm; what nobody measured of them, and of rubber on varnish, is a little off the usual. */
    private const PULLS = 0.92;
    private const RETURNS = 0.82;
    private const GRIP = 0.86;
    private const SCATTER = 0.05;

    /** The sweep over turns, there and back. */
    private const SWEEP = [14, 22, 30, 30, 22, 14];

    private Chance $chance;

    public function __construct(private readonly User $educator)
    {
        $this->chance = new Chance(1606);
    }

    public function fill(CarbonImmutable $morning): void
    {
        $challenge = $this->challenge($morning);
        foreach (array_keys(self::CARS) as $index => $name) {
            $group = $challenge->groups()->create(['name' => $name, 'mark' => Mark::all()[$index], 'position' => $index + 1]);
            $balloon = $this->car($group, 1, $this->blown($name), null);
            $bare = $name === 'Cleat';
            $band = $this->car(
                $group,
                2,
                $this->wound($name, $bare ? Tyre::None : Tyre::RubberBand),
                'The balloon is off. Now a wound band drives it.',
            );
            $cars[] = [
                $name, $balloon, $band,
                $bare
                    ? $this->car($group, 3, $this->wound($name, Tyre::RubberBand), 'The wheels spun on the spot. Now they have rubber on.')
                    : null,
            ];
        }
        $time = $morning;
        foreach ([1, 2, 3] as $round) {
            foreach ($cars as [$name, $balloon, $band, $rubber]) {
                $time = $this->try($balloon, $name, $time);
            }
        }
        foreach ([1, 2, 3] as $round) {
            foreach ($cars as [$name, $balloon, $band, $rubber]) {
                if ($round === 1 && $rubber !== null) {
                    $time = $this->log(
                        $band,
                        new RunRecord(null, void: VoidReason::WheelsSpun, inflation: self::turns(self::TURNS[$name])),
                        $time,
                    );
                }
                $time = $this->try($rubber ?? $band, $name, $time);
            }
        }
        foreach (self::SWEEP as $turns) {
            $time = $this->try($cars[0][2], 'Bowline', $time, $turns);
        }
        foreach ($cars as [$name, , $band, $rubber]) {
            $this->measure($rubber ?? $band, $name);
            $this->check($rubber ?? $band);
        }
    }

    private function challenge(CarbonImmutable $morning): Challenge
    {
        $challenge = $this->educator->challenges()->create([
            'name' => self::NAME,
            'question' => 'Does a wound band carry the car farther than a balloon?',
            'asks' => CarAttribute::EnergySource,
            'asks_from' => EnergySource::Balloon->value,
            'asks_to' => EnergySource::ElasticBand->value,
            'design' => Design::ChangeOneThing,
            'goal' => Goal::Farthest,
            'scoring' => Scoring::Mean,
            'tries' => 3,
            'lane_length' => $this->entry('8 m', Unit::Metre),
            'timed_length' => $this->entry('1 m', Unit::Metre),
            'surface' => 'varnished wood',
            'units' => UnitSystem::Metric,
            'awards' => [Goal::Fastest->value],
            'air_temperature_c' => 18.0,
            'air_temperature_entered' => '18 °C',
            'safety_read_at' => $morning->subDay(),
        ]);
        $challenge->update(['safety_read' => array_map(static fn(Caution $caution): string => $caution->value, Caution::cases())]);
        $challenge->sessionPlan()->fill(['starts_at' => $morning->format('Y-m-d') . ' 08:00', 'session_min' => 150, 'tries_again' => 3])
            ->save();

        return $challenge;
    }

    private function car(Group $group, int $version, Choices $choices, ?string $reason): Car
    {
        $car = $group->cars()->make(['version' => $version, 'reason' => $reason]);
        $car->choices = $choices;
        $car->save();

        return $car->setRelation('group', $group);
    }

    private function blown(string $name): Choices
    {
        [$bore, $mass] = self::CARS[$name];

        return new Choices($this->rolling() + [
            CarAttribute::NozzleBore->value => $this->entry($bore, Unit::Millimetre),
            CarAttribute::NozzleLength->value => $this->entry('12 cm', Unit::Centimetre),
            CarAttribute::BalloonNominal->value => $this->entry('30 cm', Unit::Centimetre),
            CarAttribute::BalloonSize->value => $this->entry('20 cm', Unit::Centimetre),
            CarAttribute::Mass->value => $this->entry($mass, Unit::Gram),
        ], [CarAttribute::NozzleOutlets->value => 1, CarAttribute::Balloons->value => 1], self::kinds(EnergySource::Balloon) + [
            CarAttribute::NozzleKind->value => 'wide straw', CarAttribute::Joint->value => 'elastic band',
            CarAttribute::Tyre->value => Tyre::RubberBand->value,
        ], SizeMeasure::Diameter);
    }

    private function wound(string $name, Tyre $tyre): Choices
    {
        return new Choices($this->rolling() + [
            CarAttribute::BandLength->value => $this->entry('5.5 cm', Unit::Centimetre),
            CarAttribute::BandWidth->value => $this->entry('1 mm', Unit::Millimetre),
            CarAttribute::BandThickness->value => $this->entry('0.8 mm', Unit::Millimetre),
            CarAttribute::HookPlace->value => $this->entry('5 mm', Unit::Millimetre),
            CarAttribute::WindingDiameter->value => $this->entry('3 mm', Unit::Millimetre),
            CarAttribute::Mass->value => $this->entry(self::CARS[$name][3], Unit::Gram),
        ], [
            CarAttribute::BandsInChain->value => 2, CarAttribute::BandsSideBySide->value => 1,
            CarAttribute::TurnsWound->value => self::TURNS[$name],
        ], self::kinds(EnergySource::ElasticBand) + [
            CarAttribute::DrivenEnd->value => 'rear', CarAttribute::BandEnd->value => 'free', CarAttribute::Tyre->value => $tyre->value,
        ]);
    }

    /** @return array<string, Entry> chassis, axles and wheels, which stay */
    private function rolling(): array
    {
        $quantities = [];
        foreach ([
            [CarAttribute::ChassisLength, '15 cm'], [CarAttribute::ChassisWidth, '7.5 cm'], [CarAttribute::ChassisHeight, '4 mm'],
            [CarAttribute::Wheelbase, '8.3 cm'],
            [CarAttribute::Track, '105 mm'], [CarAttribute::AxleDiameter, '3 mm'], [CarAttribute::BearingBore, '5 mm'],
            [CarAttribute::WheelThickness, '14 mm'], [CarAttribute::WheelDiameter, '32 mm'],
        ] as [$attribute, $typed]) {
            $quantities[$attribute->value] = $this->entry($typed, Unit::Centimetre);
        }

        return $quantities + [CarAttribute::WheelMass->value => $this->entry('2.5 g', Unit::Gram)];
    }

    /** @return array<string, string> */
    private static function kinds(EnergySource $source): array
    {
        return [
            CarAttribute::EnergySource->value => $source->value,
            CarAttribute::Chassis->value => 'corrugated card',
            CarAttribute::Bearing->value => 'bamboo skewer in a plastic straw',
            CarAttribute::WheelKind->value => 'bottle caps',
            CarAttribute::WheelMount->value => 'fixed to the axle',
        ];
    }

    /** A car as it really is. */
    private function truth(Car $car, string $name, ?int $turns = null): Settings
    {
        $settings = CarModel::of(
            $car->choices,
            Catalogue::standard(),
            'varnished wood',
        )->settings->with(CarAttribute::RollingCoefficient, self::CARS[$name][2]);
        if ($car->choices->blows()) {
            return $settings;
        }
        $settings = $settings->with(CarAttribute::BandStiffness, self::PULLS)
            ->with(CarAttribute::ReturnedFraction, self::RETURNS)
            ->with(CarAttribute::Grip, self::GRIP);

        return $turns === null ? $settings : $settings->with(CarAttribute::TurnsWound, (float) $turns);
    }

    private function try(Car $car, string $name, CarbonImmutable $time, ?int $turns = null): CarbonImmutable
    {
        $run = $this->truth($car, $name, $turns)->run(1e-4, true);
        $distance = $run->distanceM * $this->chance->around(self::SCATTER);
        $seconds = $run->timeAt(1.0);
        $isBand = !$car->choices->blows();

        return $this->log($car, new RunRecord(
            $this->entry(number_format(100 * $distance, 0, '.', ''), Unit::Centimetre),
            $seconds === null || $turns !== null
                ? null
                : $this->entry(number_format($seconds * $this->chance->around(0.03), 2), Unit::Second),
            inflation: $isBand ? self::turns($turns ?? self::TURNS[$name]) : null,
            limp
                : $run->driveEnd === null || $turns !== null
                ? null
                : $this->entry(number_format(100 * $run->driveEnd->distanceM * $this->chance->around(0.04), 0, '.', ''), Unit::Centimetre),
            kind: $turns === null ? RunKind::Try : RunKind::Practice,
        ), $time);
    }

    private static function turns(int $turns): Inflation
    {
        return new Inflation(InflationKind::Turns, null, $turns);
    }

    private function log(Car $car, RunRecord $record, CarbonImmutable $time): CarbonImmutable
    {
        $run = new Run(
            [
                'id' => (string) Str::uuid7($time),
                'try' => $car->runs()->whereNull('void_reason')->where('kind', $record->kind->value)->count() + 1,
            ],
        );
        $run->logged_at = $time;
        $run->put($record);
        $car->runs()->save($run);
        ChangeRun::act($run->setRelation('car', $car), Actor::at($this->educator), 'logged')->forceFill(['made_at' => $time])->save();

        return $time->addSeconds(80);
    }

    /** What the bench read: friction of every car, weight on its axles, and of two cars grip and pull. */
    private function measure(Car $car, string $name): void
    {
        $design = $this->truth($car, $name)->elasticDesign();
        $grams = fn(float $newtons, float $share): Entry => $this->entry(
            number_format(1000 * $newtons / Constants::GRAVITY_M_S2 * $this->chance->around($share), 1, '.', '') . ' g',
            Unit::Gram,
        );
        $weight = $design->vehicle->massKg * Constants::GRAVITY_M_S2;
        $driven = $design->drivenLoadN();
        foreach ([1, 2, 3] as $repeat) {
            $this->read(
                $car,
                BenchTest::Ramp,
                [
                    $this->entry('12 cm', Unit::Centimetre),
                    $this->entry(
                        number_format(12 / self::CARS[$name][2] * $this->chance->around(0.05), 0, '.', '') . ' cm',
                        Unit::Centimetre,
                    ),
                ],
            );
        }
        $this->read($car, BenchTest::LoadShare, [$grams($driven, 0.01), $grams($weight - $driven, 0.01)]);
        if (!in_array($name, ['Bowline', 'Fender'], true)) {
            return;
        }
        foreach ([1, 2] as $repeat) {
            $rest = $design->vehicle->rollingCoefficient * ($weight - $driven);
            $this->read(
                $car,
                BenchTest::Grip,
                [$grams($design->floorHoldsN() + $rest, 0.04), $grams($design->drive->kineticFriction * $driven + $rest, 0.04)],
            );
        }
        foreach ([6, 12, 18, 24] as $turns) {
            $pull = $design->band->pullN($design->drive->woundM($turns));
            $this->read(
                $car,
                BenchTest::BandPull,
                [$this->entry((string) $turns, Unit::Turn), $grams($pull, 0.03), $grams(self::RETURNS * $pull, 0.03)],
            );
        }
    }

    /** @param list<Entry> $entries */
    private function read(Car $car, BenchTest $test, array $entries): void
    {
        $reading = $car->benchReadings()->make(['test' => $test, 'user_id' => $this->educator->id]);
        $reading->put($entries);
        $reading->save();
    }

    private function check(Car $car): void
    {
        foreach ([
            new Reading(CheckItem::Spin, $this->entry('4 s', Unit::Second)),
            new Reading(CheckItem::EndPlay, $this->entry('1.5 mm', Unit::Millimetre)),
            new Reading(CheckItem::Wobble, $this->entry('0.5 mm', Unit::Millimetre)),
            new Reading(CheckItem::Parallel, $this->entry('83 mm', Unit::Millimetre), $this->entry('83 mm', Unit::Millimetre)),
            new Reading(CheckItem::Drift, $this->entry('4 cm', Unit::Centimetre), $this->entry('150 cm', Unit::Centimetre), Side::Left),
            new Reading(CheckItem::BandClear, answer: true), new Reading(CheckItem::BandFree, answer: true),
            new Reading(CheckItem::HookHolds, answer: true),
            new Reading(CheckItem::WheelsTight, answer: true), new Reading(CheckItem::PointsOff, answer: true),
        ] as $reading) {
            $row = $car->checkReadings()->make(['item' => $reading->item, 'user_id' => $this->educator->id]);
            $row->put($reading);
            $row->save();
        }
    }

    private function entry(string $typed, Unit $unit): Entry
    {
        return (new QuantityReader())->read($typed, $unit);
    }
}

<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\ChangeRun;
use App\Models\Car;
use App\Models\Group;
use App\Models\Run;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;
use Skivo\Core\Balloon\SizeMeasure;
use Skivo\Core\Build\Car as Choices;
use Skivo\Core\Build\Choice;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Quantity\Entry;
use Skivo\Core\Quantity\QuantityReader;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Quantity\UnitSystem;
use Skivo\Core\Rolling\WheelMount;
use Skivo\Core\Trials\VoidReason;

/**
 * A made-up class on a made-up island: the junior workshop of the boathouse of Gullholm sends eight cars
 * across six metres of varnished floor. Every figure is invented.
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
        'Halyard' => [['9 mm', 1, '10 cm', 'wide straw', '21.5 cm', '52 g', 'jar lids', '58 mm', 'turning', 'foam board']],
        'Cleat' => [['7 mm', 1, '12 cm', 'wide straw', '19 cm', '61 g', 'bottle caps', '32 mm', 'still', 'corrugated card']],
        'Fender' => [['7 mm', 1, '15 cm', 'wide straw', '60 cm around', '66 g', 'bottle caps', '30 mm', 'turning', 'corrugated card']],
        'Reef' => [
            ['6 mm', 1, '18 cm', 'drinking straw', '18 cm', '74 g', 'card discs', '60 mm', 'turning', 'corrugated card'],
            ['6 mm', 3, '12 cm', 'bundle of straws', '19 cm', '68 g', 'card discs', '60 mm', 'turning', 'corrugated card'],
        ],
        'Sheepshank' => [['6 mm', 1, '14 cm', 'drinking straw', '19.5 cm', '55 g', 'optical discs', '120 mm', 'still', 'craft stick']],
        'Thimble' => [['8 mm', 1, '9 cm', 'wide straw', '20.5 cm', '49 g', 'jar lids', '55 mm', 'still', 'foam board']],
        'Keel' => [['5 mm', 1, '20 cm', 'drinking straw', '18.5 cm', '92 g', 'bottle caps', '30 mm', 'turning', 'plastic bottle']],
    ];

    /**
     * In the order in which they were run: group, what was typed for the distance, the time over 1 m,
     * why it is void, note.
     */
    private const RUNS = [
        ['Bowline', '329', '1.12', null, null],
        ['Halyard', '411', '0.95', null, null],
        ['Cleat', '288', '1.31', null, null],
        ['Fender', '262', '1.40', null, null],
        ['Reef', '168', '1.88', null, null],
        ['Sheepshank', '228', '1.52', null, null],
        ['Thimble', '371', '0.98', null, null],
        ['Keel', '118', '2.61', null, null],
        ['Bowline', '341', '1.10', null, null],
        ['Halyard', '420', '0.93', null, null],
        ['Cleat', '140', null, VoidReason::HitSomething, 'met the bench leg'],
        ['Fender', '3.01 m', '1.33', null, null],
        ['Reef', null, null, VoidReason::WheelOff, 'front left; glued again'],
        ['Sheepshank', '236', '1.49', null, null],
        ['Thimble', '388', '0.96', null, null],
        ['Keel', '131', '2.44', null, null],
        ['Cleat', '294', '1.29', null, null],
        ['Reef', '181', '1.80', null, null],
        ['Bowline', '352', '1.08', null, null],
        ['Halyard', '438', '0.92', null, 'straightest run of the day'],
        ['Reef', '174', '1.85', null, null],
        ['Sheepshank', '244', '1.47', null, null],
        ['Thimble', '416', '0.94', null, null],
        ['Keel', null, null, VoidReason::NoStart, 'straw pinched'],
        ['Reef 2', '233', '1.30', null, null],
        ['Cleat', '302', '1.28', null, null],
        ['Reef 2', '251', '1.26', null, null],
        ['Fender', null, null, VoidReason::BalloonOff, null],
    ];

    public function run(ChangeRun $change): void
    {
        $educator = User::query()->create([
            'name' => 'Demo educator',
            'email' => self::EMAIL,
            'password' => (string) (getenv('DEMO_PASSWORD') ?: throw new \LogicException('DEMO_PASSWORD is not set.')),
        ]);
        $challenge = $educator->challenges()->create([
            'name' => 'Cross the Slipway',
            'question' => 'Does a wider nozzle carry the car farther?',
            'goal' => Goal::Farthest,
            'scoring' => Scoring::Mean,
            'tries' => 3,
            'lane_length' => $this->entry('6 m', Unit::Metre),
            'timed_length' => $this->entry('1 m', Unit::Metre),
            'surface' => 'varnished wood',
            'units' => UnitSystem::Metric,
        ]);
        $cars = [];
        foreach (self::CARS as $name => $versions) {
            $position = count($cars) + 1;
            $group = $challenge->groups()->create(['name' => $name, 'mark' => Mark::all()[$challenge->groups()->count()], 'position' => $position]);
            foreach ($versions as $index => $choices) {
                $car = $this->car($group, $index + 1, $choices);
                $cars[$index === 0 ? $name : "{$name} 2"] = $car;
            }
        }
        $time = CarbonImmutable::parse('2026-05-08 09:30:00 UTC');
        foreach (self::RUNS as [$name, $distance, $seconds, $void, $note]) {
            $this->log($cars[$name], $time, $distance, $seconds, $void, $note);
            $time = $time->addSeconds(95);
        }
        // A slip of the pen, mended.
        $run = $this->log($cars['Reef 2'], $time, '381', '1.29', null, null);
        $change->edit($run, $educator, $cars['Reef 2']->group, $this->entry('242', Unit::Centimetre), $run->time, null, 'tape misread at first');
        $run->changes()->update(['made_at' => $time->addMinute()]);
    }

    /** @param array{string, int, string, string, string, string, string, string, string, string} $choices */
    private function car(Group $group, int $version, array $choices): Car
    {
        [$bore, $outlets, $length, $kind, $balloon, $mass, $wheels, $diameter, $axle, $chassis] = $choices;
        $around = str_ends_with($balloon, ' around');
        $car = $group->cars()->make([
            'version' => $version,
            'reason' => $version > 1 ? 'Three straws push harder than one, and the axle rubbed less without the extra card.' : null,
        ]);
        $car->choices = new Choices(
            [
                Choice::NozzleBore->value => $this->entry($bore, Unit::Millimetre),
                Choice::NozzleLength->value => $this->entry($length, Unit::Centimetre),
                Choice::BalloonNominal->value => $this->entry('30 cm', Unit::Centimetre),
                Choice::BalloonSize->value => $this->entry(str_replace(' around', '', $balloon), Unit::Centimetre),
                Choice::Mass->value => $this->entry($mass, Unit::Gram),
                Choice::WheelDiameter->value => $this->entry($diameter, Unit::Millimetre),
            ],
            [Choice::NozzleOutlets->value => $outlets],
            [
                Choice::NozzleKind->value => $kind,
                Choice::WheelKind->value => $wheels,
                Choice::WheelMount->value => ($axle === 'turning' ? WheelMount::Fixed : WheelMount::Spinning)->value,
                Choice::Chassis->value => $chassis,
            ],
            $around ? SizeMeasure::Circumference : SizeMeasure::Diameter,
        );
        $car->save();
        $car->setRelation('group', $group);

        return $car;
    }

    private function log(Car $car, CarbonImmutable $time, ?string $distance, ?string $seconds, ?VoidReason $void, ?string $note): Run
    {
        $run = new Run([
            'id' => (string) Str::uuid7($time),
            'try' => $car->runs()->whereNull('void_reason')->count() + 1,
            'void_reason' => $void,
            'note' => $note,
        ]);
        $run->logged_at = $time;
        $run->distance = $distance === null ? null : $this->entry($distance, Unit::Centimetre);
        $run->time = $seconds === null ? null : $this->entry($seconds, Unit::Second);
        $car->runs()->save($run);

        return $run;
    }

    private function entry(string $typed, Unit $unit): Entry
    {
        return (new QuantityReader())->read($typed, $unit);
    }
}

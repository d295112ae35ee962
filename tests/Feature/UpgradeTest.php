<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Car;
use App\Models\OwnPart;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Part\PartTrait;
use Tests\TestCase;

/** An upgrade with data in it, among temporary tables. */
final class UpgradeTest extends TestCase
{
    use DatabaseTransactions;

    public function testWhatWasRecordedInColumnsIsFoundInTheOneColumn(): void
    {
        $this->migrateTo('000010');
        [$challenge, $group] = $this->challengeWithAGroup();
        DB::table('cars')->insert([
            'group_id' => $group, 'version' => 1, 'created_at' => now(), 'updated_at' => now(), 'note' => 'as it was',
            'nozzle_bore_m' => 0.0085, 'nozzle_bore_entered' => '8,5 mm', 'mass_kg' => 0.05669904625, 'mass_entered' => '2 oz',
            'balloon_size_m' => 0.62, 'balloon_size_entered' => '62 cm', 'balloon_measured_as' => 'circumference',
            'nozzle_outlets' => 3, 'nozzle_angle' => -15, 'nozzle_kind' => 'wide straw', 'wheel_mount' => 'fixed to the axle',
        ]);
        DB::table('own_parts')->insert(
            [
                'challenge_id' => $challenge, 'kind' => 'wheel', 'name' => 'cork lids',
                'values' => json_encode(['diameter_m' => 0.04, 'hub_m' => 0.01]), 'origin' => 'your own',
            ],
        );
        // As at the end of a transaction.
        DB::statement('SET CONSTRAINTS ALL IMMEDIATE');
        DB::statement('SET CONSTRAINTS ALL DEFERRED');
        $this->migrateTo('000011');

        $car = Car::query()->sole();
        $choices = $car->choices;
        self::assertSame([0.0085, '8,5 mm'], [$choices->number(CarAttribute::NozzleBore), $choices->quantities['nozzle_bore']->text]);
        self::assertSame([0.05669904625, '2 oz'], [$choices->number(CarAttribute::Mass), $choices->quantities['mass']->text]);
        self::assertEqualsWithDelta(0.62 / M_PI, $choices->balloonDiameterM(), 1e-12);
        self::assertSame([3.0, -15.0], [$choices->number(CarAttribute::NozzleOutlets), $choices->number(CarAttribute::NozzleAngle)]);
        self::assertSame(
            ['wide straw', 'fixed to the axle', 'as it was'],
            [$choices->kind(CarAttribute::NozzleKind), $choices->kind(CarAttribute::WheelMount), $choices->note],
        );
        self::assertCount(7, (array) json_decode((string) DB::table('cars')->value('choices')));
        $part = OwnPart::query()->sole()->toCore();
        self::assertSame([0.04, 0.01], [$part->value(CarAttribute::WheelDiameter), $part->value(CarAttribute::WheelHub)]);
        self::assertTrue($part->is(PartTrait::PiercedPlastic));
    }

    public function testTheDatabaseRefusesWhatNoRecordCanBe(): void
    {
        $this->migrateTo('000011');
        [, $group] = $this->challengeWithAGroup();
        foreach (
            [
                '[]', '"far"', '{"mass": {"si": -0.1, "typed": "-100 g"}}', '{"mass": {"si": 0.1}}', '{"mass": {"typed": "100 g"}}',
                '{"mass": true}', '{"mass": [1]}', '{"balloon_size": {"si": 0.2, "typed": "20 cm"}}',
            ] as $wrong
        ) {
            try {
                DB::transaction(
                    static fn() => DB::table('cars')->insert(
                        ['group_id' => $group, 'version' => 1, 'choices' => $wrong, 'created_at' => now(), 'updated_at' => now()],
                    ),
                );
                self::fail("{$wrong} was stored.");
            } catch (QueryException $refused) {
                self::assertSame('23514', $refused->getCode(), $refused->getMessage());
            }
        }
        DB::table('cars')->insert(
            [
                'group_id' => $group, 'version' => 1,
                'choices' => '{"mass": {"si": 0.1, "typed": "100 g"}, "joint": "tape", "balloons": 2}', 'created_at' => now(),
                'updated_at' => now(),
            ],
        );
        self::assertSame(2.0, Car::query()->sole()->choices->number(CarAttribute::Balloons));
    }

    /** Runs what has not run yet, up to and with the migration of that number, in tables that go with the test. */
    private function migrateTo(string $number): void
    {
        DB::statement('SET LOCAL search_path TO pg_temp, public');
        foreach (glob(database_path('migrations/*.php')) ?: [] as $file) {
            preg_match('/_(\d{6})_/', $file, $found);
            if ($found[1] <= $number && !in_array($file, $this->migrated, true)) {
                (require $file)->up();
                $this->migrated[] = $file;
            }
        }
    }

    /** @var list<string> */
    private array $migrated = [];

    /** @return array{int, int} their ids */
    private function challengeWithAGroup(): array
    {
        $user = DB::table('users')->insertGetId(
            ['name' => 'One', 'email' => 'one@example.org', 'password' => 'x', 'created_at' => now(), 'updated_at' => now()],
        );
        $challenge = DB::table('challenges')->insertGetId([
            'user_id' => $user, 'name' => 'Old', 'goal' => 'farthest', 'scoring' => 'mean', 'tries' => 3, 'units' => 'metric',
            'lane_length_m' => 6.0, 'lane_length_entered' => '6 m', 'created_at' => now(), 'updated_at' => now(),
        ]);

        return [
            $challenge,
            DB::table('groups')->insertGetId(
                [
                    'challenge_id' => $challenge, 'name' => 'Keel', 'mark' => 'sail-solid', 'position' => 1, 'created_at' => now(),
                    'updated_at' => now(),
                ],
            ),
        ];
    }
}

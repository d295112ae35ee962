<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\DeleteForGood;
use App\Actions\PurgeRemoved;
use App\Actions\ShareChallenge;
use App\Models\Group;
use App\Models\User;
use App\Pages\Run\FloorState;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Skivo\Core\People\MemberRole;
use Tests\Scenario;

/** What goes along when an account, a car or a challenge goes, and what stays. */
final class WhatGoesWithWhatTest extends FeatureTestCase
{
    public function testTheTableInTheDocumentsIsTheDatabases(): void
    {
        $said = [];
        preg_match_all(
            '/^\| ([a-z_]+) \| (.*) \| (.*) ?\|$/m',
            (string) file_get_contents(base_path('docs/architecture.md')),
            $rows,
            PREG_SET_ORDER,
        );
        foreach ($rows as [, $deleted, $along, $stays]) {
            foreach (['c' => $along, 'n' => $stays] as $how => $cell) {
                preg_match_all('/`([a-z_.]+)`/', $cell, $columns);
                foreach ($columns[1] as $column) {
                    $said["{$column} of {$deleted}"] = $how;
                }
            }
        }
        $are = [];
        foreach (
            DB::select(
                "SELECT conrelid::regclass AS of, attname AS by, confrelid::regclass AS deleted, confdeltype AS how FROM pg_constraint JOIN pg_attribute ON attrelid = conrelid AND attnum = conkey[1] WHERE contype = 'f'",
            ) as $key
        ) {
            $are["{$key->of}.{$key->by} of {$key->deleted}"] = $key->how;
        }
        ksort($said);
        ksort($are);
        self::assertSame($are, $said);
    }

    /** An owner, a co-teacher, an observer, a head of a school, a member of one: each goes, and the class is counted. */
    public function testWhoeverLeavesWhatTheOwnersClassRecordedStays(): void
    {
        $challenge = $this->class();
        $car = $this->named($challenge, 'Keel')->currentCar();
        self::assertNotNull($car);
        $share = app(ShareChallenge::class);
        [$co, $observer] = [Scenario::educator('Co'), Scenario::educator('Observer')];
        $challenge->members()->createMany(
            [['user_id' => $co->id, 'role' => MemberRole::CoTeacher], ['user_id' => $observer->id, 'role' => MemberRole::Observer]],
        );
        $school = $share->found($co, 'Harbour School');
        $school->members()->create(['user_id' => $observer->id, 'is_head' => false]);

        $this->flushSession();
        $this->asEducator()->actingAs($co, 'web');
        DB::table('bench_readings')->insert(
            [
                'car_id' => $car->id, 'user_id' => $co->id, 'test' => 'ramp', 'first_si' => 0.01, 'first_entered' => '1 cm',
                'second_si' => 1.0, 'second_entered' => '100 cm', 'made_at' => now(),
            ],
        );
        $car->allowances()->create(['user_id' => $co->id, 'rule' => 'cost', 'reason' => 'its first car']);
        $this->log($challenge, 'Keel', ['distance' => '141'])->assertSessionHasNoErrors();
        $before = $this->counted($challenge->id);
        self::assertSame([1, 1], [$before['bench_readings'], $before['allowances']]);

        app(DeleteForGood::class)->account($co);
        self::assertSame($before, $this->counted($challenge->id));
        self::assertNull($challenge->acts()->get()->last()?->user_id);
        self::assertTrue($school->fresh()?->memberFor($observer)?->is_head, 'a school has a head');
        app(DeleteForGood::class)->account($observer);
        self::assertSame($before, $this->counted($challenge->id));
        self::assertNull($school->fresh(), 'nobody is left in it');

        $this->flushSession();
        $this->asEducator()->get("/challenges/{$challenge->id}/groups/" . $this->named($challenge, 'Keel')->id . '/car')->assertOk();

        app(DeleteForGood::class)->account(User::query()->findOrFail($this->educator->id));
        self::assertSame([0], array_values(array_unique($this->counted($challenge->id))));
    }

    /** @return array<string, int> */
    private function counted(int $challenge): array
    {
        $cars = static fn() => DB::table('cars')->join('groups', 'groups.id', 'cars.group_id')
            ->where('groups.challenge_id', $challenge)
            ->pluck('cars.id');
        $count = [
            'challenges' => DB::table('challenges')->where('id', $challenge)->count(),
            'groups' => DB::table('groups')->where('challenge_id', $challenge)->count(),
            'acts' => DB::table('acts')->where('challenge_id', $challenge)->count(),
        ];
        foreach (['runs', 'bench_readings', 'allowances', 'check_readings', 'predictions', 'car_changes'] as $table) {
            $count[$table] = DB::table($table)->whereIn('car_id', $cars())->count();
        }

        return $count;
    }

    public function testACarPutBackAloneStaysWhenItsGroupsTimeIsUp(): void
    {
        $challenge = $this->class();
        $keel = $this->named($challenge, 'Keel');
        $this->post("/challenges/{$challenge->id}/groups/{$keel->id}/cars", ['car_name' => 'Second'])->assertSessionHasNoErrors();
        $second = $keel->furtherCars()->sole();
        $this->post(
            "/challenges/{$challenge->id}/runs",
            ['id' => (string) Str::uuid7(), 'group' => $second->id, 'distance' => '131'],
        )->assertSessionHasNoErrors();
        $keel->delete();
        Group::withTrashed()->findOrFail($second->id)->restore();
        $this->travel(PurgeRemoved::DAYS + 1)->days();
        app(PurgeRemoved::class)();
        self::assertSame(1, Group::query()->findOrFail($second->id)->cars()->firstOrFail()->runs()->count());
        // Without a car that lives, the group goes as others do.
        Group::query()->findOrFail($second->id)->delete();
        $this->travel(PurgeRemoved::DAYS + 1)->days();
        app(PurgeRemoved::class)();
        self::assertSame(0, Group::withTrashed()->whereKey([$keel->id, $second->id])->count());
    }

    public function testNoNameStaysInAFileOfWhatWasDeletedForGood(): void
    {
        $folder = storage_path('framework/cache/test-' . bin2hex(random_bytes(4)));
        config(['cache.stores.names' => ['driver' => 'file', 'path' => $folder], 'cache.default' => 'names']);
        try {
            $holds = static fn(): bool => File::isDirectory($folder)
                && array_filter(File::allFiles($folder), static fn($file): bool => str_contains($file->getContents(), 'Bowline')) !== [];
            $challenge = $this->class();
            FloorState::of($challenge, 'https://skivo.example');
            $this->get("/challenges/{$challenge->id}/findings")->assertOk();
            self::assertTrue($holds());
            $challenge->delete();
            app(DeleteForGood::class)->challenge($challenge);
            self::assertFalse($holds());
            // What ran out by itself goes with the next tidying.
            Cache::put('held', 'Bowline', 600);
            app(PurgeRemoved::class)();
            self::assertTrue($holds());
            $this->travel(11)->minutes();
            app(PurgeRemoved::class)();
            self::assertFalse($holds());
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** Wherever a class was worked with, its school's rule leaves it: bench, checks, tablets and races as well as runs. */
    public function testWhatWasUsedTodayIsUsed(): void
    {
        config(['skivo.retention_months' => 18]);
        $touch = [
            'entries' => static fn(Group $group) => DB::table('entries')->insert(
                [
                    'id' => '0193b0b0-0000-7000-8000-000000000002', 'group_id' => $group->id, 'kind' => 'note', 'payload' => '{}',
                    'made_at' => now(), 'created_at' => now(),
                ],
            ),
            'bench_readings' => static fn(Group $group) => DB::table('bench_readings')->insert(
                [
                    'car_id' => $group->currentCar()?->id, 'test' => 'ramp', 'first_si' => 0.01, 'first_entered' => '1 cm',
                    'second_si' => 1.0, 'second_entered' => '100 cm', 'made_at' => now(),
                ],
            ),
            'nothing' => static fn(Group $group) => null,
        ];
        foreach ($touch as $table => $do) {
            $challenge = $this->class();
            $long = now()->subMonths(19);
            DB::table('challenges')->where('id', $challenge->id)->update(['updated_at' => $long]);
            DB::table('groups')->where('challenge_id', $challenge->id)->update(['updated_at' => $long]);
            DB::table('cars')->whereIn('group_id', $challenge->groups()->pluck('id'))->update(['updated_at' => $long]);
            DB::table('runs')->whereIn(
                'car_id',
                DB::table('cars')->whereIn('group_id', $challenge->groups()->pluck('id'))->pluck('id'),
            )->update(['updated_at' => $long]);
            DB::table('acts')->where('challenge_id', $challenge->id)->update(['made_at' => $long]);
            $do($this->named($challenge, 'Keel'));
            app(PurgeRemoved::class)();
            self::assertSame($table === 'nothing', $challenge->refresh()->trashed(), $table);
        }
    }
}

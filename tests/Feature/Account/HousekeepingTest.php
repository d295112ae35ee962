<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\AdmitDevices;
use App\Actions\PurgeRemoved;
use App\Logging\WithoutValues;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Monolog\Level;
use Monolog\LogRecord;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What is deleted for good, when, and what no log ever shows. */
final class HousekeepingTest extends FeatureTestCase
{
    public function testAChallengeIsDeletedForGoodInTwoSteps(): void
    {
        $challenge = $this->class();
        $other = $this->class();
        $runs = $challenge->runs()->pluck('runs.id');
        $this->delete("/challenges/{$challenge->id}/for-good")->assertNotFound();
        $this->delete("/challenges/{$challenge->id}");
        $this->get('/challenges')->assertSee('Delete for good')->assertSee('30 days');
        $this->delete("/challenges/{$challenge->id}/for-good")->assertRedirect('/challenges');

        self::assertNull(Challenge::withTrashed()->find($challenge->id));
        foreach (
            [
                'groups' => 'challenge_id', 'acts' => 'challenge_id', 'devices' => 'challenge_id', 'readings' => 'challenge_id',
            ] as $table => $column
        ) {
            self::assertSame(0, DB::table($table)->where($column, $challenge->id)->count(), $table);
        }
        self::assertSame(0, DB::table('runs')->whereIn('id', $runs)->count());
        self::assertSame(12, $other->runs()->count());
    }

    public function testAnAccountIsDeletedWithEverythingInIt(): void
    {
        $challenge = $this->class();
        $this->actingAs(User::query()->findOrFail($this->educator->id));
        $this->delete('/account', ['password_to_delete' => 'wrong'])->assertSessionHasErrors('password_to_delete', null, 'deleting');
        self::assertNotNull($this->educator->fresh());
        $this->delete('/account', ['password_to_delete' => Scenario::PASSWORD])->assertRedirect('/sign-in');

        self::assertNull(User::query()->find($this->educator->id));
        self::assertNull(Challenge::withTrashed()->find($challenge->id));
        $this->assertGuest();
    }

    public function testWhatWasRemovedGoesForGoodAfterItsTime(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $removed = $this->class();
        [$tablet] = AdmitDevices::join($challenge, DeviceRole::Log, 'tablet');
        $keel->delete();
        $removed->delete();
        $tablet->update(['revoked_at' => now()]);
        $purge = app(PurgeRemoved::class);

        $this->travel(PurgeRemoved::DAYS - 1)->days();
        $purge();
        self::assertNotNull(Group::withTrashed()->find($keel->id));
        self::assertNotNull(Challenge::withTrashed()->find($removed->id));
        $this->travel(2)->days();
        $purge();
        self::assertNull(Group::withTrashed()->find($keel->id));
        self::assertNull(Challenge::withTrashed()->find($removed->id));
        self::assertNull(Device::query()->find($tablet->id));
        self::assertSame(9, $challenge->runs()->count(), 'those of the groups that are there stay');
    }

    public function testAFaultOfTheDatabaseIsLoggedWithoutAValue(): void
    {
        [$device] = AdmitDevices::join($this->class(), DeviceRole::Log, 'tablet');
        try {
            DB::transaction(
                static fn() => DB::table('devices')->insert(
                    [
                        'id' => $device->id, 'challenge_id' => $device->challenge_id, 'role' => 'log', 'name' => 'secret name',
                        'token_hash' => $device->token_hash, 'created_at' => now(),
                    ],
                ),
            );
            self::fail('The id is taken.');
        } catch (QueryException $fault) {
            self::assertStringContainsString('secret name', $fault->getMessage());
            $outer = new \RuntimeException("While drawing: {$fault->getMessage()}", 0, $fault);
        }
        $record = WithoutValues::cleaned(
            new LogRecord(new \DateTimeImmutable(), 'test', Level::Error, $outer->getMessage(), ['exception' => $outer]),
        );
        $written = $record->message . json_encode($record->context, JSON_THROW_ON_ERROR);

        self::assertStringContainsString('Database fault 23505 in: insert into "devices"', $written);
        self::assertStringContainsString('HousekeepingTest.php', $written);
        foreach (['secret name', $device->token_hash, $device->id] as $value) {
            self::assertStringNotContainsString($value, $written);
        }
    }

    /** What is installed comes from the registry that a machine is set up with, never from an address written here. */
    public function testWhatSaysWhichPackagesAreInstalledNamesNoAddress(): void
    {
        foreach (['package-lock.json', 'php-packages.txt'] as $file) {
            $listed = (string) file_get_contents(base_path($file));
            self::assertNotSame('', $listed);
            self::assertStringNotContainsString('://', $listed, $file);
        }
    }
}

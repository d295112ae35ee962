<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\PurgeRemoved;
use App\Models\Challenge;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Tests\Feature\FeatureTestCase;

/** What is stored, how long, and for whom. */
final class PrivacyTest extends FeatureTestCase
{
    public function testEverybodyMayKnowWhatIsStored(): void
    {
        Auth::forgetGuards();
        $this->flushSession();
        $this->get('/privacy')->assertOk()->assertSee('this school set no limit')->assertSee('they stay on the device');
        config(['skivo.retention_months' => 18]);
        $this->get('/privacy')->assertOk()->assertSee('nobody has touched the challenge for 18 months');
    }

    public function testWhatNobodyTouchedIsRemovedByTheSchoolsRuleAndCanBePutBack(): void
    {
        [$old, $used, $new] = [$this->class(), $this->class(), $this->class()];
        $this->log($used, 'Bowline', ['distance' => '312'])->assertSessionHasNoErrors();
        $long = now()->subMonths(19);
        foreach ([$old, $used] as $challenge) {
            DB::table('challenges')->where('id', $challenge->id)->update(['updated_at' => $long]);
            DB::table('groups')->where('challenge_id', $challenge->id)->update(['updated_at' => $long]);
            DB::table('cars')->whereIn('group_id', $challenge->groups()->pluck('id'))->update(['updated_at' => $long]);
        }
        DB::table('runs')->whereIn(
            'car_id',
            DB::table('cars')->whereIn('group_id', $old->groups()->pluck('id'))->pluck('id'),
        )->update(['updated_at' => $long]);
        DB::table('acts')->where('challenge_id', $old->id)->update(['made_at' => $long]);
        app(PurgeRemoved::class)();
        self::assertSame(3, Challenge::query()->whereKey([$old->id, $used->id, $new->id])->count(), 'no rule, no limit');
        config(['skivo.retention_months' => 18]);
        app(PurgeRemoved::class)();
        self::assertEqualsCanonicalizing(
            [$used->id, $new->id],
            Challenge::query()->whereKey([$old->id, $used->id, $new->id])->pluck('id')->all(),
        );
        $this->post("/challenges/{$old->id}/restore")->assertSessionHasNoErrors();
        self::assertNotNull(Challenge::query()->find($old->id));
        app(PurgeRemoved::class)();
        self::assertNotNull(Challenge::query()->find($old->id), 'what was put back was touched');
    }

    public function testAnAccountGoesWithEverythingAndLeavesNoNameElsewhere(): void
    {
        $challenge = $this->class();
        $colleague = User::query()->create(
            ['name' => 'Leaves the school', 'email' => 'leaves@skivo.example', 'password' => 'a long enough password'],
        );
        $challenge->members()->create(['user_id' => $colleague->id, 'role' => 'co-teacher']);
        $this->flushSession();
        Auth::forgetGuards();
        $this->actingAs($colleague, 'web');
        $this->log($challenge, 'Bowline', ['distance' => '312'])->assertSessionHasNoErrors();
        $act = $challenge->acts()->get()->last();
        self::assertSame('Leaves the school', $act?->by());
        $this->delete('/account', ['password_to_delete' => 'a long enough password'])->assertRedirect('/sign-in');
        self::assertNull(User::query()->find($colleague->id));
        self::assertNotSame('Leaves the school', $act->fresh()?->by());
        self::assertSame(0, $challenge->members()->count());
    }

    public function testTheAdministratorAloneTakesABackupOfEverything(): void
    {
        $this->get('/account')->assertOk()->assertDontSee('Backup of everything');
        $this->get('/account/backup')->assertNotFound();
        $this->educator->forceFill(['is_administrator' => true])->save();
        $this->get('/account')->assertSee('Backup of everything');
        $dump = (string) $this->get('/account/backup')->assertOk()->streamedContent();
        self::assertStringStartsWith('PGDMP', $dump);
        self::assertStringContainsString('challenges', $dump);
        self::assertSame([], glob(sys_get_temp_dir() . '/skivo-backup-*'), 'nothing is left, however the download ends');
    }
}

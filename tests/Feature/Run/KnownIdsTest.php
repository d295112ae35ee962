<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Access\Sender;
use App\Actions\AdmitDevices;
use App\Models\Device;
use App\Models\Run;
use Illuminate\Support\Str;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** An id names one thing for ever: what comes again under it is the same, or is said to be another. */
final class KnownIdsTest extends FeatureTestCase
{
    public function testARunUnderAKnownIdThatSaysSomethingElseIsAConflict(): void
    {
        $challenge = $this->class();
        $path = "/challenges/{$challenge->id}/runs";
        $run = ['id' => (string) Str::uuid7(), 'group' => $this->named($challenge, 'Keel')->id, 'distance' => '231'];
        $this->postJson($path, $run)->assertCreated();
        $this->postJson($path, $run)->assertOk();
        $this->postJson($path, ['distance' => '2.31 m'] + $run)->assertOk();
        foreach (
            [['distance' => '245'], ['void' => 'no start', 'distance' => null], ['group' => $this->named($challenge, 'Reef')->id]] as $other
        ) {
            $this->postJson($path, $other + $run)
                ->assertStatus(409)
                ->assertJson(['known' => true])
                ->assertJsonStructure(['questions' => ['same_run']]);
        }
        self::assertSame([2.31], $challenge->runs()->where('runs.id', $run['id'])->pluck('distance_m')->map(floatval(...))->all());
        // As a form it is a question beside everything that was typed, under a new id.
        $this->post($path, ['distance' => '245'] + $run)->assertRedirect()->assertSessionHas('questions');
        self::assertNull(session()->getOldInput('id'));
        // Corrected by somebody meanwhile, its first sending may still come again: it is known, and nothing of the correction is lost.
        $this->put("{$path}/{$run['id']}", ['distance' => '321'])->assertSessionHasNoErrors();
        $this->postJson($path, $run)->assertOk();
        self::assertSame(3.21, Run::query()->findOrFail($run['id'])->distance?->quantity->si());
        // Taken back by somebody: what is sent again does not come back by that.
        $this->delete("{$path}/{$run['id']}");
        $this->postJson($path, $run)->assertOk();
        self::assertTrue(Run::query()->withTrashed()->findOrFail($run['id'])->trashed());
    }

    public function testAnIdOfANotebookOrARaceIsNeverTwoThings(): void
    {
        $challenge = $this->class();
        [$keel, $reef] = [$this->named($challenge, 'Keel'), $this->named($challenge, 'Reef')];
        $note = ['id' => (string) Str::uuid(), 'kind' => 'note', 'text' => 'The axle is too long.'];
        $this->postJson("/challenges/{$challenge->id}/groups/{$keel->id}/entries", $note)->assertCreated();
        $this->postJson("/challenges/{$challenge->id}/groups/{$keel->id}/entries", $note)->assertOk();
        $this->postJson("/challenges/{$challenge->id}/groups/{$reef->id}/entries", $note)
            ->assertUnprocessable()
            ->assertJsonValidationErrors('id');

        [$one, $two] = [Scenario::race($challenge), Scenario::race($challenge)];
        $heat = array_values($one->state()->heats)[0];
        $tap = ['id' => (string) Str::uuid(), 'do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0"];
        $this->postJson("/challenges/{$challenge->id}/races/{$one->id}/events", $tap)->assertCreated();
        $this->postJson("/challenges/{$challenge->id}/races/{$two->id}/events", $tap)
            ->assertUnprocessable()
            ->assertJsonValidationErrors('do');
    }

    public function testWhatATabletMadeForOneGroupIsThatGroupsAlsoOnceItIsHandedOn(): void
    {
        $challenge = $this->class();
        [$keel, $reef] = [$this->named($challenge, 'Keel'), $this->named($challenge, 'Reef')];
        [$before] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $keel);
        [, $key] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $reef);
        auth()->forgetGuards();
        auth('web')->logout();
        $send = function (string $sender) use ($challenge, $keel, $key): int {
            auth()->forgetGuards();

            return $this->withHeaders(['Authorization' => "Bearer {$key}", Sender::HEADER => $sender])
                ->postJson(
                    "/challenges/{$challenge->id}/groups/{$keel->id}/entries",
                    ['id' => (string) Str::uuid(), 'kind' => 'note', 'text' => 'Ours.'],
                )->getStatusCode();
        };
        self::assertSame(201, $send(Sender::of($before)));
        // No seal of this Skivo, none at all, and a device that was cut off: as if it had said nothing.
        self::assertSame(
            [404, 404, 404],
            [$send("{$before->id}." . str_repeat('0', 64)), $send(''), $send(explode('.', Sender::of($before))[0])],
        );
        $before->update(['revoked_at' => now()]);
        self::assertSame(404, $send(Sender::of($before)));
        self::assertSame(1, $keel->entries()->count());
    }
}

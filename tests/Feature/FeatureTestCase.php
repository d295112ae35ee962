<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Scenario;
use Tests\TestCase;

/** Requests against the application; what they write is rolled back. */
abstract class FeatureTestCase extends TestCase
{
    use DatabaseTransactions;

    protected User $educator;

    protected function setUp(): void
    {
        parent::setUp();
        $this->educator = Scenario::educator();
        // Once a day, after some page: not after those of a test.
        Cache::put('pruned', true);
        $this->actingAs($this->educator);
    }

    /** After a device was there: each request of a test is served by the same application. */
    protected function asEducator(): static
    {
        Auth::forgetGuards();
        Auth::shouldUse('web');

        return $this->actingAs($this->educator, 'web');
    }

    /** At a tablet or phone that joined. */
    protected function atDevice(Device $device): static
    {
        Auth::forgetGuards();
        Auth::shouldUse('device');

        return $this->actingAs($device->refresh(), 'device');
    }

    protected function class(): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator));
    }

    protected function named(Challenge $challenge, string $name): Group
    {
        return $challenge->groups()->where('name', $name)->sole();
    }

    /** @param array<string, mixed> $typed */
    protected function log(Challenge $challenge, string $group, array $typed): TestResponse
    {
        return $this->post("/challenges/{$challenge->id}/runs", $typed + [
            'id' => (string) Str::uuid7(),
            'group' => $challenge->groups()->where('name', $group)->value('id'),
        ]);
    }

    /** The text of a page of a class, as it is read: what stands in a block of its own is a word of its own. */
    protected function textOf(Challenge $challenge, string $page): string
    {
        $html = (string) $this->get("/challenges/{$challenge->id}{$page}")->assertOk()->getContent();
        $text = preg_replace(
            ['~<(script|style)\b.*?</\1>~s', '~</?(a|b|em|small|span|strong)\b[^>]*>~', '~<[^>]+>~'],
            ['', '', ' '],
            $html,
        );

        return (string) preg_replace('/[\s\x{00A0}]+/u', ' ', html_entity_decode((string) $text));
    }

    /** What is deferred to the end of a transaction, now: here none ever ends. */
    protected function settle(): void
    {
        Challenge::getConnectionResolver()->connection()->statement('SET CONSTRAINTS ALL IMMEDIATE');
        Challenge::getConnectionResolver()->connection()->statement('SET CONSTRAINTS ALL DEFERRED');
        Challenge::getConnectionResolver()->connection()->statement('UPDATE revisions SET transaction = NULL');
    }
}

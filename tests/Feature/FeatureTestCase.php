<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\User;
use Illuminate\Foundation\Testing\DatabaseTransactions;
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
        $this->actingAs($this->educator);
    }

    protected function class(): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator));
    }

    /** @param array<string, mixed> $typed */
    protected function log(Challenge $challenge, string $group, array $typed): TestResponse
    {
        return $this->post("/challenges/{$challenge->id}/runs", $typed + [
            'id' => (string) Str::uuid7(),
            'group' => $challenge->groups()->where('name', $group)->value('id'),
        ]);
    }
}

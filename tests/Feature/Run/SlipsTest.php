<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Actions\ManageHomeLinks;
use App\Models\Challenge;
use Illuminate\Support\Str;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A quantity that is more likely a slip than right is asked about once, wherever it is typed, and taken when it is confirmed. */
final class SlipsTest extends FeatureTestCase
{
    /** A sheet with one run typed in metres among centimetres is stored as it says, but not without a word. */
    public function testARunTableSaysWhichRunsLookLikeSlips(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $sheet = "group,try,distance (cm)\nKeel,1,312\nKeel,2,318\nKeel,3,3.05\nReef,1,281\nReef,2,290\n";
        $page = $this->post("/challenges/{$challenge->id}/sheet/preview", ['text' => $sheet])
            ->assertOk()
            ->assertSee('One run looks like a slip');
        self::assertSame(1, substr_count((string) $page->getContent(), 'class="question block"'));
        $this->post("/challenges/{$challenge->id}/sheet/preview", ['text' => str_replace('3.05', '305', $sheet)])
            ->assertOk()
            ->assertDontSee('like a slip');
        $this->post("/challenges/{$challenge->id}/sheet", ['text' => $sheet])->assertSessionHasNoErrors();
        self::assertSame(5, $challenge->runs()->count());
    }

    public function testTheVeryFirstRunOfAClassIsJudgedByTheCarAndTheLane(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),mass (g),balloon diameter (cm),wheels,wheel diameter (mm)\nKeel,7,60,20,bottle caps,32\nReef,,,,,\n",
        );
        foreach (['Keel', 'Reef'] as $group) {
            $this->postRun($challenge, $group, '3.18')
                ->assertStatus(409)
                ->assertJsonPath('questions.distance', fn(string $said): bool => str_contains($said, 'Did you mean 3.18 m?'));
            $this->postRun($challenge, $group, '318')->assertCreated();
        }
        self::assertSame([3.18, 3.18], $challenge->runs()->pluck('distance_m')->map(floatval(...))->all());
    }

    public function testFeetAmongInchesAndALostDigitAreAskedAboutAtTheLaneAndInACorrection(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['units' => 'imperial']),
            "group,try,distance (in)\nKeel,1,119\nKeel,2,120\nKeel,3,118\nReef,1,111\nBowline,1,125\n",
        );
        $this->postRun($challenge, 'Reef', '11.5')
            ->assertStatus(409)
            ->assertJsonPath('questions.distance', fn(string $said): bool => str_contains($said, 'Did you mean 11.5 ft?'));
        $this->postRun($challenge, 'Keel', '9.9')->assertStatus(409);
        $this->postRun($challenge, 'Keel', '9.9', ['confirmed' => 'distance'])->assertCreated();
        $run = $challenge->runs()->where('distance_m', 111 * 0.0254)->sole();
        $path = "/challenges/{$challenge->id}/runs/{$run->id}";
        $this->put($path, ['distance' => '11.1', 'typed_in' => 'imperial'])->assertSessionHasErrors('distance');
        self::assertEqualsWithDelta(111 * 0.0254, (float) $run->refresh()->distance?->quantity->si(), 1e-9);
        $this->put($path, ['distance' => '11.1', 'typed_in' => 'imperial', 'confirmed' => session('asked')])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(11.1 * 0.0254, (float) $run->refresh()->distance?->quantity->si(), 1e-9);
        // What stood there was asked about then: a correction of something else asks nothing.
        $this->put(
            $path,
            ['distance' => $run->distance?->text, 'note' => 'It hit the wall.', 'typed_in' => 'imperial'],
        )->assertSessionHasNoErrors();
    }

    public function testGuessesChecksBenchAndBuildSheetsAreJudgedAsWell(): void
    {
        $challenge = $this->class();
        $keel = $this->named($challenge, 'Reef');
        $path = "/challenges/{$challenge->id}/groups/{$keel->id}";
        $entry = fn(array $fields): \Illuminate\Testing\TestResponse => $this->postJson(
            "{$path}/entries",
            $fields + ['id' => (string) Str::uuid()],
        );
        // A group's guess and its check, at the tablet: asked, and stored when it is right.
        $entry(['kind' => 'guess', 'predicted' => '3.5'])->assertStatus(409)->assertJsonPath(
            'questions.predicted',
            fn(string $said): bool => str_contains($said, '3.5 m?'),
        );
        $entry(['kind' => 'guess', 'predicted' => '350'])->assertCreated();
        $entry(
            ['kind' => 'check', 'item' => 'drift', 'first' => '5', 'second' => '2', 'side' => 'left'],
        )->assertStatus(409)->assertJsonPath('questions.second', fn(string $said): bool => str_contains($said, '2 m?'));
        $entry(
            ['kind' => 'check', 'item' => 'drift', 'first' => '5', 'second' => '2', 'side' => 'left', 'confirmed' => 'second'],
        )->assertCreated();
        // The educator's card, the bench, and a guess typed for a group.
        $this->put(
            "{$path}/check",
            ['drift_first' => '5', 'drift_second' => '2', 'drift_side' => 'left'],
        )->assertSessionHasErrors('drift_second');
        $this->put(
            "{$path}/check",
            ['drift_first' => '5', 'drift_second' => '2', 'drift_side' => 'left', 'confirmed' => session('asked')],
        )->assertSessionHasNoErrors();
        $this->put("{$path}/bench/ramp", ['r0_0' => '5', 'r0_1' => '1.2'])->assertSessionHasErrors('r0_1');
        $this->put("{$path}/bench/ramp", ['r0_0' => '5', 'r0_1' => '120'])->assertSessionHasNoErrors();
        $this->put("{$path}/prediction", ['predicted' => '2.9'])->assertSessionHasErrors('predicted');
        $this->put("{$path}/prediction", ['predicted' => '290'])->assertSessionHasNoErrors();
        // A balloon of 30 cm measured around, typed as across.
        $sheet = ['balloon_nominal' => '30 cm', 'balloon_size' => '56', 'balloon_measured_as' => 'diameter', 'save_as' => 'correction'];
        $this->put("{$path}/car", $sheet)->assertSessionHasErrors('balloon_size');
        self::assertStringContainsString(
            'Did you measure around it? Then choose “around”, or type 17.8',
            (string) session('errors')?->first('balloon_size'),
        );
        $this->put("{$path}/car", ['balloon_measured_as' => 'circumference'] + $sheet)->assertSessionHasNoErrors();
    }

    public function testWhatComesFromHomeIsJudgedAndKeptWhenItIsRight(): void
    {
        $challenge = $this->class();
        $token = app(ManageHomeLinks::class)->link($this->named($challenge, 'Keel'), now()->addWeek()->toImmutable());
        $this->post(
            "/home/{$token}",
            ['kind' => 'run', 'distance' => '1.3', 'nozzle_bore' => '60'],
        )->assertSessionHasErrors(['distance', 'nozzle_bore']);
        self::assertSame(0, \App\Models\HomeItem::query()->count());
        $this->post(
            "/home/{$token}",
            ['kind' => 'run', 'distance' => '1.3', 'nozzle_bore' => '60', 'confirmed' => session('asked')],
        )->assertSessionHasNoErrors();
        self::assertSame(1, \App\Models\HomeItem::query()->count());
    }

    /** @param array<string, string> $more */
    private function postRun(Challenge $challenge, string $group, string $distance, array $more = []): \Illuminate\Testing\TestResponse
    {
        return $this->postJson(
            "/challenges/{$challenge->id}/runs",
            $more + ['id' => (string) Str::uuid7(), 'group' => $this->named($challenge, $group)->id, 'distance' => $distance],
        );
    }

    /** In whatever way a name comes, the hint comes with it; who means it keeps it. */
    public function testNamesOfChildrenAreAskedAboutWhereverANameIsTyped(): void
    {
        $challenge = $this->class();
        $path = "/challenges/{$challenge->id}";
        $hint = 'looks like children’s names';
        $ask = function (string $method, string $to, array $typed, string $field) use ($hint): void {
            $this->{$method}($to, $typed)->assertSessionHasErrors($field);
            self::assertStringContainsString($hint, (string) session('errors')?->first($field), $to);
        };
        $keel = $this->named($challenge, 'Keel');
        $ask('post', "{$path}/groups", ['names' => "The Otters\nAnna and Ben\n"], 'names');
        $this->post(
            "{$path}/groups",
            ['names' => "The Otters\nAnna and Ben\n", 'confirmed' => session('asked')],
        )->assertSessionHasNoErrors();
        $ask('put', "{$path}/groups/{$keel->id}", ['name' => 'Emma Larsson', 'mark' => $keel->mark], 'name');
        // Siblings: the second car of a group, and a run table.
        $ask('post', "{$path}/groups/{$keel->id}/cars", ['car_name' => 'Oliver Stone'], 'car_name');
        $this->post(
            "{$path}/groups/{$keel->id}/cars",
            ['car_name' => 'Oliver Stone', 'confirmed' => session('asked')],
        )->assertSessionHasNoErrors();
        $this->post("{$path}/sheet/preview", ['text' => "group,try,distance (cm)\nEmma Larsson,1,300\n"])->assertOk()->assertSee($hint);
        $this->post("{$path}/sheet/preview", ['text' => "group,try,distance (cm)\nThe Badgers,1,300\n"])->assertOk()->assertDontSee($hint);
    }
}

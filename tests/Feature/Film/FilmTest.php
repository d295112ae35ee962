<?php

declare(strict_types=1);

namespace Tests\Feature\Film;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Run;
use Devices\FilmedScene;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A run on film, from where the car was in each picture to what is kept of it. */
final class FilmTest extends FeatureTestCase
{
    public function testAFilmIsReadKeptAndFillsWhatNobodyRecorded(): void
    {
        [$challenge, $run] = $this->filmed();
        $address = "/challenges/{$challenge->id}/runs/{$run->id}/film";
        $this->get($address)->assertOk()->assertSee('the run in one picture')->assertSee('The film stays on this device.');
        $sent = $this->sent(new FilmedScene(3));
        $answer = $this->postJson($address, $sent)->assertOk()->assertJsonMissing(['fault']);
        self::assertSame('Stopped at', $answer->json('figures.0.0'));
        self::assertStringContainsString('The marks agree to', $answer->json('notes.0'));
        self::assertSame(0, $run->readings()->count(), 'asking keeps nothing');

        $picture = imagecreatetruecolor(40, 30);
        ob_start();
        imagejpeg($picture);
        // A film of 4 m beside a record of 3 m: which is right is asked, and nothing is kept meanwhile.
        $this->putJson($address, $sent)
            ->assertStatus(409)
            ->assertJsonPath('question', fn(string $said): bool => str_contains($said, "the record says 300\u{00A0}cm"));
        self::assertSame(0, $run->readings()->count());
        $sent['confirmed'] = true;
        $kept = $this->putJson(
            $address,
            $sent + ['picture' => 'data:image/jpeg;base64,' . base64_encode((string) ob_get_clean())],
        )->assertOk();
        self::assertSame(route('trace.show', [$challenge, $run]), $kept->json('go'));
        $run->refresh();
        self::assertSame(3.0, $run->distance?->quantity->si(), 'what was recorded stays');
        self::assertEqualsWithDelta((new FilmedScene(3))->run->stopTimeS, $run->total_time?->quantity->si(), 0.05);
        self::assertNotNull($run->limp);
        self::assertNotNull($run->time);
        self::assertSame('edited', $run->changes()->sole()->kind);
        $this->get("/challenges/{$challenge->id}/runs/{$run->id}/trace")
            ->assertOk()
            ->assertSee('What the film said')
            ->assertSee('data:image/jpeg;base64,', false)
            ->assertDontSee('The trace does not show where the thrust ended.');
    }

    public function testWhatCannotBeReadIsSaidAndKeepsNothing(): void
    {
        [$challenge, $run] = $this->filmed();
        $address = "/challenges/{$challenge->id}/runs/{$run->id}/film";
        $sent = $this->sent(new FilmedScene(3));
        $seen = json_decode($sent['seen'], true, 8, JSON_THROW_ON_ERROR);
        $with = static fn(array $other): array => ['seen' => json_encode($other + $seen, JSON_THROW_ON_ERROR)] + $sent;
        foreach ([
            'It takes 3 marks at least; there are 2.' => $with(['marks' => array_slice($seen['marks'], 0, 2)]),
            'The car moves in too few pictures: 5, and it takes 12. Film more pictures a second, or more of the run.' => $with(
                ['points' => array_slice($seen['points'], 0, 5)],
            ),
            'The car does not move along the line.' => $with(
                ['points' => array_map(static fn(array $point): array => [$point[0], 100.0, 0], $seen['points'])],
            ),
            'Two marks are at the same place. Each needs a distance and a place of its own.' => $with(
                ['marks' => array_map(static fn(array $mark): array => ['place' => '1 m'] + $mark, $seen['marks'])],
            ),
        ] as $said => $wrong) {
            self::assertSame($said, $this->postJson($address, $wrong)->assertOk()->json('fault'));
            self::assertSame($said, $this->putJson($address, $wrong)->assertOk()->json('fault'));
        }
        foreach ([
            'seen' => ['seen' => 'nonsense'] + $sent,
            'marks.0.place' => $with(['marks' => [['place' => 'far'] + $seen['marks'][0], ...array_slice($seen['marks'], 1)]]),
            'camera' => ['camera' => '40 m'] + $sent,
            'followed' => ['followed' => 'knee'] + $sent,
            'slower' => ['slower' => 0] + $sent,
            'picture' => ['picture' => 'data:image/jpeg;base64,bm8='] + $sent,
        ] as $field => $wrong) {
            $this->putJson($address, $wrong)->assertStatus(422)->assertJsonValidationErrors($field === 'seen' ? 'line' : $field);
        }
        self::assertSame(0, $run->readings()->count());
        self::assertNull($run->refresh()->total_time);
        // What plays slower took less time.
        $slow = $this->postJson(
            $address,
            [
                'slower' => 4,
                'seen' => json_encode(
                    [
                        'points' => array_map(static fn(array $point): array => [4 * $point[0], $point[1], $point[2]], $seen['points']),
                    ] + $seen,
                    JSON_THROW_ON_ERROR,
                ),
            ] + $sent,
        );
        self::assertSame($this->postJson($address, $sent)->json('figures'), $slow->json('figures'));
    }

    public function testWhatToKnowAboutTheFiguresIsSaid(): void
    {
        [$challenge, $run] = $this->filmed();
        $address = "/challenges/{$challenge->id}/runs/{$run->id}/film";
        $scene = new FilmedScene(3);
        $sent = $this->sent($scene);
        $seen = json_decode($sent['seen'], true, 8, JSON_THROW_ON_ERROR);
        $notes = fn(array $other): string => implode(
            ' ',
            $this->postJson($address, ['seen' => json_encode($other + $seen, JSON_THROW_ON_ERROR)] + $sent)->assertOk()->json('notes'),
        );

        self::assertStringContainsString(
            'nothing checks them',
            $notes(['marks' => [$seen['marks'][0], $seen['marks'][2], $seen['marks'][4]]]),
        );
        $wrong = $seen['marks'];
        $wrong[2]['u'] += 60;
        self::assertStringContainsString('A mark may be wrong', $notes(['marks' => $wrong]));
        $early = array_values(
            array_filter($seen['points'], static fn(array $point): bool => $point[0] < $scene->releaseS + 0.8 * $scene->run->stopTimeS),
        );
        self::assertStringContainsString('The film ends before the car stood.', $notes(['points' => $early]));
        // A film that plays four times slower than somebody said disagrees with the stopwatch.
        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            ['group' => $run->car->group_id, 'distance' => '300', 'time' => '1.2'],
        )->assertSessionHasNoErrors();
        self::assertStringNotContainsString('the stopwatch had', $notes([]));
        self::assertStringContainsString(
            'the stopwatch had 1.20',
            $notes(['points' => array_map(static fn(array $point): array => [4 * $point[0], $point[1], $point[2]], $seen['points'])]),
        );
    }

    public function testAFilmThatAgreesWithTheRecordIsKeptUnasked(): void
    {
        [$challenge, $run] = $this->filmed();
        $scene = new FilmedScene(3);
        $run->fill(['id' => $run->id])
            ->forceFill(
                ['distance_m' => round($scene->run->distanceM, 2), 'distance_entered' => round(100 * $scene->run->distanceM) . ' cm'],
            )
            ->save();
        $this->putJson("/challenges/{$challenge->id}/runs/{$run->id}/film", $this->sent($scene))->assertOk()->assertJsonStructure(['go']);
    }

    public function testALargeFilmIsRefusedBeforeItIsLookedAt(): void
    {
        [$challenge, $run] = $this->filmed();
        $address = "/challenges/{$challenge->id}/runs/{$run->id}/film";
        $sent = $this->sent(new FilmedScene(3));
        $seen = json_decode($sent['seen'], true, 8, JSON_THROW_ON_ERROR);
        $points = array_fill(0, 30_000, [1.5, 200.25, 0]);
        $this->postJson(
            $address,
            ['seen' => json_encode(['points' => $points] + $seen, JSON_THROW_ON_ERROR)] + $sent,
        )->assertUnprocessable();
        foreach ([[[1.0, 'x', 0]], [[1.0, 2.0]], [[1.0, 2.0, 3]], [[-1.0, 2.0, 0]], [7], array_slice($points, 0, 4001)] as $wrong) {
            $this->postJson(
                $address,
                ['seen' => json_encode(['points' => $wrong] + $seen, JSON_THROW_ON_ERROR)] + $sent,
            )->assertUnprocessable();
        }
        // One that asks without end waits; whoever logs runs does not.
        for ($i = 0; $i < 60 && $this->postJson($address, $sent)->getStatusCode() !== 429; $i++);
        self::assertLessThan(60, $i);
        $this->log($challenge, 'Keel', ['distance' => '301'])->assertSessionHasNoErrors();
    }

    public function testAVoidRunKeepsWhatWasTyped(): void
    {
        [$challenge, $run] = $this->filmed();
        $scene = new FilmedScene(3);
        $sent = $this->sent($scene);
        $run->void_reason = VoidReason::HitSomething;
        $run->save();
        $this->putJson("/challenges/{$challenge->id}/runs/{$run->id}/film", $sent + ['confirmed' => true])
            ->assertOk()
            ->assertJsonStructure(['go']);
        self::assertNull($run->refresh()->total_time, 'a void run keeps what was typed');
        self::assertSame(1, $run->readings()->count());
    }

    public function testAFilmThatIsReadBeforeItsRunIsLoggedFillsItAndIsItsTrace(): void
    {
        [$challenge, $run] = $this->filmed();
        $scene = new FilmedScene(3);
        $address = "/challenges/{$challenge->id}/film";
        $this->get($address)->assertOk()->assertSee('Runs on film')->assertSee('the run that is logged next');
        $answer = $this->postJson($address, $this->sent($scene))->assertOk();
        self::assertNotContains('Push, on average', array_column($answer->json('figures'), 0), 'whose car it was, nobody said');
        self::assertSame(route('runs.show', $challenge), $this->putJson("{$address}?lane=1", $this->sent($scene))->assertOk()->json('go'));
        $this->settle();
        $waiting = $this->getJson("/challenges/{$challenge->id}/floor")->assertOk()->json('readings.1');
        self::assertEqualsWithDelta(100 * $scene->run->distanceM, (float) $waiting['fields']['distance'], 3.0);
        $this->log(
            $challenge,
            'Keel',
            [
                'distance' => $waiting['fields']['distance'], 'total_time' => $waiting['fields']['total_time'],
                'readings' => $waiting['ids'], 'lane' => '1',
            ],
        )->assertSessionHasNoErrors();
        $logged = $challenge->runs()->get()->firstWhere('id', '<>', $run->id);
        self::assertNotNull($logged);
        // Now the car is known, and its mass with it.
        $this->get("/challenges/{$challenge->id}/runs/{$logged->id}/trace")
            ->assertOk()
            ->assertSee('What the film said')
            ->assertSee('Push, on average')
            ->assertSee('Push given (above)');
        // A group's tablet has no lane of its own at which a film could wait.
        $this->atDevice(AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $run->car->group)[0]);
        $this->get($address)->assertNotFound();
        $this->putJson($address, $this->sent($scene))->assertNotFound();
    }

    public function testAHelperReadsAnyFilmAndAGroupItsOwn(): void
    {
        [$challenge, $run] = $this->filmed();
        $address = "/challenges/{$challenge->id}/runs/{$run->id}/film";
        $sent = $this->sent(new FilmedScene(3)) + ['confirmed' => true];
        $this->atDevice(AdmitDevices::join($challenge, DeviceRole::Log, 'Helper 1', null)[0]);
        $this->get($address)->assertOk();
        self::assertSame(route('runs.index', $challenge) . "#run-{$run->id}", $this->putJson($address, $sent)->assertOk()->json('go'));
        $this->atDevice(AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $run->car->group)[0]);
        $this->get($address)->assertOk();
        self::assertSame(route('groups.own', [$challenge, $run->car->group]), $this->putJson($address, $sent)->assertOk()->json('go'));
        $other = $challenge->groups()->create(['name' => 'Reef', 'mark' => 'dome-solid', 'position' => 2]);
        $this->atDevice(AdmitDevices::join($challenge, DeviceRole::Group, 'another tablet', $other)[0]);
        $kept = $run->readings()->count();
        $this->get($address)->assertNotFound();
        $this->postJson($address, $sent)->assertNotFound();
        $this->putJson($address, $sent)->assertNotFound();
        self::assertSame($kept, $run->readings()->count());
    }

    /** @return array{Challenge, Run} */
    private function filmed(): array
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['tries' => 2, 'timed_length' => Scenario::entry('1 m')]),
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),try,distance (cm)\nKeel,8,20,60,1,300\n",
        );

        return [
            $challenge,
            Run::query()->whereIn('car_id', $challenge->groups()->get()->flatMap(static fn($group) => $group->cars()->pluck('id')))->sole(),
        ];
    }

    /** @return array<string, mixed> what a browser would send, had it found the car without error */
    private function sent(FilmedScene $scene): array
    {
        $line = $scene->line();
        $points = [];
        foreach ($scene->times as $at) {
            $x = $scene->placeM($at);
            [$u, $v] = $scene->lens->sees($x, $scene->acrossM($x), $scene->drawnM);
            $points[] = [
                $at,
                (
                    ($u - $line[0]) * ($line[2] - $line[0]) + ($v - $line[1]) * ($line[3] - $line[1])
                ) / hypot($line[2] - $line[0], $line[3] - $line[1]),
                0,
            ];
        }

        return [
            'seen' => json_encode([
                'line' => $line,
                'marks' => array_map(
                    static fn(array $tap): array => ['u' => $tap[0], 'v' => $tap[1], 'edge' => null, 'place' => "{$tap[2]} m"],
                    $scene->taps(5),
                ),
                'points' => $points,
            ], JSON_THROW_ON_ERROR),
            'slower' => 1,
            'camera' => round($scene->cameraM, 2) . ' m',
            'followed' => '',
            'typed_in' => 'metric',
        ];
    }
}

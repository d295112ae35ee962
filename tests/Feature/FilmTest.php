<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\Run;
use Devices\FilmedScene;
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
    }

    /** @return array{Challenge, Run} */
    private function filmed(): array
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['tries' => 2, 'timed_length' => Scenario::entry('1 m')]),
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),try,distance (cm)\nKeel,8,20,60,1,300\n",
        );

        return [$challenge, Run::query()->whereIn('car_id', $challenge->groups()->get()->flatMap(static fn($group) => $group->cars()->pluck('id')))->sole()];
    }

    /** @return array<string, mixed> what a browser would send, had it found the car without error */
    private function sent(FilmedScene $scene): array
    {
        $line = $scene->line();
        $points = [];
        foreach ($scene->times as $at) {
            $x = $scene->placeM($at);
            [$u, $v] = $scene->lens->sees($x, $scene->acrossM($x), $scene->drawnM);
            $points[] = [$at, (($u - $line[0]) * ($line[2] - $line[0]) + ($v - $line[1]) * ($line[3] - $line[1])) / hypot($line[2] - $line[0], $line[3] - $line[1]), 0];
        }

        return [
            'seen' => json_encode([
                'line' => $line,
                'marks' => array_map(static fn(array $tap): array => ['u' => $tap[0], 'v' => $tap[1], 'edge' => null, 'place' => "{$tap[2]} m"], $scene->taps(5)),
                'points' => $points,
            ], JSON_THROW_ON_ERROR),
            'slower' => 1,
            'camera' => round($scene->cameraM, 2) . ' m',
            'followed' => '',
            'typed_in' => 'metric',
        ];
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Models\Challenge;
use App\Models\Run;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Findings\Outcome;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** For the fastest: after the tries, every car over one length that all of them reach. */
final class TimedRoundTest extends FeatureTestCase
{
    private const SHEET = "group,try,distance (cm)\nBowline,1,329\nBowline,2,341\nKeel,1,131\nKeel,2,151\n";

    public function testTheLongestLengthThatEveryCarReachesIsProposed(): void
    {
        $challenge = $this->withTries();
        $this->get("/challenges/{$challenge->id}")
            ->assertOk()
            ->assertSee("Every try so far reached 131\u{00A0}cm (Keel was shortest). So every car can be timed over 1\u{00A0}m.");
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        $this->get("/challenges/{$challenge->id}")->assertSee("timed over 4\u{00A0}ft");
        $empty = Scenario::challenge($this->educator);
        Scenario::withClass($empty, "group\nKeel\n");
        $this->get("/challenges/{$empty->id}")->assertSee('When the cars have run');
    }

    public function testTimedRunsComeAfterTheTriesAndTheirTimesCountForTheFastestAlone(): void
    {
        $challenge = $this->withTries();
        $this->from("/challenges/{$challenge->id}")
            ->put("/challenges/{$challenge->id}/timed-round", ['timed_over' => '', 'rounds' => '9'])
            ->assertSessionHasErrors(
                ['timed_over' => 'Say the length that is timed, such as 1 m.', 'rounds' => 'Timed runs are from 1 to 5.'],
            );
        $this->put("/challenges/{$challenge->id}/timed-round", ['timed_over' => '1', 'rounds' => '2'])->assertRedirect();
        $challenge->refresh();
        self::assertSame([2, '1 m', true], [$challenge->timed_rounds, $challenge->timed_length?->text, $challenge->isAfter(Goal::Fastest)]);
        $this->get("/challenges/{$challenge->id}")->assertSee('timed run 1 of 2')->assertSee('Take the timed round out');

        $before = ClassRecord::of($challenge)->standings()->leader()?->score;
        $this->log($challenge, 'Keel', ['time' => '2.5', 'practice' => '0'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Bowline', ['time' => '1.25', 'practice' => '0'])->assertSessionHasNoErrors();
        $run = Run::query()->where('time_s', 2.5)->sole();
        self::assertSame([RunKind::Timed, 1.0, true], [$run->kind, $run->distance?->quantity->si(), $run->past_end]);
        $record = ClassRecord::of($challenge);
        self::assertSame($before, $record->standings()->leader()?->score);
        $fastest = $record->standingsFor($challenge->award(Goal::Fastest))->leader();
        self::assertSame([1.25, (string) $this->named($challenge, 'Bowline')->id], [$fastest?->score, $fastest?->entrant->id]);
        self::assertSame(2.5, $record->measure(Outcome::Time, $this->named($challenge, 'Keel')->newestCar())?->mean());
        self::assertEqualsWithDelta(
            1.41,
            $record->measure(Outcome::Distance, $this->named($challenge, 'Keel')->newestCar())?->mean(),
            1e-9,
            'how far it went in the timed round counts for nothing',
        );

        // A run without a time needs its distance, and a void one is made again.
        $this->log($challenge, 'Keel', ['practice' => '0'])->assertSessionHasErrors('distance');
        $this->log($challenge, 'Keel', ['void' => 'hit something', 'practice' => '0'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Keel', ['time' => '2.6', 'practice' => '0'])->assertSessionHasNoErrors();
        // After the round what is timed is an extra try as ever.
        $this->log($challenge, 'Keel', ['time' => '2.6', 'practice' => '0'])->assertSessionHasErrors('distance');
        foreach (['', '/runs', '/findings/awards', '/report/certificates', '/sheet'] as $page) {
            $this->get("/challenges/{$challenge->id}{$page}")->assertOk();
        }
        $this->get("/challenges/{$challenge->id}/runs")->assertSee('timed run 2');
        $this->get("/challenges/{$challenge->id}/sheet/csv")->assertSee('timed');
        $this->delete("/challenges/{$challenge->id}/timed-round")->assertSessionHas(
            'status',
            'The timed round is out. What was timed stays on record.',
        );
        self::assertSame(1.25, ClassRecord::of($challenge->refresh())->standingsFor($challenge->award(Goal::Fastest))->leader()?->score);
    }

    public function testTimesThatAreTakenWithTheTriesStand(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['timed_length' => Scenario::entry('1 m')]),
            "group,try,distance,time\nKeel,1,300,1.2\n",
        );
        $this->get("/challenges/{$challenge->id}")->assertSee('This class times its tries already');
    }

    public function testPracticeAndTheTimedRoundStandInTheRunOrder(): void
    {
        $challenge = $this->withTries();
        $challenge->update(['practice_runs' => 1, 'timed_rounds' => 1, 'timed_length' => Scenario::entry('1 m')]);
        $this->get("/challenges/{$challenge->id}/plan/timetable")
            ->assertOk()
            ->assertSee('1 practice run, 2 tries and 1 timed run')
            ->assertSeeInOrder(['practice 1', 'try 1', 'try 2', 'timed run 1']);
    }

    private function withTries(): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 2]), self::SHEET);
    }
}

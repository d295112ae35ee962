<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\User;
use App\Pages\Findings\FindingWords;
use App\Pages\Findings\PredictionsReading;
use App\Record\ClassFindings;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Illuminate\Support\Facades\Artisan;
use Skivo\Core\Exchange\FindingsReport;
use Skivo\Core\Findings\Work;
use Tests\Scenario;

/** The demo class has something to find, and the README's tour of it tells the truth. */
final class DemoTest extends FeatureTestCase
{
    private Challenge $demo;

    protected function setUp(): void
    {
        parent::setUp();
        putenv('DEMO_PASSWORD=' . Scenario::PASSWORD);
        Artisan::call('skivo:demo');
        $user = User::query()->where('email', 'demo@skivo.example')->sole();
        $this->actingAs($user);
        $this->demo = $user->challenges()->where('name', 'Cross the Slipway')->sole();
    }

    public function testItsQuestionHasAnAnswer(): void
    {
        $record = ClassRecord::of($this->demo);
        $findings = ClassFindings::of($record);
        $words = new FindingWords($record, $findings);
        self::assertSame('Yes.', $words->headline()->lead);
        self::assertStringStartsWith("With 9\u{00A0}mm instead of 5\u{00A0}mm a car goes about 2", $words->headline()->rest);
        $asked = $findings->found->asked ?? self::fail('Its cars speak of its question.');
        self::assertGreaterThanOrEqual(5, $asked->groups());
        self::assertCount(1, $asked->rebuilt(), 'one of them is a rebuilt car');
        self::assertStringContainsString('Reef changed nozzle bore on its car', $words->howWeKnow($asked));
        self::assertNotNull($findings->found->next);
        self::assertNotNull($asked->shares(), 'and what makes the difference');
        // What is said adds up, with its signs: hands that worked against it are not said to have made it.
        self::assertLessThan(0.0, $asked->shares()->hands);
        self::assertStringContainsString(' less, is how each car was built and run.', (string) $words->shares($asked));
        self::assertCount(10, $findings->found->works, 'every car that ran is on the figure');
    }

    /** Page and command are one function: whoever takes the class as JSON finds every number of the pages. */
    public function testTheCommandFindsWhatThePagesSay(): void
    {
        $found = ClassFindings::of(ClassRecord::of($this->demo))->found;
        $json = (string) $this->get("/challenges/{$this->demo->id}/findings/class.json")->assertOk()->getContent();
        $command = proc_open([dirname(__DIR__, 2) . '/bin/skivo', 'findings', '-'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($command);
        fwrite($pipes[0], $json);
        fclose($pipes[0]);
        $said = (string) stream_get_contents($pipes[1]);
        self::assertSame('', stream_get_contents($pipes[2]));
        self::assertSame(0, proc_close($command));
        $own = json_encode(FindingsReport::of($found), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE);
        self::assertEquals(json_decode($own, true), json_decode($said, true));
        self::assertNotSame([], json_decode($said, true)['work']);
    }

    public function testItsBenchIsMostlyDoneAndItsHandsAreKnownByIt(): void
    {
        $record = ClassRecord::of($this->demo);
        $forces = new ClassForces($record);
        self::assertSame(7, $record->groups->where(static fn($group) => $group->currentCar()?->bench_readings_exists)->count());
        self::assertNotNull($forces->pump);
        self::assertEqualsWithDelta(250.0, 1e6 * $forces->pump->strokeM3, 60.0, 'a hand pump');
        self::assertTrue($forces->forecast->hands->pressureInterval->contains(1.0), 'its runs are the model’s own');
        self::assertGreaterThan(0.02, $forces->forecast->hands->workmanship);
        $known = array_count_values(
            array_map(static fn(Work $work): string => $work->push->name, array_values(ClassFindings::of($record)->found->works)),
        );
        self::assertGreaterThan(0, $known['WorkedOut'] ?? 0, 'where only friction was measured');
        self::assertGreaterThan(0, $known['Measured'] ?? 0);
    }

    public function testItsPredictionsMetTheirRuns(): void
    {
        $predictions = PredictionsReading::of(ClassRecord::of($this->demo));
        self::assertGreaterThan(4, count($predictions->foresights));
        self::assertNotSame([], $predictions->rows);
    }

    public function testEveryPageOfItOpensInEitherSystem(): void
    {
        $group = $this->demo->groups()->where('name', 'Reef')->sole();
        foreach (['metric', 'imperial'] as $units) {
            $this->demo->update(['units' => $units]);
            foreach (
                [
                    '', '/groups', '/check', '/bench', "/groups/{$group->id}/bench", "/groups/{$group->id}/bench?version=1", '/findings',
                    '/findings/work', '/findings/beliefs', '/findings/sure', "/findings/sure?car={$group->newestCar()?->id}",
                    '/findings/awards', '/report', '/report/notebooks', '/report/certificates', '/races', '/dry-run',
                    "/groups/{$group->id}/car/versions",
                ] as $page
            ) {
                $content = (string) $this->get("/challenges/{$this->demo->id}{$page}")->assertOk()->getContent();
                // Averages alone stand in both.
                $content = (string) preg_replace('~<span class="small other-units">.*?</span>~s', '', $content);
                self::assertStringNotContainsString($units === 'imperial' ? "\u{00A0}cm<" : "\u{00A0}in<", $content, $page);
            }
        }
    }
}

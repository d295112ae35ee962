<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Challenge;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Exchange\Csv;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class PlanTest extends FeatureTestCase
{
    private const RULES = [
        'name' => 'Across', 'goal' => 'farthest', 'scoring' => 'mean', 'tries' => '3', 'units' => 'metric', 'lane_length' => '6',
    ];

    public function testSeveralGoalsLimitsAndWhatIsHeldEqual(): void
    {
        $this->post('/challenges', [
            'award_fastest' => '1', 'award_straightest' => '1', 'award_load' => '1', 'timed_length' => '1', 'load_length' => '2 m',
            'lanes' => '2', 'air_temperature' => '68 F',
            'design' => 'held', 'free_nozzle' => '1', 'free_mass' => '0', 'most_balloons' => '2', 'most_straws' => '5', 'heaviest' => '80',
            'longest' => '8 in',
            'allowed_wheel' => 'bottle caps, , jar lids', 'push_is_foul' => '0',
        ] + self::RULES)->assertSessionHasNoErrors();
        $challenge = $this->educator->challenges()->sole();

        self::assertSame(
            [Goal::Farthest, Goal::Fastest, Goal::Straightest, Goal::HeaviestLoad],
            array_map(static fn($award): Goal => $award->goal, $challenge->allAwards()),
        );
        self::assertSame(2.0, $challenge->allAwards()[3]->lengthM);
        self::assertSame([['nozzle'], 2, 5, '80 g', 0.2032, ['wheel' => ['bottle caps', 'jar lids']], false], [
            $challenge->free_steps, $challenge->most_balloons, $challenge->most_straws, $challenge->heaviest?->text,
            $challenge->longest?->quantity->si(), $challenge->allowed, $challenge->push_is_foul,
        ]);
        self::assertSame(['68 °F', 20.0], [$challenge->air_temperature_entered, round((float) $challenge->air_temperature_c, 9)]);
        $this->get("/challenges/{$challenge->id}/plan")->assertOk()->assertSee('bottle caps, jar lids')->assertSee('68 °F');
        $this->get("/challenges/{$challenge->id}/plan/brief/class")
            ->assertSee('Heaviest load over')
            ->assertSee('Change only the nozzle')
            ->assertSee('A push at the start is allowed');
    }

    public function testAGoalNeedsItsLength(): void
    {
        $this->post(
            '/challenges',
            [
                'award_fastest' => '1', 'award_nearest' => '1', 'award_load' => '1', 'air_temperature' => 'warm', 'lanes' => '0',
                'heaviest' => '80 kg', 'most_straws' => '-1',
            ] + self::RULES,
        )
            ->assertSessionHasErrors(
                ['timed_length', 'mark_distance', 'load_length', 'air_temperature', 'lanes', 'heaviest', 'most_straws'],
            );
        self::assertStringContainsString('where the mark is', session('errors')->first('mark_distance'));
        self::assertSame(0, $this->educator->challenges()->count());
    }

    public function testAwardsAreRankedEachForItself(): void
    {
        $challenge = $this->class();
        $challenge->update(['tries' => 4, 'awards' => ['fastest', 'straightest'], 'timed_length' => $challenge->lane_length]);
        $this->log($challenge, 'Keel', ['distance' => '120', 'drift' => '30', 'drift_side' => 'left'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Halyard', ['distance' => '400', 'drift' => '8 in', 'drift_side' => 'right'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Halyard', ['distance' => '400', 'drift' => '8 in', 'drift_side' => ''])->assertSessionHasErrors('drift');

        $this->get("/challenges/{$challenge->id}")
            ->assertSee('Fastest over')
            ->assertSee('Straightest:')
            ->assertSeeInOrder(['Straightest:', 'Halyard leads'], false);
        self::assertSame(
            [0.2032, 'right'],
            [
                $challenge->runs()->whereNotNull('drift_m')->latest('logged_at')->firstOrFail()->drift?->quantity->si(),
                $challenge->runs()->whereNotNull('drift_m')->latest('logged_at')->firstOrFail()->drift_side?->value,
            ],
        );
        foreach (Goal::cases() as $goal) {
            $challenge->update(['goal' => $goal, 'mark_distance' => $challenge->lane_length, 'load_length' => $challenge->lane_length]);
            $this->get("/challenges/{$challenge->id}")->assertOk();
            $this->get("/challenges/{$challenge->id}/findings")->assertOk();
        }
    }

    public function testTheListFollowsWhatIsChanged(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $path = "/challenges/{$challenge->id}/plan/materials";
        $this->get($path)->assertOk()->assertSee('For 24 learners in 8 groups')->assertSee('Start collecting now');
        $typed = [
            'groups' => '9', 'learners' => '27', 'spares_percent' => '20', 'by_mouth' => '0', 'latex_free' => '0',
            'kit_chassis' => 'foam board', 'kit_wheels' => 'bottle caps', 'kit_bearing' => 'bamboo skewer in a plastic straw',
            'kit_nozzle' => 'drinking straw', 'kit_balloon' => 'round 30 cm', 'kit_joint' => 'hot glue',
        ];
        $this->put(
            $path,
            $typed + ['amount_wheels' => '5', 'price_wheels' => '0,25', 'amount_bands' => '', 'price_bands' => ''],
        )->assertSessionHasNoErrors();
        $this->get($path)
            ->assertSee('For 27 learners in 9 groups')
            ->assertSee('Chassis: foam board')
            ->assertSee('Glue gun, low temperature')
            ->assertSee('13.50');

        $csv = (string) $this->get("{$path}/csv")->assertOk()->getContent();
        self::assertStringStartsWith(Csv::BYTE_ORDER_MARK . 'item,amount', $csv);
        self::assertStringContainsString('"Wheels: bottle caps",5,group,wheels,"20 %",54,0.25,13.50,yes,', $csv);
        $this->get("{$path}/labels")->assertSee('Kit 9')->assertSee('Wheels: bottle caps');
        // A line is emptied: the usual amount is back.
        $this->put($path, $typed + ['amount_wheels' => '', 'price_wheels' => ''])->assertSessionHasNoErrors();
        self::assertSame(0, $challenge->materialLines()->count());
        $this->put(
            $path,
            ['groups' => '0', 'spares_percent' => 'x'] + $typed + ['amount_wheels' => '-2', 'price_wheels' => 'much'],
        )->assertSessionHasErrors(['groups', 'spares_percent', 'amount_wheels', 'price_wheels']);
        self::assertSame(9, $challenge->plan()->first()?->groups);
    }

    public function testLinesOfOnesOwnComeAndGo(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $path = "/challenges/{$challenge->id}/plan/materials";
        $this->post(
            $path,
            ['name' => '=Googly eyes', 'amount' => '2', 'per' => 'group', 'unit' => 'eyes', 'price' => '0.10', 'is_early' => '1'],
        )->assertSessionHasNoErrors();
        $this->post($path, ['name' => '', 'amount' => 'two', 'per' => 'table'])->assertSessionHasErrors(['name', 'amount', 'per']);
        $this->get($path)->assertSee('=Googly eyes')->assertSee('1.60');
        self::assertStringContainsString("\"'=Googly eyes\"", (string) $this->get("{$path}/csv")->getContent());
        $line = $challenge->materialLines()->sole();
        $this->delete('/challenges/' . Scenario::challenge($this->educator)->id . "/plan/materials/{$line->id}")->assertNotFound();
        $this->delete("{$path}/{$line->id}")->assertSessionHasNoErrors();
        self::assertSame(0, $challenge->materialLines()->count());
    }

    public function testCutSizesAreKeptAsTypedAndSayWhenTheyDoNotFit(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $path = "/challenges/{$challenge->id}/plan/cuts";
        $this->get($path)->assertOk()->assertSee("8.1\u{00A0}cm")->assertSee("11.7\u{00A0}cm")->assertSee('By the rule of thumb');
        $this->put(
            $path,
            ['nozzles_each' => '1', 'chassis_width' => '3 in', 'wheel_thickness' => '3', 'straw_length' => '21 cm'],
        )->assertSessionHasNoErrors();
        self::assertSame('3 in', $challenge->plan()->first()?->chassis_width?->text);
        $this->get($path)->assertSee("8.2\u{00A0}cm")->assertSee("9.6\u{00A0}cm");
        $this->put($path, ['nozzles_each' => '1', 'straw_length' => '6 cm'])->assertSessionHasNoErrors();
        $this->get($path)->assertSee('Bearing needs')->assertSee('Take longer stock');
        $this->get("/challenges/{$challenge->id}/plan/materials")->assertOk()->assertSee('counted roughly');
        $this->put(
            $path,
            ['nozzles_each' => '0', 'chassis_width' => '3 kg', 'kerf' => '1 m'],
        )->assertSessionHasErrors(['nozzles_each', 'chassis_width', 'kerf']);
    }

    public function testTheTimetableSaysWhatWouldMakeItFit(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $path = "/challenges/{$challenge->id}/plan/timetable";
        $phases = [
            'phase_brief' => '10', 'phase_gather' => '5', 'phase_build' => '30', 'phase_set' => '10', 'phase_predict' => '10',
            'phase_check' => '5', 'phase_redesign' => '0', 'phase_discuss' => '10', 'phase_tidy' => '5',
        ];
        $this->put(
            $path,
            $phases + [
                'session_min' => '110', 'heat_min' => '2,5', 'tries_again' => '0', 'lanes' => '1', 'tries' => '3',
                'starts_at' => '2026-12-04T09:30',
            ],
        )->assertSessionHasNoErrors();

        // 75 min and 24 runs of 2.5 min: 135.
        $this->get($path)
            ->assertSee('It does not fit:')
            ->assertSee("25\u{00A0}min more than there are")
            ->assertSee("Run on 2 lanes: then it takes 105\u{00A0}min")
            ->assertSee('Give each group 1 try')
            ->assertSee('09:30');
        $this->put(
            $path,
            $phases + [
                'session_min' => '110', 'heat_min' => '2.5', 'tries_again' => '0', 'lanes' => '2', 'tries' => '3',
                'starts_at' => '2026-12-04T09:30',
            ],
        )->assertSessionHasNoErrors();
        // On two lanes it would, but for a build that takes longer than its 30 min.
        $this->get($path)->assertSee('It does not fit:')->assertSee("only 30\u{00A0}min are planned for it");
        $this->put(
            $path,
            ['phase_build' => '150'] + $phases + [
                'session_min' => '300', 'heat_min' => '2.5', 'tries_again' => '0', 'lanes' => '2', 'tries' => '3',
                'starts_at' => '2026-12-04T09:30',
            ],
        )->assertSessionHasNoErrors();
        $this->get($path)->assertSee('It fits,')->assertSee('Lane 2')->assertSee('the 2 lanes are filled 12 times');
        $this->put(
            $path,
            $phases + [
                'session_min' => '5', 'heat_min' => '0', 'tries_again' => '0', 'lanes' => '20', 'tries' => '3', 'starts_at' => 'soon',
            ],
        )->assertSessionHasErrors(['session_min', 'heat_min', 'lanes', 'starts_at']);
        self::assertSame(2, $challenge->refresh()->lanes);

        $calendar = Reader::read((string) $this->get("{$path}/ics")->assertOk()->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        self::assertSame('Brief the class · Across the hall', (string) $calendar->VEVENT[0]->SUMMARY);
        self::assertSame(
            ['20261204T093000', '20261204T094000'],
            [(string) $calendar->VEVENT[0]->DTSTART, (string) $calendar->VEVENT[0]->DTEND],
        );
        self::assertCount(9, $calendar->VEVENT);
    }

    public function testNothingIsBuiltBeforeTheSafetySheetIsRead(): void
    {
        $challenge = Scenario::challenge($this->educator, ['safety_read_at' => null]);
        $path = "/challenges/{$challenge->id}";
        foreach (['/groups', '/check'] as $page) {
            $this->get($path . $page)->assertRedirect("{$path}/plan/safety");
        }
        $this->post("{$path}/groups", ['names' => 'Keel'])->assertRedirect("{$path}/plan/safety");
        self::assertSame(0, $challenge->groups()->count());
        $this->get("{$path}/plan/safety")
            ->assertSee('Latex')
            ->assertSee('own risk assessment')
            ->assertDontSee('Optical discs')
            ->assertSee('I have read it');
        $this->put("{$path}/plan/safety")->assertRedirect("{$path}/groups");
        $this->get("{$path}/groups")->assertOk();

        // Other materials bring new cautions, which are marked.
        $challenge->refresh()->plan->fill(['kit_wheels' => 'optical discs', 'kit_joint' => 'hot glue'])->save();
        $this->get("{$path}/plan/safety")->assertSee('hot glue, optical discs came in')->assertSee('I have read what is new');
        $this->put("{$path}/plan/safety");
        $this->get("{$path}/plan/safety")->assertDontSee('came in');
    }

    public function testBriefsHoldWhatEachNeeds(): void
    {
        $challenge = $this->class();
        $helpers = $this->get("/challenges/{$challenge->id}/plan/brief/helpers")->assertOk();
        foreach (
            [
                'Run order', 'Halyard', 'where the car stopped (cm from the start line)', 'Wheels turn freely',
                'Pinching a straw narrows it',
            ] as $words
        ) {
            $helpers->assertSee($words);
        }
        $this->get("/challenges/{$challenge->id}/plan/brief/class")
            ->assertSee('Each group has 3 tries; the mean counts.')
            ->assertSee('Does a wider nozzle carry the car farther?');
        $this->get("/challenges/{$challenge->id}/plan/brief/parents")->assertNotFound();
    }

    public function testAnImperialClassPlansInInches(): void
    {
        $challenge = Scenario::challenge($this->educator, ['units' => 'imperial']);
        foreach (['materials', 'materials/labels', 'cuts', 'timetable', 'brief/class', 'brief/helpers'] as $page) {
            $html = (string) $this->get("/challenges/{$challenge->id}/plan/{$page}")->assertOk()->getContent();
            self::assertDoesNotMatchRegularExpression('/\d\x{00A0}(cm|mm)\b/u', $html, $page);
        }
        $this->get("/challenges/{$challenge->id}/plan/cuts")->assertSee("3.19\u{00A0}in");
    }

    public function testThePlanOfAFullClassIsReadInFewQueries(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), Scenario::sheet(30, 3));
        foreach (
            ['plan', 'plan/materials', 'plan/cuts', 'plan/timetable', 'plan/safety', 'plan/brief/helpers', 'groups', 'check'] as $page
        ) {
            self::assertLessThanOrEqual(17, $this->queries(fn() => $this->get("/challenges/{$challenge->id}/{$page}")->assertOk()), $page);
        }
    }

    private function queries(callable $ask): int
    {
        $count = 0;
        Challenge::getConnectionResolver()->connection()->listen(static function () use (&$count): void {
            $count++;
        });
        $ask();

        return $count;
    }
}

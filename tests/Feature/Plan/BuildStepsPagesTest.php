<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Challenge;
use App\Models\OwnPart;
use App\Record\ClassPlan;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Car;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** The steps of the build, sessions and proposals, what is collected, and what goes home. */
final class BuildStepsPagesTest extends FeatureTestCase
{
    public function testHowItIsBuiltIsSavedAndRefusedWithItsField(): void
    {
        $challenge = $this->challengeWithSafety();
        $path = "/challenges/{$challenge->id}/plan/steps";
        $sent = ['decoration' => 'first', 'decorated_with' => 'paint', 'bearings_by' => 'hot glue', 'adults' => '2'];
        $this->put($path, $sent)->assertRedirect($path)->assertSessionHasNoErrors();
        self::assertSame([Sets::HotGlue, 2], [$challenge->plan()->sole()->bearings_by, $challenge->plan()->sole()->adults]);
        $this->get($path)->assertSee('The paint dries')->assertSee('an adult does this')->assertSee('With 2 adults for 8 cars');
        $this->from($path)
            ->put($path, ['decoration' => 'often', 'decorated_with' => 'tape', 'bearings_by' => '', 'adults' => '0'])
            ->assertSessionHasErrors([
                'decoration' => 'Choose when cars are decorated, or that they are not.', 'decorated_with' => 'Choose pens or paint.',
                'bearings_by' => 'Choose what holds the bearings.', 'adults' => 'Adults at hand must be a whole number from 1 to 40.',
            ]);
        // What is glued hot is on the list, and on the safety sheet.
        $this->get("/challenges/{$challenge->id}/plan/materials")
            ->assertSee('Glue gun, low temperature')
            ->assertSee('Paint, in several colours');
        self::assertContains(\Skivo\Core\Car\Build\Caution::Glue, ClassPlan::of($challenge->fresh() ?? $challenge)->safety()->cautions());
        $this->get("/challenges/{$challenge->id}/plan/brief/class")->assertSee('Put one wheel on each axle. Only one!');
    }

    /** What adults do the evening before is no child's step, takes no time of the class, and stands on a sheet of its own. */
    public function testWhatIsPreparedLeavesTheClass(): void
    {
        $challenge = $this->challengeWithSafety();
        $at = "/challenges/{$challenge->id}/plan";
        $this->get("{$at}/timetable")->assertSee('Until every car has had its adult it takes about 90')->assertDontSee('To prepare');
        $this->get("{$at}/print")->assertDontSee('To prepare before the class');
        $sent = ['decoration' => 'none', 'decorated_with' => 'pens', 'bearings_by' => 'tape', 'adults' => '1', 'helpers' => '2'];
        $prepared = [
            'prepared_points_off' => '1', 'prepared_pierce_wheels' => '1', 'prepared_cut_axles' => '1', 'prepared_cut_chassis' => '1',
        ];
        $this->put("{$at}/steps", $sent + $prepared)->assertSessionHasNoErrors();
        // By hand, for eight cars: 8 of points, 32 to pierce, 16 each to cut chassis and axles, and 36 of them with two helpers.
        $this->get("{$at}/steps")
            ->assertSee('16 points off, 8 bodies cut, 16 axles cut and 32 holes in the wheels: about 72')
            ->assertSee('2 helpers together: 36')
            ->assertSee('an adult is needed for 2')
            ->assertDontSee('id="step-18"', false)
            ->assertDontSee('Cut the points off the skewers');
        // One minute each for the joint and for the clearance is all that is left for an adult.
        $this->get("{$at}/timetable")->assertDontSee('Until every car has had its adult');
        $this->get("{$at}/print")
            ->assertSee('To prepare before the class')
            ->assertSee('32 holes in the wheels')
            ->assertSee('Prick it with a pin')
            ->assertSee('Prepared: 2 points off, 1 body cut, 2 axles cut and 4 holes in the wheels.');
        $this->get("{$at}/brief/class")
            ->assertDontSee('Cut the points off the skewers')
            ->assertSee('Put one wheel on each axle. Only one!');
        // A group whose axles are longer cuts its own.
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/car", ['axle_length' => '14 cm', 'wheel_kind' => 'bottle caps']);
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/steps")
            ->assertSee('Cut two axles')
            ->assertDontSee('Find the very middle of each wheel');
        $this->from("{$at}/steps")->put("{$at}/steps", ['helpers' => '0', 'points' => 'never', 'mount_order' => 'x'] + $sent)
            ->assertSessionHasErrors(['helpers', 'points', 'mount_order']);
        // Both orders in which people differ.
        $this->put("{$at}/steps", $sent + ['points' => 'one kept', 'mount_order' => 'tube first'])->assertSessionHasNoErrors();
        $this->get("{$at}/steps")
            ->assertSee('The adult keeps that one as an awl.')
            ->assertSee('The last hole is made: now cut the point off the awl, too.')
            ->assertSee('Tape the tube on top before the balloon is on it.');
    }

    public function testSeveralSessionsAndWhatIsCarriedOver(): void
    {
        $challenge = $this->challengeWithSafety();
        $path = "/challenges/{$challenge->id}/plan/timetable";
        $typed = \App\Pages\Plan\PlanWords::typed(ClassPlan::of($challenge));
        $this->put(
            $path,
            [
                'starts_at' => '2027-05-11T09:00', 'session_min' => '40', 'session_2_starts_at' => '2027-05-13T09:00',
                'session_3_starts_at' => '2027-05-14T09:00', 'session_3_min' => '90',
            ] + $typed,
        )->assertSessionHasNoErrors();
        self::assertSame([
            ['minutes' => 40, 'starts_at' => '2027-05-13T09:00'], ['minutes' => 90, 'starts_at' => '2027-05-14T09:00'],
        ], array_map(static function (array $session): array {
            ksort($session);

            return $session;
        }, $challenge->plan()->sole()->further_sessions));
        $this->get($path)->assertSee('Session 2 · 13 May 2027, 09:00')->assertSee('“Build” goes on at 13 May 2027, 09:00');
        $this->get("{$path}/ics")->assertSee('DTSTART:20270511T090000')->assertSee('DTSTART:20270513T090000');
        $this->from($path)
            ->put($path, ['starts_at' => '2027-05-11T09:00', 'session_2_starts_at' => '2027-05-10T09:00', 'session_3_min' => '30'] + $typed)
            ->assertSessionHasErrors([
                'session_2_starts_at' => 'It begins before the session before it. Check the dates.',
                'session_3_starts_at' => 'Say when this session begins, or leave its minutes empty.',
            ]);
    }

    /** A day is typed and shown with its month as a word, in the page's language: 4/5 would be May to one and April to another. */
    public function testADayIsTypedAsPeopleWriteIt(): void
    {
        $challenge = $this->challengeWithSafety();
        $path = "/challenges/{$challenge->id}/plan/timetable";
        $typed = \App\Pages\Plan\PlanWords::typed(ClassPlan::of($challenge));
        foreach (['4 May 2027, 09:00', '4 may 2027 09:00', 'May 4, 2027, 9:00 am', '2027-05-04T09:00'] as $day) {
            $challenge->plan()->update(['starts_at' => null]);
            $this->put($path, ['starts_at' => $day] + $typed)->assertSessionHasNoErrors();
            self::assertSame('2027-05-04 09:00', $challenge->plan()->sole()->starts_at?->format('Y-m-d H:i'), $day);
        }
        $this->get($path)->assertSee('value="4 May 2027, 09:00"', false);
        foreach (['4/5/2027 09:00', '31 June 2027, 09:00', 'soon'] as $day) {
            $this->from($path)->put($path, ['starts_at' => $day] + $typed)->assertSessionHasErrors('starts_at');
            // What was typed is still there.
            $this->get($path)->assertSee('month as a word')->assertSee("value=\"{$day}\"", false);
        }
    }

    public function testWhatIsCollectedIsCountedAndAskedFor(): void
    {
        $this->travelTo('2027-05-01 12:00');
        $challenge = $this->challengeWithSafety();
        $path = "/challenges/{$challenge->id}/plan/materials";
        $this->get($path)->assertSee('Count them on two days');
        $this->post("{$path}/counts", ['key' => 'wheels', 'count' => '5', 'counted_on' => '2027-05-01'])->assertSessionHasNoErrors();
        $this->post("{$path}/counts", ['key' => 'wheels', 'count' => '17', 'counted_on' => '2027-05-05'])->assertSessionHasNoErrors();
        // 39 are needed, 3 a day come: 22 more take 8 days.
        $this->get($path)->assertSee('At this rate complete on 13 May 2027.');
        $challenge->plan()->sole()->update(['starts_at' => '2027-05-18 09:00']);
        $this->get($path)->assertSee('complete only on 13 May 2027, after 11 May 2027');
        $this->get("{$path}/note")->assertSee('By 11 May 2027 the class still needs:')->assertSee('22')->assertSee('bottle caps');
        $this->post("{$path}/counts", ['key' => 'wheels', 'count' => '39', 'counted_on' => '2027-05-05'])->assertSessionHasNoErrors();
        $this->get("{$path}/note")->assertSee('We have everything that we need');
        $this->delete("{$path}/counts/wheels")->assertRedirect();
        self::assertSame([5], $challenge->materialCounts()->pluck('count')->all());
        $this->from($path)
            ->post("{$path}/counts", ['key' => 'scissors', 'count' => 'many', 'counted_on' => 'soon'])
            ->assertSessionHasErrors(['key', 'count', 'counted_on']);
    }

    /** What an educator notes for next time is on the plan that is copied from this one, and on no other. */
    public function testANoteForNextTimeGoesWithTheCopy(): void
    {
        $challenge = $this->challengeWithSafety();
        $this->put("/challenges/{$challenge->id}/plan/note", ['note_for_next_time' => 'Two pumps are too few.'])
            ->assertRedirect("/challenges/{$challenge->id}/plan");
        $this->get("/challenges/{$challenge->id}/plan")->assertSee('Two pumps are too few.')->assertDontSee('Your note from last time');
        $this->from("/challenges/{$challenge->id}/plan")
            ->put("/challenges/{$challenge->id}/plan/note", ['note_for_next_time' => str_repeat('x', 2001)])
            ->assertSessionHasErrors(['note_for_next_time' => 'A note for next time may have 2,000 characters.']);
        $this->post("/challenges/{$challenge->id}/copy")->assertSessionHasNoErrors();
        $copy = $this->educator->challenges()->latest('id')->firstOrFail();
        self::assertNotSame($challenge->id, $copy->id);
        $this->get("/challenges/{$copy->id}/plan")->assertSee('Your note from last time')->assertSee('Two pumps are too few.');
        self::assertNull($copy->sessionPlan()->note_for_next_time);
    }

    /** The sum and its division, as it is written on a board. */
    public function testAMeanIsShownAsItIsMade(): void
    {
        $units = \Skivo\Core\Measurement\UnitSystem::Metric;
        self::assertNull(\App\Language\MeanWords::of([4.05], $units));
        self::assertSame(
            '405 + 398 + 412 = 1215. Then 1215 ÷ 3 = 405 cm.',
            str_replace("\u{00A0}", ' ', (string) \App\Language\MeanWords::of([4.05, 3.98, 4.12], $units)),
        );
        self::assertStringContainsString('809 ÷ 2 = 404.5', (string) \App\Language\MeanWords::of([4.01, 4.08], $units));
    }

    public function testPacksAreOrderedWhole(): void
    {
        $challenge = $this->challengeWithSafety();
        $path = "/challenges/{$challenge->id}/plan/materials";
        $sent = [
            'groups' => 8, 'learners' => 24, 'spares_percent' => 20, 'by_mouth' => 0, 'latex_free' => 0, 'kit_chassis' => 'corrugated card',
            'kit_wheels' => 'bottle caps', 'kit_bearing' => 'bamboo skewer in a plastic straw', 'kit_nozzle' => 'drinking straw',
            'kit_balloon' => 'round 30 cm', 'kit_joint' => 'elastic band', 'price_wheels' => '0,10', 'pack_wheels' => '25',
        ];
        $this->put($path, $sent)->assertSessionHasNoErrors();
        $this->get($path)->assertSee('order 2 packs, 11 over')->assertSee('5.00');
        $this->from($path)
            ->put($path, ['pack_wheels' => 'some'] + $sent)
            ->assertSessionHasErrors(['pack_wheels' => 'A pack must be a whole number from 1 to 10,000.']);
        $this->put($path, ['by_mouth' => 1] + $sent);
        // 24 children with a balloon of their own, and a fifth more.
        self::assertSame(
            29,
            array_column(
                array_map(
                    static fn($line): array => [$line->key, $line->total(ClassPlan::of($challenge->fresh() ?? $challenge)->class)],
                    ClassPlan::of($challenge->fresh() ?? $challenge)->materials()->lines,
                ),
                1,
                0,
            )['balloons'],
        );
        $this->get("{$path}/labels?home=1")->assertSee('From home:')->assertSee('bring it back');
        $this->get("{$path}/labels")->assertDontSee('From home:');
    }

    public function testAChassisOfOnesOwnHasAForm(): void
    {
        $challenge = $this->challengeWithSafety();
        $this->post(
            "/challenges/{$challenge->id}/parts",
            [
                'kind' => 'chassis', 'name' => 'milk bottle', 'chassis_length' => '18', 'chassis_width' => '7', 'chassis_height' => '70',
                'form' => 'bottle',
            ],
        )->assertSessionHasNoErrors();
        self::assertSame(ChassisForm::Bottle, OwnPart::query()->where('challenge_id', $challenge->id)->sole()->toCore()->form);
        $this->get("/challenges/{$challenge->id}/parts?kind=chassis&like=plastic+bottle")->assertSee('value="20 cm"', false);
        $challenge->plan()->sole()->update(['kit_chassis' => 'milk bottle']);
        $this->get("/challenges/{$challenge->id}/plan/steps")->assertSee('Pierce two holes into each side');
        $this->get("/challenges/{$challenge->id}/plan/steps/templates")->assertSee('Holes in a bottle');
        $this->post(
            "/challenges/{$challenge->id}/parts",
            [
                'kind' => 'chassis', 'name' => 'thing', 'chassis_length' => '18', 'chassis_width' => '7', 'chassis_height' => '70',
                'form' => 'ball',
            ],
        )->assertSessionHasErrors('form');
    }

    public function testTheStepsOfAGroupsCarAreItsOwn(): void
    {
        $challenge = $this->challengeWithSafety();
        $group = $challenge->groups()->firstOrFail();
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/car",
            [
                'chassis' => 'corrugated card', 'bearing_length' => '9.2 cm', 'rear_bearing_length' => '8 cm', 'nozzle_length' => '11 cm',
                'decoration' => 'last', 'neck_depth' => '3 cm',
            ],
        )->assertSessionHasNoErrors();
        $this->get("/challenges/{$challenge->id}/groups/{$group->id}/steps")
            ->assertSee(
                "Cut two straws: 9.2\u{00A0}cm for the front, 8\u{00A0}cm for the rear.",
            )->assertSee("11\u{00A0}cm long, without the bend")
                ->assertSee("Push the tube 3\u{00A0}cm into")
                ->assertSee('Decorate it');
        $this->get("/challenges/{$challenge->id}/plan/steps")->assertDontSee('Decorate it. Nothing');
        self::assertNotNull(ClassPlan::of($challenge)->stepsOfCar(new Car()));
    }

    private function challengeWithSafety(): Challenge
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), "group\nKeel\nReef\n");
        $challenge->sessionPlan()->fill(['groups' => 8])->save();

        return $challenge;
    }
}

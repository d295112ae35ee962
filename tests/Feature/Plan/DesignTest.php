<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Challenge;
use App\Models\Group;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Challenge\Design;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** How a class goes about its question goes through its whole plan: kit, paper, who builds what, rules, run order. */
final class DesignTest extends FeatureTestCase
{
    private const NEW = [
        'groups' => '8', 'lane_length' => '8 m', 'asks' => 'wheel_diameter', 'way' => 'half_and_half', 'safety' => '1', 'tries' => '3',
    ];

    public function testHalfAndHalfGoesThroughTheWholePlan(): void
    {
        $challenge = $this->set([]);
        self::assertSame(Design::HalfAndHalf, $challenge->design);
        // Only what is asked may vary, and not the nozzle.
        self::assertSame(['wheels'], $challenge->free_steps);
        self::assertSame('20 cm', $challenge->sessionPlan()->fill?->text);
        // As many the one as the other, drawn by lot.
        $builds = $challenge->groups->map(static fn(Group $group): ?bool => $group->builds_other);
        self::assertSame([4, 4], [$builds->filter(static fn(?bool $each): bool => $each === true)->count(), $builds->reject(
            static fn(?bool $each): bool => $each === true,
        )->count()]);
        $at = "/challenges/{$challenge->id}";
        // The kit has both, half the groups each, with a fifth more: 4 × 4 × 1.2 = 20 where all would take 39.
        $materials = (string) $this->get("{$at}/plan/materials/csv")->assertOk()->getContent();
        $line = static fn(string $part): array => array_values(array_filter(
            array_map(str_getcsv(...), explode("\n", trim($materials))),
            static fn(array $row): bool => str_contains((string) ($row[0] ?? ''), $part),
        ));
        foreach (['bottle caps', 'jar lids'] as $part) {
            self::assertCount(1, $line($part), $part);
            self::assertSame('20', $line($part)[0][5], $part);
        }
        self::assertSame('6', array_values(array_filter($line('Corrugated'), static fn(array $row): bool => true))[0][1] ?? '6');
        // On paper.
        $this->get("{$at}/plan/brief/class")->assertOk()
            ->assertSee('Who builds what')->assertSeeInOrder(['With bottle caps', 'With jar lids'])
            ->assertSee('Every balloon is filled to 20 cm.')
            ->assertSee("Cars with bottle caps carry 30\u{A0}g more, about 6 coins");
        $labels = $this->get("{$at}/plan/materials/labels")->assertOk();
        self::assertSame(4, substr_count((string) $labels->getContent(), 'Builds with: jar lids'));
        self::assertSame(4, substr_count((string) $labels->getContent(), 'Wheels: jar lids'));
        self::assertSame(4, substr_count((string) $labels->getContent(), 'Ballast'), 'only the lighter cars carry coins');
        $this->get("{$at}/plan/steps?other=1")->assertOk()->assertSee('Steps with jar lids');
        $sheets = fn(Challenge $of): int => substr_count(
            (string) $this->get("/challenges/{$of->id}/plan/steps/templates")->assertOk()->getContent(),
            '<div class="template"',
        );
        self::assertGreaterThan($sheets($this->set(['way' => 'free'])), $sheets($challenge));
        // On the build sheet, from the group's own kit.
        $other = $challenge->groups->first(static fn(Group $group): bool => $group->builds_other === true)
            ?? self::fail('Nobody builds it.');
        $this->get("{$at}/groups/{$other->id}/car?kit=1")->assertOk()->assertSee('value="jar lids"', false);
    }

    public function testChangeOneThingPlansTheTriesAfterIt(): void
    {
        $challenge = $this->set(['way' => 'change_one_thing', 'tries' => '2']);
        self::assertSame(2, $challenge->sessionPlan()->tries_again);
        $at = "/challenges/{$challenge->id}";
        $this->get("{$at}/plan/timetable")->assertOk()->assertSee('After the change');
        $this->get("{$at}/plan/brief/class")->assertSee('First with jar lids')->assertSee('After its tries each changes to the other');
        // Each group gets both: 8 × 4 × 1.2.
        $this->get("{$at}/plan/materials")->assertSeeInOrder(['bottle caps', '39', 'jar lids', '39']);
        // Back to half and half, no tries are left over.
        $this->put("{$at}/plan", ['way' => 'half_and_half'] + self::typed($challenge))->assertRedirect();
        self::assertSame(0, $challenge->refresh()->sessionPlan()->tries_again);
        $this->put("{$at}/plan", ['way' => 'change_one_thing'] + self::typed($challenge))->assertRedirect();
        self::assertSame(2, $challenge->refresh()->sessionPlan()->tries_again);
    }

    public function testWhoBuildsWhatIsChangedAndDrawnAgain(): void
    {
        $challenge = $this->set([]);
        $at = "/challenges/{$challenge->id}/groups";
        $all = $challenge->groups->mapWithKeys(static fn(Group $group): array => ["builds_{$group->id}" => '1'])->all();
        $this->put($at, $all)->assertRedirect()->assertSessionHas('status', 'Who builds what is saved.');
        self::assertSame(8, $challenge->groups()->where('builds_other', true)->count());
        $this->put($at, ['again' => '1'])->assertRedirect();
        self::assertSame(4, $challenge->groups()->where('builds_other', true)->count());
        // Whoever comes later is told too, so that it comes out even.
        $this->post($at, ['names' => "Late\nLater", 'units' => 'metric'])->assertRedirect();
        self::assertSame(5, $challenge->groups()->where('builds_other', true)->count());
        $foreign = $this->set([])->groups->firstOrFail();
        $this->put($at, ["builds_{$foreign->id}" => $foreign->builds_other === true ? '0' : '1'])->assertRedirect();
        self::assertSame($foreign->builds_other, $foreign->fresh()?->builds_other);
    }

    public function testTwoOfOnesOwnAreCompared(): void
    {
        $challenge = $this->set(['asks' => 'nozzle_bore', 'design_one' => '6 mm', 'design_other' => '1 cm']);
        $this->get("/challenges/{$challenge->id}/plan/brief/class")
            ->assertSee("nozzle bore 6\u{A0}mm")->assertSee("nozzle bore 10\u{A0}mm");
        $other = $challenge->groups->first(static fn(Group $group): bool => $group->builds_other === true)
            ?? self::fail('Nobody builds it.');
        $this->get("/challenges/{$challenge->id}/groups/{$other->id}/car?kit=1")->assertOk()->assertSee('value="0.01"', false);
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrong(): iterable
    {
        yield 'no part of that name' => [['design_other' => 'something round'], 'design_other'];
        yield 'no such design' => [['way' => 'thirds'], 'way'];
        yield 'both alike' => [['design_one' => 'jar lids', 'design_other' => 'jar lids'], 'design_other'];
    }

    /** @param array<string, string> $typed */
    #[DataProvider('wrong')]
    public function testWhatCannotBeComparedIsRefusedInWords(array $typed, string $field): void
    {
        $before = Challenge::query()->count();
        $this->post('/challenges', $typed + self::NEW)->assertSessionHasErrors($field);
        self::assertSame($before, Challenge::query()->count());
    }

    public function testTheChanceOfEachDesignComesInSlices(): void
    {
        $of = fn(string $way, int $slices): array => (array) $this->getJson(
            '/challenges/new/designs?' . http_build_query(['way' => $way, 'slices' => $slices] + self::NEW),
        )->assertOk()->json();
        $first = $of('half_and_half', 1);
        self::assertSame('Compared: bottle caps and jar lids.', $first['two']);
        self::assertSame('(so far, from 50)', $first['progress']);
        self::assertNull($of('half_and_half', 4)['progress']);
        $right = static fn(array $answer): int => (int) preg_replace('/\D*(\d+) of 100.*/', '$1', (string) $answer['said']);
        self::assertGreaterThan($right($of('half_and_half', 4)), $right($of('change_one_thing', 4)));
        self::assertSame(
            ['said' => null, 'progress' => null, 'two' => null],
            $this->getJson('/challenges/new/designs?way=half_and_half')->assertOk()->json(),
        );
        $challenge = Scenario::challenge($this->educator);
        self::assertIsString($this->getJson(
            "/challenges/{$challenge->id}/plan/chance/designs?way=free&asks=nozzle_bore&groups=8&tries=3",
        )->assertOk()->json('said'));
    }

    /** @param array<string, string> $typed */
    private function set(array $typed): Challenge
    {
        $this->post('/challenges', $typed + self::NEW)->assertSessionHasNoErrors();

        return $this->educator->challenges()->latest('id')->firstOrFail();
    }

    /** @return array<string, string> the rules as their form sends them */
    private static function typed(Challenge $challenge): array
    {
        return [
            'name' => $challenge->name, 'goal' => 'farthest', 'scoring' => 'mean', 'tries' => (string) $challenge->tries,
            'units' => 'metric', 'lane_length' => '8 m', 'asks' => 'wheel_diameter', 'asks_outcome' => 'distance',
        ];
    }
}

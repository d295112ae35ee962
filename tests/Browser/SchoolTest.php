<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\School;
use Tests\Scenario;

/** A school of three educators with six classes, one of them taught by two, each at their own browser. */
final class SchoolTest extends BrowserTestCase
{
    public function testThreeEducatorsSixClassesAndOneThatTwoTeach(): void
    {
        $classes = [];
        foreach (range(1, 4) as $number) {
            $classes[] = $this->class(['name' => "Class {$number}", 'tries' => 5]);
        }
        $colleagues = [];
        foreach (['Co', 'Looks on'] as $name) {
            $colleagues[$name] = $colleague = Scenario::educator($name);
            Scenario::withClass(Scenario::challenge($colleague, ['name' => "Class of {$name}"]));
        }
        $shared = $classes[0];

        // The first sets up the school, shares a plan, and hands out three links.
        $mine = $this->signIn()->visit('/schools')->fill('name', 'Harbour School')->press('Set it up')->press('A link for educators');
        $toSchool = $mine->text('.flash a');
        $school = School::query()->where('name', 'Harbour School')->sole();
        $mine->visit("/challenges/{$shared->id}/sharing")->press('Share with Harbour School')->press('A link for co-teachers');
        $toTeach = $mine->text('.flash a');
        $mine->press('A link for observers');
        $toLookOn = $mine->text('.flash a');

        // The second comes in by the links at another browser.
        $theirs = $this->another()->signIn($colleagues['Co']->email, Scenario::PASSWORD);
        $path = static fn(string $link): string => (string) parse_url($link, PHP_URL_PATH);
        $theirs->visit($path($toSchool))->press('Come in');
        self::assertStringContainsString('Class 1', $theirs->text('main'));
        $theirs->press('Set one like it');
        self::assertSame(2, $colleagues['Co']->challenges()->count());
        $theirs->visit($path($toTeach))->press('Come in');

        // Both log runs of the class that they teach, and each sees the other's.
        $mine->visit("/challenges/{$shared->id}");
        $theirs->fill('distance', '311')->logRun();
        $mine->waitFor('311', '[data-piece=figures]');
        $mine->fill('distance', '322')->logRun();
        $theirs->waitFor('322', '[data-piece=figures]');
        $names = $shared->acts()->with(['user', 'device'])->get()->map(fn($act): string => $act->by());
        self::assertContains('Co', $names->all());
        self::assertContains($this->educator->name, $names->all());

        // The third looks on, and nothing that is pressed changes anything.
        $third = $this->another()->signIn($colleagues['Looks on']->email, Scenario::PASSWORD)->visit($path($toLookOn))->press('Come in');
        self::assertStringContainsString('You look on in this challenge', $third->text('main'));
        self::assertFalse($third->find('.entry')->isDisplayed());
        $third->visit("/challenges/{$shared->id}/findings/classes");
        self::assertStringContainsString('Class of Looks on', $third->text('main'), 'their own class asked the same');
        self::assertStringContainsString('Class 1', $third->text('main'));

        // The links are revoked, the co-teacher taken out: the page is not there any more.
        $mine->visit("/challenges/{$shared->id}/sharing")->press('Take out');
        $theirs->visit("/challenges/{$shared->id}");
        self::assertStringContainsString('There is nothing here', $theirs->text('body'));
        self::assertSame(2, $school->members()->count());
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Language\Label;
use App\Language\Text;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Goal;
use Tests\Scenario;

/** What was said and is not so may not come back, on the page where it stood or on another. */
final class NothingFalseTest extends FeatureTestCase
{
    private const HEAD = "group,nozzle bore (mm),mass (g),balloon diameter (cm),wheels,wheel diameter (mm),try,distance (cm)\n";

    /** Nobody knows where a car would have stopped that a wall stopped, nor one that left the lane. */
    public function testWhatEndedByTheLaneIsGivenNoReasonAnywhere(): void
    {
        $challenge = $this->class();
        foreach (['hit_wall' => 'Keel', 'past_end' => 'Reef'] as $how => $group) {
            $this->log($challenge, $group, [$how => '1'])->assertSessionHasNoErrors();
        }
        $this->settle();
        foreach (['Keel', 'Reef'] as $name) {
            $group = $this->named($challenge, $name);
            foreach (["/groups/{$group->id}/at/why", "/groups/{$group->id}/own"] as $page) {
                $said = $this->textOf($challenge, $page);
                self::assertDoesNotMatchRegularExpression('/carry it \d+ \S+ farther|held it back most/', $said, "{$name} on {$page}");
            }
        }
        // A mean with such a try is a bound wherever it stands.
        foreach (['', '/report', '/groups'] as $page) {
            self::assertDoesNotMatchRegularExpression(
                '/(?<!at least |≥ )\b(365|407)(\.\d)? ?cm\b/u',
                $this->textOf($challenge, $page),
                $page,
            );
        }
    }

    /** A band or a ramp of which nobody wrote down enough is no odd run either, and what nobody marked is told as the computer's. */
    public function testWhyOfAnotherDriveAsksForWhatIsMissingAndMarksNothing(): void
    {
        foreach (['elastic band', 'ramp'] as $source) {
            $challenge = Scenario::withClass(
                Scenario::challenge($this->educator),
                "group,source of energy,wheels,mass (g)\nKeel,{$source},bottle caps,60\nReef,{$source},bottle caps,64\n",
            );
            $keel = $this->named($challenge, 'Keel');
            foreach (['230', '236', '228'] as $distance) {
                $this->log($challenge, 'Keel', ['distance' => $distance])->assertSessionHasNoErrors();
            }
            $this->settle();
            $said = $this->textOf($challenge, "/groups/{$keel->id}/at/why");
            self::assertStringNotContainsString('came out odd', $said, $source);
            self::assertDoesNotMatchRegularExpression('/Here the (band fell off|balloon was empty)/', $said, $source);
        }
    }

    /** Practice that is used up is asked about, once, and a class without practice is not asked. */
    public function testARunOfAGroupWhosePracticeIsOverIsAskedAbout(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['practice_runs' => 1]), "group\nKeel\nReef\n");
        $this->log($challenge, 'Keel', ['distance' => '120', 'practice' => '1'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Keel', ['distance' => '125', 'practice' => '1'])->assertSessionHas('questions');
        self::assertSame(1, $challenge->runs()->count());
        $this->log($challenge, 'Reef', ['distance' => '125', 'practice' => '1'])->assertSessionMissing('questions');
        $this->log($challenge, 'Keel', ['distance' => '125', 'practice' => '1', 'confirmed' => 'practice'])->assertSessionHasNoErrors();
        self::assertSame(3, $challenge->runs()->count());
    }

    /** The balloon's energy goes with the jet but for a hundredth; a nozzle and a mass do what physics says. */
    public function testNoLineSaysWhatPhysicsDoesNot(): void
    {
        foreach (glob(lang_path('en/*.php')) ?: [] as $file) {
            $lines = require $file;
            array_walk_recursive($lines, static function (mixed $line, string|int $key) use ($file): void {
                self::assertDoesNotMatchRegularExpression(
                    '/(push|balloon’s energy|energy of the balloon) (turns into|becomes|became) (speed|movement)|more push for the same speed|lets the air out faster/i',
                    (string) $line,
                    basename($file) . ": {$key}",
                );
            });
        }
    }

    /** One more test is proposed by what it narrows, or not at all. */
    public function testATestThatWouldNarrowNothingIsNotProposed(): void
    {
        $challenge = $this->class();
        foreach ($challenge->groups as $group) {
            $forces = new ClassForces(ClassRecord::of($challenge));
            [$now, $once] = [$forces->forecast->forecasts[$group->newestCar()?->id] ?? null, $forces->onceMeasured($group->newestCar())];
            $said = $this->textOf($challenge, "/groups/{$group->id}/bench");
            $isSaid = str_contains($said, 'would narrow this');
            self::assertSame($now !== null && $once?->saysWhere() === true && $once->isNarrowerThan($now), $isSaid, $group->name);
            if ($isSaid) {
                self::assertLessThan($now->band95->high - $now->band95->low, $once->band95->high - $once->band95->low, $group->name);
            }
        }
    }

    /** What was taken from the kit is no fault of a group that recorded other things. */
    public function testWhatNobodyRecordedIsNoFault(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),balloon diameter (cm),wheel diameter (mm),mass (g),try,distance (cm)\nKeel,6,20,120,58,1,230\nReef,6,28,30,58,1,240\nCleat,6,20,,58,1,250\n",
        );
        foreach ($challenge->groups as $group) {
            foreach (["/groups/{$group->id}/car", '/groups'] as $page) {
                self::assertStringNotContainsString('will not work', $this->textOf($challenge, $page), "{$group->name} on {$page}");
            }
        }
    }

    /** Where one other car exists, five are not waited for. */
    public function testNoMoreCarsAreBeforeOneThanThereAre(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 5]), "group\nKeel\nReef\n");
        foreach (['Keel', 'Reef'] as $name) {
            $said = $this->textOf($challenge, "/groups/{$this->named($challenge, $name)->id}/own");
            self::assertMatchesRegularExpression('/It is your turn now|You are next/', $said);
            self::assertDoesNotMatchRegularExpression('/\d+ cars are before you/', $said);
        }
    }

    public function testACodeWithoutALineIsNoLabel(): void
    {
        foreach (
            [
                static fn() => Label::of(Goal::Farthest, 'nothing'), static fn() => Label::mark('none-none'),
                static fn() => Text::of('run.nothing'), static fn() => Text::html('run.nothing'),
                static fn() => Text::plural('run.nothing', 2),
            ] as $number => $says
        ) {
            try {
                $says();
                self::fail("{$number} says a key.");
            } catch (\LogicException $found) {
                self::assertStringContainsString('is no line of lang', $found->getMessage());
            }
        }
    }

    /** A count of one is one thing; a unit follows its number but once; a key is never read. */
    public function testNoPageCountsOneAsManyOrShowsAKey(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 1, 'units' => 'imperial']), self::HEAD
            . "Keel,7,60,20,bottle caps,32,1,230\n");
        $group = $challenge->groups()->sole();
        $pages = [
            '', '/plan', '/plan/timetable', '/plan/materials', '/groups', '/check', '/bench', '/findings', '/findings/choices', '/report',
            '/runs', '/room',
            "/groups/{$group->id}/own", "/groups/{$group->id}/car", "/groups/{$group->id}/at/why",
        ];
        $wrong = [];
        foreach ($pages as $page) {
            $said = $this->textOf($challenge, $page);
            foreach (
                [
                    '/(?<![\d.,–-])\b1 (of 1 )?(cars|groups|runs|tries|things|readings|tests|tablets|choices|heats|sheets|learners|adults|minutes)\b/u',
                    '/[a-z]s in in\b|\bcm cm\b/u',
                    '/(?<![\w.@\/])(' . $this->files() . ')\.[a-z_]+(\.[a-z_]+)*\b/u',
                ] as $pattern
            ) {
                preg_match_all("{$pattern}", $said, $found, PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$words, $at]) {
                    $wrong[] = "{$page}: " . mb_strcut($said, max(0, $at - 40), 100);
                }
            }
        }
        self::assertSame([], $wrong);
    }

    /** The names of the files of lang/, of which a key would begin. */
    private function files(): string
    {
        return implode('|', array_map(static fn(string $file): string => basename($file, '.php'), glob(lang_path('en/*.php')) ?: []));
    }
}

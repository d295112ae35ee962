<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Scenario;

/** From a new account to a finding. */
final class WholePathTest extends BrowserTestCase
{
    public function testFromANewAccountToAFinding(): void
    {
        $browser = $this->signOut();
        $browser->visit('/')->press('Create an account')
            ->fill('name', 'New educator')->fill('email', 'new-' . bin2hex(random_bytes(5)) . '@skivo.example')
            ->fill('password', Scenario::PASSWORD)->fill('password_confirmation', Scenario::PASSWORD)
            ->press('Create the account');
        self::assertStringContainsString('Welcome, New educator', $browser->text());

        $browser->press('Set a challenge')
            ->fill('groups', '')->fill('lane_length', '20 ft')->press('More rules')
            ->fill('name', 'Across the hall')->fill('question', 'Does a wider nozzle go farther?')
                ->pick('scoring', 'best')
                ->press('Set the challenge');
        self::assertStringContainsString('Next: what it takes to build the cars', $browser->text('.flash'));
        $browser->press('Straight to safety')->press('I have read it');

        $browser->fill('names', "Bowline\nHalyard\nKeel\nReef")->press('Add groups');
        self::assertCount(4, $browser->all('.build-row'));

        foreach (['8 mm', '9 mm', '3/16 in', '6'] as $index => $bore) {
            $browser->press($index === 0 ? 'Record the car of Bowline' : 'Record the car of');
            $browser->press('Everything')
                ->fill('nozzle_bore', $bore)
                ->fill('mass', '2 oz')
                ->pick('wheel_mount', 'fixed to the axle')
                ->press('Record this car');
        }
        self::assertStringContainsString('bore 4.8 mm', $browser->text());

        $browser->press('To the checks')->press('Run');
        $class = $browser->path();
        foreach (['341', '4.2 m', '1.2 m', '2 m'] as $index => $distance) {
            $logged = $index + 1;
            $browser->fill('distance', $distance)->logRun()->waitFor("{$logged}/12", '.stages');
        }
        $browser->wait(fn(): bool => count($browser->all('.lane use')) === 4)->settle();
        self::assertCount(4, $browser->all('.lane use'));
        self::assertStringContainsString('Halyard leads', $browser->text('.said'));
        self::assertStringContainsString('4/12', $browser->text('.stages'));

        $browser->press('Findings')->press('For the curious')->press('All choices')->settle();
        self::assertStringContainsString('a wider bore may go farther', $browser->text('.said'));
        self::assertCount(4, $browser->all('g.point'));

        $browser->visit("{$class}/sheet");
        self::assertCount(3, $browser->all("a[href*='sheet/csv']"));
        $browser->press('Menu')->press('Sign out');
        self::assertSame('/sign-in', $browser->path());
        $browser->visit($class);
        self::assertSame('/sign-in', $browser->path());
    }

    public function testASheetIsLookedAtBeforeItIsStored(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $file = tempnam(sys_get_temp_dir(), 'sheet') . '.csv';
        file_put_contents($file, "\u{FEFF}group;try;distance (cm)\r\nBowline;1;318,5\r\nKeel;1;weit\r\n");
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/sheet");
        $browser->find("input[type='file']")->sendKeys($file);
        $browser->press('Look at it first');
        unlink($file);
        self::assertMatchesRegularExpression('/3\s+distance \(cm\)\s+“weit” is not a length/u', $browser->text('[role=alert]'));

        $browser->fill('text', "group;try;distance (cm)\nBowline;1;318,5\nKeel;1;99")->press('Look again');
        self::assertStringContainsString('2 runs', $browser->text());
        $browser->press('Store all of it');
        self::assertStringContainsString('2 new groups, 2 runs', $browser->text('.flash'));
        self::assertSame(3.185, $challenge->runs()->orderBy('logged_at')->firstOrFail()->distance?->quantity->si());
    }

    public function testTheUnitSwitchTurnsTheWholePage(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->settle();
        self::assertStringContainsString(
            '1 m',
            implode(' ', array_map(static fn($label): string => $label->getText(), $browser->all('.tape text'))),
        );

        $browser->press('in · oz')->settle();

        self::assertStringContainsString(
            '5 ft',
            implode(' ', array_map(static fn($label): string => $label->getText(), $browser->all('.tape text'))),
        );
        self::assertStringContainsString('166.5', $browser->text('.floor'));
    }
}

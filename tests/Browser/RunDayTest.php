<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\AdmitDevices;
use App\Models\Device;
use App\Record\ClassRecord;
use Facebook\WebDriver\WebDriverKeys;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\People\DeviceRole;
use Tests\Scenario;

/** Several devices at once, a network that comes and goes, and hands that are full. */
final class RunDayTest extends BrowserTestCase
{
    /** Farthest needs one number; all goals together still no more than three. */
    public function testALoggedRunTakesAtMostThreeInputsAndEnter(): void
    {
        $challenge = $this->class(
            ['awards' => ['fastest', 'straightest'], 'timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)],
        );
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $asked = array_filter($browser->all('.entry input, .entry select'), static fn($field): bool => $field->isDisplayed());
        $toType = array_filter(
            $asked,
            static fn($field): bool => !in_array(
                $field->getAttribute('name'),
                ['group', 'drift_side', 'past_end', 'hit_wall', 'practice', null],
                true,
            ),
        );
        self::assertCount(3, $toType, 'distance, time and drift; whose turn it is stands there already');

        $browser->keys(
            '140',
            WebDriverKeys::TAB,
            '1.2',
            WebDriverKeys::TAB,
            '5',
            WebDriverKeys::ENTER,
        )->waitFor('Logged: Keel, try 3, 140 cm, 1.20 s, 5 cm left.', '.flash');
        self::assertSame(1, $challenge->runs()->where('drift_m', 0.05)->count());
    }

    /** A car that went on past the end of the lane takes one tap, or one key, and no number. */
    public function testOneTapSaysThatACarPassedTheEnd(): void
    {
        $challenge = $this->class(['tries' => 5]);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->find('.entry-past')->click();
        $browser->find('.entry .log')->click();
        $browser->waitFor('past the end at 600 cm.', '.flash');
        self::assertSame(1, $challenge->runs()->where('past_end', true)->where('distance_m', 6.0)->count());
        self::assertFalse($browser->find('[name=past_end]')->isSelected(), 'the next run starts afresh');

        $browser->keys(WebDriverKeys::ESCAPE, 'p')->find('.entry .log')->click();
        $browser->wait(static fn(): bool => $challenge->runs()->where('past_end', true)->count() === 2);
    }

    /** What happens most takes one tap, and one takes it back. */
    public function testARunPastTheEndIsAtLeastTheLaneThroughToFindingsAndCertificate(): void
    {
        $challenge = $this->class(['tries' => 3, 'lane_length' => (new QuantityReader())->read('4.3 m', Unit::Metre)], <<<'CSV'
            group,nozzle bore (mm),balloon diameter (cm),mass (g),wheels,try,distance (cm)
            Bowline,8,20,58,bottle caps,1,329
            Bowline,,,,,2,341
            Bowline,,,,,3,352
            Keel,5,20,58,bottle caps,1,118
            Keel,,,,,2,131
            Keel,,,,,3,125
            Halyard,9,20,58,bottle caps,,
            CSV);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        foreach ([1, 2, 3] as $try) {
            $browser->waitFor("try {$try} of 3", '.entry');
            $browser->driver->executeScript('document.querySelector("[name=past_end]").click()');
            $browser->find('.entry .log')->click();
            $browser->wait(static fn(): bool => $challenge->runs()->where('past_end', true)->count() === $try);
        }
        $browser->waitFor('≥', '.floor');
        $mean = ClassRecord::of($challenge)->standings()->leader()?->score ?? 0.0;
        self::assertEqualsWithDelta(4.3, $mean, 1e-9);
        $browser->visit("/challenges/{$challenge->id}/findings/awards");
        self::assertStringContainsString('Halyard', $browser->text('.awards'));
        $browser->visit("/challenges/{$challenge->id}/findings/work");
        self::assertStringContainsString('Halyard', $browser->text('main'));
        $browser->visit("/challenges/{$challenge->id}/report/certificates");
        self::assertStringContainsString('First: farthest', $browser->text('.certificate'));
        self::assertStringContainsString('Halyard', $browser->text('.certificate'));
        self::assertStringContainsString('at least', $browser->text('.certificate-score'));
    }

    public function testATimedRunAfterTheTriesNeedsItsTimeAlone(): void
    {
        $challenge = $this->class(['tries' => 1], "group,try,distance (cm)\nBowline,1,329\nKeel,1,131\n");
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->driver->executeScript(
            'document.querySelector("details:has([name=timed_over])").open = true; document.querySelector("[name=timed_over]").scrollIntoView({ block: "center" })',
        );
        self::assertStringContainsString('timed over 1', $browser->text('details:has([name=timed_over])'));
        $browser->press('Put the timed round in')->waitFor('timed run 1 of 2', '.entry');
        $browser->fill('time', '1.8')->keys(WebDriverKeys::ENTER);
        $browser->wait(static fn(): bool => $challenge->runs()->where('kind', 'timed')->where('time_s', 1.8)->count() === 1);
    }

    public function testOneTapSaysWhyATryIsVoidAndAnotherTakesItBack(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $before = $challenge->runs()->count();
        $browser->find('[name=void_now][value="wheel off"]')->click();
        $browser->waitFor('void: wheel off', '.flash');
        $browser->wait(static fn(): bool => $challenge->runs()->where('void_reason', 'wheel off')->count() === 1);
        $browser->keys(WebDriverKeys::ESCAPE, 'u')->wait(static fn(): bool => $challenge->runs()->count() === $before);
        self::assertSame([], $browser->consoleErrors());
    }

    public function testPracticeStaysOnUntilItIsSwitchedOff(): void
    {
        $challenge = $this->class(['tries' => 5]);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->find('.entry-switch')->click();
        self::assertSame('practice, does not count', $browser->text('[data-next-try]'), 'said in large, whatever try would be next');
        $browser->fill('distance', '131')->logRun('practice');
        self::assertTrue($browser->find('[name=practice]')->isSelected());
        self::assertSame('practice, does not count', $browser->text('[data-next-try]'));
        $browser->fill('distance', '132')->logRun('practice 1, 132');
        self::assertSame(2, $challenge->runs()->where('kind', 'practice')->count());
        $browser->wait(fn(): bool => count($browser->all('.lane .aside')) === 2);
        $browser->find('.entry-switch')->click();
        $browser->fill('distance', '133')->logRun('try');
        self::assertSame(2, $challenge->runs()->where('kind', 'practice')->count());
    }

    /** "Is medium best?": six runs that the strip proposes with their fill, to the answer on the findings. */
    public function testASweepOverTheFillIsRunThroughTheStrip(): void
    {
        $challenge = $this->class(
            ['tries' => 1],
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),wheels,try,distance (cm)\nKeel,6,20,60,bottle caps,1,200\nReef,7,20,60,bottle caps,1,210\n",
        );
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->driver->executeScript(
            'document.querySelector("details:has([name=sweep_group])").open = true; document.querySelector("[name=small]").scrollIntoView({ block: "center" })',
        );
        $browser->fill('small', '14')->fill('medium', '17')->fill('full', '20')->press('Put it into the order');
        foreach (
            [['14', '210'], ['17', '330'], ['20', '260'], ['20', '255'], ['17', '325'], ['14', '205']] as $index => [$fill, $distance]
        ) {
            $browser->waitFor('sweep ' . ($index + 1) . ' of 6', '.entry');
            $browser->wait(static fn(): bool => $browser->find('[name=inflation_size]')->getDomProperty('value') === "{$fill} cm");
            $browser->fill('distance', $distance)->logRun('practice');
        }
        $browser->wait(static fn(): bool => $challenge->runs()->where('kind', 'practice')->count() === 6);
        $browser->visit("/challenges/{$challenge->id}/findings/beliefs");
        self::assertStringContainsString('Keel goes farthest filled to about 17', $browser->text('.doses'));

        // Another fill than before is pointed out before the run.
        $browser->visit("/challenges/{$challenge->id}")->press('More')->fill('inflation_size', '11');
        self::assertStringContainsString('only like fills can be compared', $browser->text('[data-fill-note]'));
        $browser->fill('inflation_size', '14.1');
        self::assertSame('', $browser->text('[data-fill-note]'));
    }

    /** Each of two adults holds a lane: whoever stands there is proposed, whatever the other logs. */
    public function testTwoAdultsEachHoldALane(): void
    {
        $challenge = $this->class(['lanes' => 2, 'tries' => 5]);
        $first = $this->signIn()->visit("/challenges/{$challenge->id}");
        $second = $this->another()->signIn($this->educator->email, Scenario::PASSWORD)->visit("/challenges/{$challenge->id}");
        foreach ([[$first, '1'], [$second, '2']] as [$adult, $lane]) {
            $adult->find("[data-hold-lane] option[value='{$lane}']")->click();
        }
        for ($turn = 0; $turn < 3; $turn++) {
            foreach ([[$first, '1'], [$second, '2']] as [$adult, $lane]) {
                $stands = static fn(): string => $adult->find("[data-stand][data-lane-number='{$lane}']")->getAttribute('data-stand') ?? '';
                $adult->wait(fn(): bool => $adult->find('select[name=group]')->getDomProperty('value') === $stands());
                $distance = 100 * (int) $lane + 30 * $turn;
                $adult->fill('distance', (string) $distance)->logRun((string) $distance);
                $adult->wait(
                    static fn(): bool => $challenge->runs()
                        ->where('distance_m', $distance / 100)
                        ->where('lane', (int) $lane)
                        ->count() === 1,
                );
            }
        }
        self::assertSame([3, 3], [$challenge->runs()->where('lane', 1)->count(), $challenge->runs()->where('lane', 2)->count()]);
    }

    public function testTheStopwatchFillsTheRun(): void
    {
        $challenge = $this->class(['awards' => ['fastest'], 'timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)]);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->keys(WebDriverKeys::ESCAPE, 'w');
        $runs = fn(float $seconds) => $browser->wait(fn(): bool => (float) $browser->text('[data-watch-time]') >= $seconds);
        $browser->keys(WebDriverKeys::SPACE);
        $runs(0.4);
        $browser->keys(WebDriverKeys::SPACE);
        $runs(0.8);
        $browser->keys(WebDriverKeys::SPACE);

        $time = (float) $browser->find('[name=time]')->getAttribute('value');
        $total = (float) $browser->find('[name=total_time]')->getAttribute('value');
        self::assertGreaterThanOrEqual(0.4, $time);
        self::assertGreaterThanOrEqual(0.8, $total);
        self::assertGreaterThan($time, $total);
        self::assertStringContainsString('± 0.2 s', str_replace("\u{00A0}", ' ', $browser->text('.watch')));
        self::assertSame('distance', $browser->focused());
        $browser->keys('140', WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 3', '.flash');
        self::assertEqualsWithDelta($total, $challenge->runs()->whereNotNull('total_time_s')->sole()->total_time?->quantity->si(), 1e-9);
        self::assertSame('0.00', $browser->text('[data-watch-time]'), 'ready for the next run');
    }

    public function testASlipIsQuestionedInPlaceAndASecondEnterConfirmsIt(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()
            ->visit("/challenges/{$challenge->id}")
            ->keys('2.33', WebDriverKeys::ENTER)
            ->waitFor('far less than expected here', '.entry [role=alert]');
        self::assertSame('2.33', $browser->find('[name=distance]')->getAttribute('value'));
        self::assertSame(11, $challenge->runs()->whereNull('void_reason')->count(), 'nothing is logged yet');
        $browser->keys(WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 3', '.flash');

        $browser->keys('2.4', WebDriverKeys::ENTER)->waitFor('far less', '.entry [role=alert]');
        $browser->keys(' m', WebDriverKeys::ENTER)->waitFor('Logged: Reef', '.flash');
        self::assertCount(2, $browser->consoleErrors(), 'the browser notes that it was questioned');
        self::assertSame(1, $challenge->runs()->where('distance_m', 2.4)->count());
    }

    public function testAnEducatorAHelperAndTheBoardFollowEachOther(): void
    {
        $challenge = $this->class();
        [, $boardToken] = AdmitDevices::join($challenge, DeviceRole::Board, 'board');
        $this->signIn()->visit("/challenges/{$challenge->id}/devices")->find('[name=for] [value=log]')->click();
        $this->browser->press('Open joining');
        self::assertCount(1, $this->browser->settle()->all('.qr svg'), 'a code to scan');
        $code = $challenge->joinCodes()->sole()->code;
        $this->browser->visit("/challenges/{$challenge->id}");
        $helper = $this->another()->visit('/join')->fill('code', $code)->press('Join');
        self::assertSame("/challenges/{$challenge->id}", $helper->path());
        $board = $this->another()->size(1280, 720)->visit("/board/{$boardToken}");

        $helper->keys('251', WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 3, 251 cm.', '.flash');
        $board->waitFor('251 cm', '.board-last');
        $this->browser->waitFor('Undo the last: Keel, try 3', '.said');

        // What the educator does, the helper sees; and typing is not disturbed.
        $helper->keys('99');
        $this->browser->press('Undo the last');
        $helper->waitFor('2 of 3, 1 void', '.floor');
        self::assertSame('99', $helper->find('[name=distance]')->getAttribute('value'));
        // Cut off, it is out.
        $challenge->devices()->where('role', 'log')->update(['revoked_at' => now()]);
        $helper->visit("/challenges/{$challenge->id}");
        self::assertSame('/join', $helper->path());
        self::assertSame([], $board->accessibilityProblems());
    }

    public function testRunsOfAnHourWithoutNetworkAreSentInOrderAndOnce(): void
    {
        $challenge = $this->class();
        $browser = $this->helper($challenge);
        $browser->visit("/challenges/{$challenge->id}")->online(false);
        foreach (['251', '3.2', '140'] as $distance) {
            $browser->keys($distance, WebDriverKeys::ENTER)->waitFor('Waiting to be sent: ', '.waiting');
            $browser->wait(fn(): bool => $browser->find('[name=distance]')->getAttribute('value') === '');
        }
        self::assertCount(3, $browser->all('[data-waiting-run]'));
        self::assertSame(12, $challenge->runs()->count());

        // The page is opened anew from nothing but what the device kept.
        $browser->online(true);
        $browser->wait(fn(): bool => $challenge->runs()->count() === 14);
        // It comes back into the free strip, where it is mended; and after a reload it stands in the list.
        $browser->wait(fn(): bool => $browser->find('[name=distance]')->getAttribute('value') === '3.2');
        self::assertSame(
            [2.51, 1.4],
            $challenge->runs()
                ->orderBy('logged_at')
                ->get()
                ->slice(12)
                ->map(static fn($run): ?float => $run->distance?->quantity->si())
                ->values()
                ->all(),
        );
        $browser->driver->navigate()->refresh();
        $browser->waitFor('In question', '.waiting');
        $browser->driver->executeScript(
            '[...document.querySelectorAll(".waiting button")].find((each) => each.textContent === "It is right").click()',
        );
        $browser->wait(fn(): bool => $challenge->runs()->count() === 15);
        $browser->wait(fn(): bool => count($browser->all('[data-waiting-run]')) === 0);
    }

    public function testAReloadWhileTheServerIsUnreachableLosesNothing(): void
    {
        $challenge = $this->class();
        $browser = $this->helper($challenge);
        $browser->visit("/challenges/{$challenge->id}");
        // The run is on its way for ever: the lid is closed on it.
        $browser->chromium('Network.enable');
        $browser->chromium('Network.setBlockedURLs', ['urls' => ["*challenges/{$challenge->id}/runs"]]);
        $browser->keys('251', WebDriverKeys::ENTER)->waitFor('Waiting to be sent: Keel, 251', '.waiting');
        $browser->driver->navigate()->refresh();
        $browser->waitFor('Waiting to be sent: Keel, 251', '.waiting');
        self::assertSame(12, $challenge->runs()->count());

        $browser->chromium('Network.setBlockedURLs', ['urls' => []]);
        $browser->driver->navigate()->refresh();
        $browser->wait(fn(): bool => $challenge->runs()->count() === 13);
        $browser->wait(fn(): bool => count($browser->all('[data-waiting-run]')) === 0);
    }

    public function testWhatTheGateSawFillsTheRunAndTheAdultConfirms(): void
    {
        $challenge = $this->class(['timed_length' => (new QuantityReader())->read('1 m', Unit::Metre), 'awards' => ['fastest']]);
        [, $token] = AdmitDevices::join($challenge, DeviceRole::Instrument, 'gate');
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $gate = sprintf(
            'php %s --site %s --token %s --lane 1 --missing 0 2>&1',
            escapeshellarg(dirname(__DIR__, 2) . '/devices/timing-gate.php'),
            escapeshellarg((string) getenv('SITE')),
            escapeshellarg($token),
        );
        self::assertStringContainsString('201', (string) shell_exec($gate));
        $browser->wait(fn(): bool => $browser->find('[name=time]')->getAttribute('value') !== '');
        self::assertMatchesRegularExpression('/^1\.\d{3}$/', (string) $browser->find('[name=time]')->getAttribute('value'));
        self::assertStringContainsString('From the instruments: time 1.', $browser->text('.entry'));
        self::assertSame(12, $challenge->runs()->count(), 'nothing is logged by itself');

        $browser->keys('140', WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 3, 140 cm, 1.', '.flash');
        $run = $challenge->runs()->where('distance_m', 1.4)->sole();
        self::assertGreaterThanOrEqual(2, $run->readings()->count());
        $browser->wait(fn(): bool => $browser->find('[name=time]')->getAttribute('value') === '');
    }

    public function testADoubleTapLogsOnce(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->keys('251');
        $browser->driver->executeScript(
            'const button = document.querySelector(".entry .log"); button.click(); button.click(); button.click();',
        );
        $browser->waitFor('Logged: Keel', '.flash')->settle()->settle();

        self::assertSame(13, $challenge->runs()->count());
    }

    public function testCorrectingWaitingRunsLosesNoneOfThem(): void
    {
        $challenge = $this->class();
        $browser = $this->helper($challenge);
        $browser->visit("/challenges/{$challenge->id}")->online(false);
        foreach (['3.1', '3.2'] as $distance) {
            $browser->keys($distance, WebDriverKeys::ENTER)->waitFor(", {$distance}", '.waiting');
            $browser->wait(fn(): bool => $browser->find('[name=distance]')->getAttribute('value') === '');
        }
        $correct = static fn(string $which) => $browser->driver->executeScript(
            '[...[...document.querySelectorAll(".waiting p")].find((each) => each.textContent.includes(arguments[0])).querySelectorAll("button")].find((each) => each.textContent === "Correct it").click()',
            [$which],
        );
        $typed = fn(): string => (string) $browser->find('[name=distance]')->getAttribute('value');

        // The first that is questioned comes back into the free strip, the other waits in the list.
        $browser->online(true)->wait(fn(): bool => $typed() === '3.1');
        $browser->waitFor('In question: Reef, 3.2', '.waiting');
        $correct(', 3.2');
        $browser->wait(fn(): bool => $typed() === '3.2');
        $browser->waitFor(', 3.1', '.waiting');
        // The lid is closed on it: both are still there.
        $browser->driver->navigate()->refresh();
        $browser->wait(fn(): bool => count($browser->all('[data-waiting-run]')) === 2);

        $browser->keys('777');
        $correct(', 3.2');
        $browser->wait(fn(): bool => $typed() === '3.2');
        $browser->waitFor(', 777', '.waiting');
        self::assertCount(2, $browser->all('[data-waiting-run]'));
        $correct(', 3.1');
        $browser->wait(fn(): bool => $typed() === '3.1');
        $browser->keys(' m', WebDriverKeys::ENTER)->waitFor('Logged: ', '.flash');
        self::assertSame(1, $challenge->runs()->where('distance_entered', '3.1 m')->count());
        self::assertCount(2, $browser->all('[data-waiting-run]'));
    }

    public function testWhatWaitsKeepsItsUnitAndAJoinedAgainTabletSendsIt(): void
    {
        $challenge = $this->class();
        $browser = $this->helper($challenge);
        $browser->visit("/challenges/{$challenge->id}")->online(false);
        $browser->keys('150', WebDriverKeys::ENTER)->waitFor('Waiting to be sent: Keel, 150', '.waiting');
        $this->signIn()->visit("/challenges/{$challenge->id}")->press('in · oz');
        $browser->online(true)->wait(fn(): bool => $challenge->runs()->count() === 13);
        self::assertSame(1, $challenge->runs()->where('distance_entered', '150 cm')->count());

        // Cut off while a run is on its way: it waits, and goes when the tablet is let in again.
        $challenge->devices()->where('role', 'log')->update(['revoked_at' => now()]);
        $browser->wait(fn(): bool => $browser->find('[name=distance]')->getAttribute('value') === '');
        $browser->driver->executeScript('document.querySelector("[name=distance]").focus()');
        $browser->keys('2 m', WebDriverKeys::ENTER)->waitFor('Join again with a code', '.waiting');
        $challenge->joinCodes()->create(
            ['role' => DeviceRole::Log, 'code' => $code = strtoupper(bin2hex(random_bytes(3))), 'expires_at' => now()->addHour()],
        );
        $browser->visit('/join')->fill('code', $code)->press('Join');
        $browser->wait(fn(): bool => $challenge->runs()->count() === 14);
        $browser->wait(fn(): bool => count($browser->all('[data-waiting-run]')) === 0);
        self::assertSame(1, $challenge->runs()->where('distance_entered', '2 m')->count());
    }

    /** Typed and sent before the page has heard anything of the one before. */
    public function testAFastTypistOutrunsNothing(): void
    {
        $challenge = $this->class(['tries' => 6]);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $order = array_map(intval(...), (array) json_decode((string) $browser->find('[data-entry]')->getAttribute('data-coming'), true));
        $typed = ['211', '222', '233', '244', '255'];
        $browser->keys(implode(WebDriverKeys::ENTER, $typed) . WebDriverKeys::ENTER);
        $browser->wait(fn(): bool => $challenge->runs()->count() === 12 + count($typed));

        $logged = $challenge->runs()->with('car')->orderBy('logged_at')->get()->slice(12)->values();
        self::assertSame(
            array_map(static fn(string $cm): string => "{$cm} cm", $typed),
            $logged->map(static fn($run): ?string => $run->distance?->text)->all(),
        );
        self::assertSame(
            array_slice($order, 0, count($typed)),
            $logged->map(static fn($run): int => $run->car->group_id)->all(),
            'each for the group whose turn it was',
        );
        $browser->wait(fn(): bool => count($browser->all('[data-waiting-run]')) === 0);
        self::assertSame('', $browser->find('[name=distance]')->getAttribute('value'));
    }

    public function testAnOldStateOfTheFloorDoesNotCallAGroupAgain(): void
    {
        $challenge = $this->class(['tries' => 6]);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->settle();
        $called = fn(): string => (string) $browser->find('[name=group]')->getAttribute('value');
        // A slow network: what the floor was like after the first run arrives after the second is stored.
        $browser->driver->executeScript(<<<'JS'
            const real = window.fetch;
            window.fetch = async (address, options) => {
                const response = await real(address, options);
                if (String(address).includes('/floor') && window.held === undefined) {
                    const text = await response.text();
                    await new Promise((goOn) => { window.held = goOn; });
                    document.addEventListener('skivo:state', () => { window.arrived = true; }, { once: true });
                    return new Response(text, response);
                }
                return response;
            };
            JS);
        $browser->fill('distance', '150')->logRun(', 150 cm');
        $browser->wait(fn(): bool => $browser->driver->executeScript('return window.held !== undefined') === true);
        $second = $called();
        $browser->fill('distance', '160')->logRun(', 160 cm');
        $third = $called();
        self::assertNotSame($second, $third);
        $browser->driver->executeScript('window.held()');
        $browser->wait(fn(): bool => $browser->driver->executeScript('return window.arrived === true') === true);

        self::assertSame($third, $called());
    }

    public function testTypingDoesNotMoveThePage(): void
    {
        $challenge = $this->class([], Scenario::sheet(16, 2));
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->settle();
        $at = fn(): float => (float) $browser->driver->executeScript('return window.scrollY');
        foreach ([0, 200] as $from) {
            $browser->driver->executeScript('window.scrollTo(0, arguments[0])', [$from]);
            $start = $at();
            foreach (['1', '4', '0'] as $digit) {
                $browser->keys($digit)->settle();
                self::assertSame($start, $at(), "after {$digit} from {$from}");
            }
            $browser->find('[name=distance]')->clear();
        }
    }

    public function testTwoAdultsWhoTypeOneRunDropOneOfThem(): void
    {
        $challenge = $this->class();
        $helper = $this->helper($challenge);
        $helper->keys('251', WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 3', '.flash');
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->driver->executeScript(
            'const group = document.querySelector("[name=group]"); group.value = arguments[0]; group.dispatchEvent(new Event("change"))',
            [(string) $challenge->groups()->where('name', 'Keel')->value('id')],
        );
        $browser->fill('distance', '252')->keys(WebDriverKeys::ENTER)->waitFor('Is this the same run?', '.entry [role=alert]');
        $browser->driver->executeScript(
            '[...document.querySelectorAll(".entry button")].find((each) => each.textContent.startsWith("It is the same run")).click()',
        );
        $browser->wait(fn(): bool => $browser->find('[name=distance]')->getAttribute('value') === '');
        self::assertSame(13, $challenge->runs()->count());
        self::assertCount(1, $browser->consoleErrors(), 'the browser notes that it was questioned');
    }
}

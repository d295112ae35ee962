<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PDO;
use PHPUnit\Framework\TestCase;
use Tests\RunsSkivo;

/** The server goes away in the middle of a run day: stopped for real, with another program in its place for a while. */
final class AwayTest extends TestCase
{
    use RunsSkivo;

    /** @var list<Browser> */
    private array $browsers = [];

    protected function setUp(): void
    {
        $this->var = dirname(__DIR__, 2) . '/var/away';
        $this->forget();
        mkdir($this->var, 0755, true);
    }

    protected function tearDown(): void
    {
        foreach ($this->browsers as $browser) {
            $browser->quit();
        }
        $this->skivo('stop');
        $this->forget();
    }

    public function testTheLaneGoesOnWhileTheServerIsAway(): void
    {
        $port = $this->freePort();
        self::assertSame(0, $this->skivo('start', '--port', (string) $port, '--name', 'lane.skivo.example', '--empty')[0]);
        $browser = $this->browsers[] = Browser::start((string) getenv('DRIVER'), "http://127.0.0.1:{$port}");
        $browser->visit('/register')
            ->fill('name', 'Tester')
            ->fill('email', 'tester@skivo.example')
            ->fill('password', 'a long password')
            ->fill('password_confirmation', 'a long password')
            ->press('Create the account');
        $browser->press('Set a challenge')
            ->fill('groups', '')
            ->fill('lane_length', '6 m')
            ->pick('safety', '1')
            ->press('Set the challenge')
            ->press('Build');
        $browser->fill('names', "Keel\nReef")->press('Add groups')->press('Run');
        $lane = $browser->path();
        $browser->wait(
            fn(): bool => $browser->driver->executeScript('return document.documentElement.dataset.keeps !== undefined') === true,
        );
        self::assertFalse($browser->find('[data-stay-open]')->isDisplayed());

        self::assertSame(0, $this->skivo('stop')[0]);
        $browser->keys('251', WebDriverKeys::ENTER)->waitFor('Waiting to be sent: Keel, 251', '.waiting');
        // Loaded again without a server: the page, and what waits on it.
        $browser->driver->navigate()->refresh();
        $browser->waitFor('Waiting to be sent: Keel, 251', '.waiting');
        self::assertSame($lane, $browser->path());
        $browser->wait(fn(): bool => $browser->find('[name=distance]')->getAttribute('value') === '');
        $browser->driver->executeScript(
            'const group = document.querySelector("[name=group]"); group.value = group.options[1].value; document.querySelector("[name=distance]").focus()',
        );
        $browser->keys('262', WebDriverKeys::ENTER)->waitFor('Waiting to be sent: Reef, 262', '.waiting');

        // Another program at the address says yes to everything, as a network's own sign-in page does.
        file_put_contents("{$this->var}/portal.php", '<?php echo "<html><body>Welcome to the network</body></html>";');
        $portal = proc_open(
            ['php', '-S', "127.0.0.1:{$port}", "{$this->var}/portal.php"],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        self::assertIsResource($portal);
        $browser->waitFor('is not Skivo', '.waiting');
        self::assertCount(2, $browser->all('[data-waiting-run]'));
        proc_terminate($portal, SIGKILL);
        proc_close($portal);

        self::assertSame(0, $this->skivo('start', '--empty')[0]);
        $browser->wait(fn(): bool => count($browser->all('[data-waiting-run]')) === 0);
        $runs = $this->database('skivo', 'skivo', trim((string) file_get_contents("{$this->var}/.owner")));
        self::assertSame(
            ['251 cm', '262 cm'],
            $runs->query('SELECT distance_entered FROM runs ORDER BY logged_at')->fetchAll(PDO::FETCH_COLUMN),
        );

        // On plain http under a name, nothing can be opened again: the page says so, and holds on to what is typed.
        $tablet = $this->browsers[] = Browser::start(
            (string) getenv('DRIVER'),
            "http://lane.skivo.example:{$port}",
            ['--host-resolver-rules=MAP lane.skivo.example 127.0.0.1'],
        );
        $tablet->signIn('tester@skivo.example', 'a long password')->visit($lane);
        self::assertTrue($tablet->find('[data-stay-open]')->isDisplayed());
        $leaves = fn(): bool => $tablet->driver->executeScript(
            'const leave = new Event("beforeunload", { cancelable: true }); window.dispatchEvent(leave); return !leave.defaultPrevented',
        ) === true;
        self::assertTrue($leaves());
        $tablet->keys('270');
        self::assertFalse($leaves());
        $tablet->keys(WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 2', '.flash');
        self::assertTrue($leaves());
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Challenge;
use App\Models\Run;
use App\Pages\Film\FilmReading;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Motion\Film\FilmedRun;
use Tests\Long;

/** Many real films, as phones make them: several runs, two lanes, turned, slow; and many that hold what a film says. */
final class FilmsTest extends BrowserTestCase
{
    private const SMALL = [960, 540];

    /** As phones film: what is claimed is claimed of this. */
    private const LARGE = [1920, 1080];

    /** Films of scenes from this seed on; so many are made at a time. */
    private const FILMS = 2;
    private const FILMS_LONG = 30;
    private const SEED = 400;
    private const AT_ONCE = 2;

    private static string $folder = '';

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::$folder = sys_get_temp_dir() . '/skivo-' . bin2hex(random_bytes(4));
        mkdir(self::$folder);
    }

    public static function tearDownAfterClass(): void
    {
        array_map(unlink(...), (array) glob(self::$folder . '/*'));
        rmdir(self::$folder);
        parent::tearDownAfterClass();
    }

    public function testRunsOnTwoLanesInOneFilmAreCutApartAndEachKeptWithItsOwn(): void
    {
        $challenge = $this->class(
            ['tries' => 2, 'lanes' => 2],
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),try,distance (cm)\nKeel,8,20,60,1,300\nReef,8,20,60,1,310\nTern,8,20,60,1,320\nSkua,8,20,60,,\n",
        );
        [$film, $runs] = $this->films(self::SMALL, '--runs 2 --lanes 2 --seed 9')[0];
        // What is on record of each is what its film shows: else it is asked whose film it is.
        foreach (['Keel' => [0, 0], 'Reef' => [1, 0], 'Tern' => [0, 1]] as $group => [$run, $lane]) {
            $went = (float) $runs[$run][$lane]['truth']['distance_m'];
            $challenge->runs()->whereHas('car.group', static fn($groups) => $groups->where('name', $group))->toBase()
                ->update(['distance_m' => $went, 'distance_entered' => round(100 * $went, 1) . ' cm']);
        }
        $browser = $this->signIn()->size(1280, 900)->visit("/challenges/{$challenge->id}/film");
        $page = (new FilmPage($browser))->choose($film);
        $browser->press('A second lane beside it');
        self::assertCount(1, $browser->all('.film-line.is-other'), 'the other lane’s line is seen, and only one is moved');
        $page->mark($runs[0]);
        self::assertSame('', $page->read());
        $takes = $browser->all('[data-film-takes] button');
        self::assertCount(4, $takes);
        self::assertStringStartsWith('Run 1 (lane 1, from 0', $takes[0]->getText());
        self::assertStringStartsWith('Run 3 (lane 2, from 0', $takes[2]->getText());
        // Runs 1 and 2 on the first lane, 3 and 4 on the second.
        foreach ([[0, 0], [1, 0], [0, 1], [1, 1]] as $number => [$run, $lane]) {
            $this->turnTo($browser, $number);
            $this->answered($page);
            $true = $runs[$run][$lane]['truth'];
            // The farther lane is seen coarsely, and the page says by how much.
            self::assertEqualsWithDelta(
                100 * $true['distance_m'],
                $page->figure('Stopped at'),
                max(3.0, 1.5 * $page->half('Stopped at')),
                "run {$number}",
            );
            self::assertEqualsWithDelta($true['lasts_s'], $page->figure('Release to stop'), 0.2, "run {$number}");
        }
        // Three are of runs that are on record.
        foreach (['Keel', 'Reef', 'Tern'] as $number => $group) {
            $this->turnTo($browser, $number);
            $this->answered($page);
            $this->isOf($browser, $page, $group);
            $this->answered($page);
            self::assertNotSame(0.0, $page->figure('Push, on average'), 'whose car it was is known');
            $browser->press('Keep with the run');
            // The row is drawn anew meanwhile: asked at one moment.
            $browser->wait(
                static fn(): bool => $browser->driver->executeScript(
                    'return document.querySelectorAll("[data-film-takes] button")[arguments[0]]?.textContent.startsWith("✓") === true',
                    [$number],
                ),
            );
        }
        // The last waits for a run that is yet to be logged.
        $this->answered($page);
        $this->isOf($browser, $page, 'the run that is logged next at lane 2');
        $this->answered($page);
        self::assertSame(0.0, $page->figure('Push, on average'), 'nobody said whose car it was');
        $browser->press('Keep with the run')->wait(static fn(): bool => str_ends_with($browser->path(), "/challenges/{$challenge->id}"));
        self::assertEqualsCanonicalizing(
            ['Keel', 'Reef', 'Tern'],
            $challenge->runs()->with('car.group')->whereNotNull('limp_m')->get()->map(fn($run): string => $run->car->group->name)->all(),
        );
        $waiting = $challenge->readings()->whereNull('run_id')->sole();
        self::assertSame(2, $waiting->lane);
    }

    /** Turned, and slowed down four times: one film that is both. */
    public function testAFilmThatWasTurnedAndPlaysSlowlyIsReadAsWell(): void
    {
        $this->isReadAsWell('--seed 9 --turned', '4');
    }

    #[Group('long')]
    #[TestWith(['--seed 9 --turned', '1'])]
    #[TestWith(['--seed 12', '4'])]
    #[TestWith(['--seed 9 --rate 120', '1'])]
    public function testAFilmThatWasTurnedOrPlaysSlowlyOrHasManyPicturesIsReadAsWell(string $how, string $slower): void
    {
        $this->isReadAsWell($how, $slower);
    }

    private function isReadAsWell(string $how, string $slower): void
    {
        $challenge = $this->class(
            ['tries' => 2],
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),try,distance (cm)\nKeel,8,20,60,1,345\n",
        );
        [$film, [[$true]]] = $this->films(self::SMALL, $how)[0];
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/runs/{$challenge->runs()->sole()->id}/film");
        $page = (new FilmPage($browser))->choose($film);
        $page->mark([$true]);
        $browser->driver->executeScript('document.querySelector("[data-film-slower]").value = arguments[0]', [$slower]);
        self::assertSame('', $page->read());
        self::assertEqualsWithDelta(100 * $true['truth']['distance_m'], $page->figure('Stopped at'), 3.0);
        self::assertEqualsWithDelta($true['truth']['lasts_s'] / (int) $slower, $page->figure('Release to stop'), 0.15 / (int) $slower);
        self::assertEqualsWithDelta(
            $true['truth']['friction'] * (int) $slower ** 2,
            $page->figure('Friction f'),
            0.15 * $true['truth']['friction'] * (int) $slower ** 2,
        );
    }

    /** As scenes draw them by lot: within their bounds in nine of ten. */
    public function testFilmsSayWhatIsTrue(): void
    {
        $count = Long::or(self::FILMS, self::FILMS_LONG);
        $challenge = $this->class(
            ['tries' => 2],
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),try,distance (cm)\nKeel,8,20,60,1,345\n",
        );
        $run = $challenge->runs()->sole();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/runs/{$run->id}/film");
        $within = ['stop' => 0, 'lasts' => 0, 'push' => 0, 'f' => 0];
        $films = $this->films(self::LARGE, ...array_map(static fn(int $i): string => '--seed ' . (self::SEED + $i), range(1, $count)));
        $said = [];
        foreach ($films as [$film, [[$scene]]]) {
            $sheet = $run->car->choices;
            foreach ($scene['sheet'] as $attribute => $si) {
                $sheet = $sheet->with(CarAttribute::from($attribute), $si);
            }
            $run->car->update(['choices' => $sheet]);
            $page = (new FilmPage($browser))->choose($film);
            $page->mark([$scene]);
            $refused = $page->read();
            if ($refused !== '') {
                $said[] = $refused;
                continue;
            }
            $true = $scene['truth'];
            $film = $this->keptUnrounded($browser, $challenge, $run);
            self::assertEqualsWithDelta(
                100 * $film->distance->value,
                $page->figure('Stopped at'),
                0.5 + 1e-6,
                'what is kept is what was said',
            );
            $miss = [
                'stop' => $film->distance->value - $true['distance_m'],
                'lasts' => $film->lasts->value - $true['lasts_s'],
                'push' => ($film->push->value ?? 0.0) / $true['push_n'] - 1.0,
                'f' => $film->friction->value / $true['friction'] - 1.0,
            ];
            $within['stop'] += abs($miss['stop']) <= max(0.01, 0.005 * $true['distance_m']) ? 1 : 0;
            $within['lasts'] += abs($miss['lasts']) <= 1 / 30 ? 1 : 0;
            $within['push'] += abs($miss['push']) <= 0.1 ? 1 : 0;
            $within['f'] += abs($miss['f']) <= 0.1 ? 1 : 0;
            $said[] = json_encode(array_map(static fn(float $each): float => round($each, 4), $miss));
        }
        fwrite(STDERR, json_encode($within) . "\n" . implode("\n", $said) . "\n");
        foreach ($within as $what => $often) {
            self::assertGreaterThanOrEqual((int) floor(0.9 * $count), $often, "{$what}\n" . implode("\n", $said));
        }
    }

    /**
     * @param array{int, int} $size px
     *
     * @return list<array{string, list<list<array<string, mixed>>>}> each film, with what is true of its runs by lane
     */
    private function films(array $size, string ...$hows): array
    {
        $films = [];
        foreach (array_chunk($hows, self::AT_ONCE) as $chunk) {
            $made = [];
            foreach ($chunk as $how) {
                $file = self::$folder . '/' . bin2hex(random_bytes(4)) . '.mp4';
                $made[$file] = FilmPage::film($file, $size, $how);
            }
            foreach ($made as $file => $film) {
                $films[] = [$file, FilmPage::truth($film)];
            }
        }

        return $films;
    }

    /** Shows one of the runs of the film. */
    private function turnTo(Browser $browser, int $number): void
    {
        $browser->driver->executeScript('document.querySelectorAll("[data-film-takes] button")[arguments[0]].click()', [$number]);
    }

    /** Says which run the shown one is. */
    private function isOf(Browser $browser, FilmPage $page, string $says): void
    {
        $browser->driver->executeScript(
            'const select = document.querySelector("#film-of"); const option = [...select.options].find((each) => each.textContent.includes(arguments[0]));
            select.value = option.value; select.dispatchEvent(new Event("change", { bubbles: true }));',
            [$says],
        );
        $this->answered($page);
    }

    private function answered(FilmPage $page): void
    {
        self::assertSame('', $page->answer());
    }

    /** As it is kept with the run: the page rounds what it says. */
    private function keptUnrounded(Browser $browser, Challenge $challenge, Run $run): FilmedRun
    {
        $fault = $browser->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; const { page } = document.querySelector("[data-film]");
            page.post("PUT", page.result.take, { confirmed: true, picture: document.querySelector("[data-film-strip]").toDataURL("image/jpeg", 0.85) })
                .then((answer) => done(answer.fault ?? ""), (fault) => done(String(fault)));',
        );
        self::assertSame('', $fault);
        $film = FilmReading::kept($challenge->refresh(), $run, $run->readings()->reorder('id', 'desc')->firstOrFail());
        self::assertNotNull($film);

        return $film->run;
    }
}

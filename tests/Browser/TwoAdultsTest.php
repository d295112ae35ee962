<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Access\Actor;
use App\Actions\LogRun;
use App\Models\Challenge;
use Illuminate\Support\Str;
use Skivo\Core\Challenge\RunRecord;
use Tests\Scenario;

/** Two lanes, two adults, one moment: requests that truly run side by side on the real server. */
final class TwoAdultsTest extends BrowserTestCase
{
    public function testRunsLoggedAtOnceGetNumbersOfTheirOwn(): void
    {
        $challenge = $this->class(['tries' => 20]);
        $this->logAtOnce($challenge, 'Keel', array_map(static fn(): string => (string) Str::uuid7(), range(1, 6)));

        self::assertSame([1, 2, 3, 4, 5, 6, 7, 8], $this->tries($challenge, 'Keel'));
    }

    public function testOneRunSentManyTimesAtOnceIsLoggedOnce(): void
    {
        $challenge = $this->class();
        $this->logAtOnce($challenge, 'Keel', array_fill(0, 6, (string) Str::uuid7()));

        self::assertSame([1, 2, 3], $this->tries($challenge, 'Keel'));
    }

    public function testGroupsAddedAtOnceGetMarksOfTheirOwn(): void
    {
        $challenge = $this->class();
        $this->signIn()->visit("/challenges/{$challenge->id}/groups");
        $statuses = $this->browser->driver->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            const token = document.querySelector('[name=_token]').value;
            Promise.all(['Cleat', 'Fender', 'Thimble', 'Cleat'].map((names) => fetch(location.pathname, {
                method: 'POST', body: new URLSearchParams({ _token: token, names }),
            }))).then((answers) => done(answers.map((answer) => answer.status)), done);
            JS);
        self::assertSame([200, 200, 200, 200], $statuses, 'whoever comes second is told, not failed');

        $marks = $challenge->groups()->pluck('mark', 'name')->all();
        self::assertCount(7, $marks, 'the same name twice at once is one group');
        self::assertCount(7, array_unique($marks));
    }

    public function testSheetsBroughtInWhileRunsAreLogged(): void
    {
        $challenge = $this->class(['tries' => 20]);
        $this->signIn()->visit("/challenges/{$challenge->id}");
        $groups = $challenge->groups()->pluck('id', 'name');
        $statuses = $this->browser->driver->executeAsyncScript(
            <<<'JS'
            const [path, groups, done] = arguments;
            const token = document.querySelector('.entry [name=_token]').value;
            const id = () => crypto.randomUUID();
            const post = (to, fields) => fetch(`${path}${to}`, { method: 'POST', body: new URLSearchParams({ _token: token, ...fields }) }).then((answer) => answer.status);
            const all = [];
            for (let turn = 0; turn < 10; turn++) {
                const name = ['Keel', 'Reef', 'Bowline'][turn % 3];
                all.push(post('/sheet', { text: `group,version,try,distance (cm)\n${name},1,${10 + turn},${200 + turn}\nNew ${turn % 4},1,1,${150 + turn}\n` }));
                all.push(post('/runs', { id: id(), group: groups[name], distance: String(300 + 9 * turn), confirmed: 'same_run' }));
            }
            Promise.all(all).then(done, (fault) => done([String(fault)]));
            JS,
            ["/challenges/{$challenge->id}", $groups->all()],
        );

        self::assertSame(array_fill(0, 20, 200), $statuses, 'a collision is said, never a fault');
        self::assertSame(
            10,
            $challenge->runs()
                ->whereIn('distance_m', array_map(static fn(int $turn): float => (300 + 9 * $turn) / 100, range(0, 9)))
                ->count(),
            'every run that was logged is there',
        );
    }

    public function testWhatIsHalfTypedAndUnfoldedStaysWhileOthersLogRuns(): void
    {
        $challenge = $this->class(['tries' => 20]);
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $page = $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$keel->id}/own")->fill('predicted', '123');
        $page->driver->executeScript(
            "document.querySelector('[data-part=runs] details').open = true; document.querySelector('[data-part=runs] details [name=note]').value = 'half a no'; document.activeElement.blur();",
        );
        app(LogRun::class)($keel, (string) Str::uuid7(), new RunRecord(Scenario::entry('317 cm')), Actor::at($challenge->user));

        $page->waitFor('317', '[data-part=runs]');
        self::assertSame('123', $page->find('[name=predicted]')->getAttribute('value'));
        self::assertSame(
            '3',
            $page->find('.prediction [name=try]')->getAttribute('value'),
            'what was typed is still said of the try that it was typed for',
        );
        self::assertSame(
            'half a no',
            $page->driver->executeScript("return document.querySelector('[data-part=runs] details[open] [name=note]').value"),
        );
    }

    /** @param list<string> $ids */
    private function logAtOnce(Challenge $challenge, string $group, array $ids): void
    {
        $this->signIn()->visit("/challenges/{$challenge->id}");
        $statuses = $this->browser->driver->executeAsyncScript(
            <<<'JS'
            const [path, group, ids, done] = arguments;
            const token = document.querySelector('.entry [name=_token]').value;
            Promise.all(ids.map((id) => fetch(path, {
                method: 'POST', body: new URLSearchParams({ _token: token, id, group, distance: '200' }),
            }))).then((answers) => done(answers.map((answer) => answer.status)), done);
            JS,
            ["/challenges/{$challenge->id}/runs", (string) $challenge->groups()->where('name', $group)->value('id'), $ids],
        );

        self::assertSame(array_fill(0, count($ids), 200), $statuses);
    }

    /** @return list<int> of the runs that count, in the order in which they were logged */
    private function tries(Challenge $challenge, string $group): array
    {
        return $challenge->runs()
            ->whereHas('car.group', static fn($groups) => $groups->where('name', $group))
            ->whereNull('void_reason')->orderBy('logged_at')->orderBy('id')->pluck('try')->all();
    }
}

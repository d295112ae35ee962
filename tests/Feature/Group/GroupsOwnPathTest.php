<?php

declare(strict_types=1);

namespace Tests\Feature\Group;

use App\Actions\AdmitDevices;
use App\Actions\LeadClass;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\JoinCode;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\Station;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;

/** Getting in, what a group puts into its notebook, and what the educator sees of it. */
final class GroupsOwnPathTest extends FeatureTestCase
{
    public function testOneCodeForTheClassAndATakenMarkAsks(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $cards = $this->get("/challenges/{$challenge->id}/devices/cards")->assertOk()->assertSee('Keel');
        $code = $challenge->joinCodes()->sole()->code;
        $cards->assertSee("join/{$code}?group={$keel->id}", false);
        $this->get("/challenges/{$challenge->id}/devices/cards");
        self::assertSame(1, $challenge->joinCodes()->count(), 'the same code as long as it holds');
        Auth::forgetGuards();

        $this->post('/join', ['code' => strtolower($code)])->assertRedirect("/join/{$code}");
        $this->get("/join/{$code}")
            ->assertSee('Tap your mark')
            ->assertSee('Keel')
            ->assertSee('Halyard')
            ->assertDontSee('Ask to take its place');
        $this->get("/join/{$code}?group={$keel->id}")->assertSee('Keel')->assertDontSee('Halyard');
        $first = $this->post('/join/mark', ['code' => $code, 'group' => $keel->id])->assertRedirect('/joined');
        $this->get("/join/{$code}")->assertSee('Ask to take its place');
        self::assertFalse($challenge->devices()->sole()->is_waiting);

        // Known again by its cookie: it goes on, and no second device is made.
        $cookie = $first->getCookie(Device::COOKIE)?->getValue();
        $this->withCookie(Device::COOKIE, (string) $cookie)
            ->post('/join/mark', ['code' => $code, 'group' => $keel->id])
            ->assertRedirect('/joined');
        self::assertSame(1, $challenge->devices()->count());

        // Another tablet for the same mark waits, sees nothing, and one tap of the educator lets it in.
        $this->withCookie(Device::COOKIE, 'none')->post('/join/mark', ['code' => $code, 'group' => $keel->id]);
        $second = $challenge->devices()->where('is_waiting', true)->sole();
        $this->atDevice($second);
        $this->get('/joined')->assertOk()->assertSee('An adult must allow this tablet');
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/own")->assertNotFound();
        $this->entry($keel, ['kind' => 'note', 'text' => 'x'])->assertNotFound();
        $this->asEducator();
        $this->get("/challenges/{$challenge->id}/room")->assertSee('asks to join as Keel');
        $this->put("/challenges/{$challenge->id}/room/devices/{$second->id}/let-in")->assertRedirect();
        self::assertSame(
            [false, true],
            [$second->refresh()->is_waiting, $challenge->devices()->whereKeyNot($second->id)->sole()->revoked_at !== null],
        );
        $this->atDevice($second);
        $this->get('/joined')->assertRedirect("/challenges/{$challenge->id}/groups/{$keel->id}/at/idea");

        $this->post('/join/mark', ['code' => 'WRONG', 'group' => $keel->id])->assertRedirect('/join');
        $this->post('/join/mark', ['code' => $code, 'group' => 999999])->assertRedirect("/join/{$code}");
        JoinCode::query()->update(['expires_at' => now()->subMinute()]);
        $this->post('/join/mark', ['code' => $code, 'group' => $keel->id])->assertRedirect('/join');
    }

    public function testWhatIsSentTwiceIsThereOnce(): void
    {
        [$challenge, $keel] = $this->tablet();
        $id = (string) Str::uuid();
        $sent = ['id' => $id, 'kind' => 'note', 'text' => 'The left wheel wobbles.', 'made_at' => now()->subMinutes(5)->toIso8601String()];
        $this->entry($keel, $sent)->assertCreated()->assertJson(['id' => $id]);
        $this->entry($keel, $sent)->assertOk()->assertJson(['id' => $id]);
        $entry = Entry::query()->sole();
        self::assertSame(
            [EntryKind::Note, 'The left wheel wobbles.', $challenge->devices()->sole()->id],
            [$entry->kind, $entry->text(), $entry->device_id],
        );
        self::assertEqualsWithDelta(now()->subMinutes(5)->getTimestamp(), $entry->made_at->getTimestamp(), 5);
        $this->entry(
            $keel,
            ['kind' => 'note', 'text' => 'From the future.', 'made_at' => now()->addYear()->toIso8601String()],
        )->assertCreated();
        self::assertLessThanOrEqual(now()->getTimestamp() + 1, Entry::query()->where('id', '<>', $id)->sole()->made_at->getTimestamp());
        // Without a script the form itself is sent.
        $this->from("/challenges/{$challenge->id}/groups/{$keel->id}/notebook")
            ->post($this->path($keel), ['kind' => 'wish', 'text' => 'Shorter axles'])
            ->assertRedirect();
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/notebook")
            ->assertSee('The left wheel wobbles.')
            ->assertSee('We wish:')
            ->assertSee('Shorter axles');
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/change")->assertSee('Shorter axles');
        // Under another group's address it is not there.
        $other = $challenge->groups()->where('name', 'Halyard')->sole();
        $this->entry($other, ['kind' => 'note', 'text' => 'x'])->assertNotFound();
    }

    public function testTicksGuessesChecksAndWhyMoveTheGroupOn(): void
    {
        [$challenge, $keel] = $this->tablet(new: true);
        $at = fn(string $station) => $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/{$station}");
        $at('idea')->assertSee('Tap a part of the car');
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/car",
            ['chassis' => 'corrugated card', 'wheel_kind' => 'bottle caps', 'nozzle_bore' => '6', 'balloon_size' => '20', 'mass' => '58'],
        )->assertRedirect("/challenges/{$challenge->id}/groups/{$keel->id}/at/build");
        $at('build')->assertSee('Do one step, tick it');
        $steps = \App\Record\ClassPlan::of($challenge)->stepsOfCar(
            $keel->refresh()->newestCar()->choices ?? new \Skivo\Core\Car\Car(),
        )->tasks;
        foreach ($steps as $task) {
            if (!$task->step->waits()) {
                $this->entry($keel, ['kind' => 'tick', 'step' => $task->step->value, 'done' => '1'])->assertCreated();
            }
        }
        $at('build')->assertSee('All steps are done');
        $this->entry($keel, ['kind' => 'tick', 'step' => 'roll', 'done' => '0'])->assertCreated();
        $at('build')->assertDontSee('All steps are done');
        $this->entry($keel, ['kind' => 'tick', 'step' => 'roll', 'done' => '1']);
        $at('idea')->assertSee('Check your car before it runs');

        $this->entry($keel, ['kind' => 'check', 'item' => 'spin', 'first' => '0.5'])->assertCreated();
        $at('check')->assertSee('This needs fixing')->assertSee('Free the wheels');
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/check?item=spin")->assertSee('This needs fixing');
        $this->entry($keel, ['kind' => 'check', 'item' => 'spin', 'first' => '3'])->assertCreated();
        $this->entry($keel, ['kind' => 'check', 'item' => 'points', 'yes' => '1'])->assertCreated();
        $at('idea')->assertSee('Guess how far it will go, and say why');

        $this->entry($keel, ['kind' => 'guess', 'predicted' => '250', 'reason' => 'it is light'])->assertCreated();
        $prediction = $keel->newestCar()?->predictions()->sole();
        self::assertSame(['250 cm', 'it is light', 1], [$prediction?->distance->text, $prediction?->reason, $prediction?->try]);
        $at('idea')->assertSee('Take your car to the start');
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/own")->assertSee('Close the tube with a fingertip');

        $this->log($challenge, 'Keel', ['distance' => '240', 'back' => 'group']);
        $this->settle();
        $at('idea')->assertSee('Find out why it stopped where it did');
        $why = $at('why')->assertSee('You said 250')->assertSee('Newton’s third law');
        $run = $keel->newestCar()?->runs()->sole();
        $this->entry($keel, ['kind' => 'why', 'run' => $run?->id])->assertCreated();
        $at('idea')->assertSee('Guess how far it will go');
        self::assertStringNotContainsString('κ', (string) $why->getContent());
        self::assertDoesNotMatchRegularExpression('/\bmN\b|Welch|\bp\s*=/', (string) $why->getContent());
    }

    /** An ordinary run of a car of which nobody wrote down enough is not odd: what is missing is said, and asked for there. */
    public function testWhyAsksForWhatNobodyWroteDown(): void
    {
        [$challenge, $keel] = $this->tablet(new: true);
        $why = fn(): string => (string) $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/why")->assertOk()->getContent();
        $this->log($challenge, 'Keel', ['distance' => '230', 'back' => 'group']);
        foreach ([[], ['wheel_kind' => 'bottle caps'], ['wheel_kind' => 'bottle caps', 'nozzle_bore' => '6']] as $known) {
            $known === [] ?: $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/car", $known + ['save_as' => 'correction']);
            $this->settle();
            self::assertStringContainsString('data-silence="not_written_down"', $why());
            self::assertStringContainsString('how big the balloon was', $why());
            self::assertStringContainsString("/groups/{$keel->id}/car", $why());
            self::assertStringNotContainsString('Check the car', $why());
        }
        // Its mass is what nobody need know.
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/car",
            ['wheel_kind' => 'bottle caps', 'nozzle_bore' => '6', 'balloon_size' => '20', 'save_as' => 'correction'],
        );
        $this->settle();
        self::assertStringNotContainsString('data-silence', $why());
        self::assertStringContainsString('Most of it left with the jet of air', $why());
        // At the far wall nobody knows where it would have stopped, nor what would have carried it on.
        $this->log($challenge, 'Keel', ['hit_wall' => '1', 'back' => 'group']);
        $this->settle();
        self::assertStringContainsString('data-silence="past_the_end"', $why());
        self::assertStringNotContainsString('would carry it', $why());
        self::assertStringNotContainsString('held it back most', $why());
    }

    /** A run far outside its forecast is told without reasons: the model does not bear it. */
    public function testWhyIsSilentWhereTheModelDoesNotBearIt(): void
    {
        [$challenge, $keel] = $this->tablet(new: true);
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/car",
            ['chassis' => 'corrugated card', 'wheel_kind' => 'bottle caps', 'nozzle_bore' => '6', 'balloon_size' => '20', 'mass' => '58'],
        );
        $why = fn(): string => (string) $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/why")->assertOk()->getContent();
        self::assertStringContainsString('First let your car run', $why());
        $this->log($challenge, 'Keel', ['distance' => '230', 'back' => 'group']);
        $this->settle();
        self::assertStringContainsString('data-why=', $why());
        self::assertStringNotContainsString('data-silence', $why());
        // Where the balloon was empty nobody marked: it is told as the computer's, until somebody does.
        self::assertStringContainsString('Nobody marked the place', $why());
        $this->log($challenge, 'Keel', ['distance' => '231', 'back' => 'group']);
        $this->log($challenge, 'Keel', ['distance' => '6', 'back' => 'group', 'confirmed' => 'distance']);
        $this->settle();
        self::assertStringContainsString('data-silence="odd"', $why());
        self::assertStringNotContainsString('would carry it', $why());
        self::assertStringNotContainsString('held it back most', $why());
    }

    /** @return iterable<string, array{array<string, string>, string}> what is sent, and the field that is refused */
    public static function refused(): iterable
    {
        yield 'nothing written' => [['kind' => 'note', 'text' => ' '], 'text'];
        yield 'a book' => [['kind' => 'note', 'text' => str_repeat('a', 1001)], 'text'];
        yield 'no kind' => [['kind' => 'song'], 'kind'];
        yield 'no step' => [['kind' => 'tick', 'step' => 'fly', 'done' => '1'], 'step'];
        yield 'no distance' => [['kind' => 'guess', 'predicted' => 'far'], 'predicted'];
        yield 'no such direction' => [['kind' => 'guess', 'predicted' => '200', 'direction' => 'up'], 'direction'];
        yield 'a drawing of nothing' => [['kind' => 'sketch', 'strokes' => '[]'], 'strokes'];
        yield 'a drawing that is none' => [['kind' => 'sketch', 'strokes' => '{"a":'], 'strokes'];
        yield 'one reading of two' => [['kind' => 'check', 'item' => 'parallel', 'first' => '98'], 'second'];
        yield 'a test that is none' => [['kind' => 'check', 'item' => 'colour', 'yes' => '1'], 'item'];
        yield 'a question that nobody asked' => [['kind' => 'warm_up', 'question' => 'moon', 'answer' => 'same'], 'question'];
        yield 'an answer that nobody offers' => [['kind' => 'closing', 'question' => 'teamwork', 'answer' => 'nozzle'], 'answer'];
        yield 'an id that is none' => [['kind' => 'note', 'text' => 'a', 'id' => '1'], 'id'];
        yield 'no photo' => [['kind' => 'photo'], 'photo'];
        yield 'a guess in words' => [['kind' => 'guess', 'predicted' => 'lots'], 'predicted'];
        yield 'a guess below nothing' => [['kind' => 'guess', 'predicted' => '-5'], 'predicted'];
        yield 'a guess beyond every hall' => [['kind' => 'guess', 'predicted' => '99999'], 'predicted'];
        yield 'a reason as long as a book' => [['kind' => 'guess', 'predicted' => '200', 'reason' => str_repeat('a', 501)], 'reason'];
        yield 'a reading in words' => [['kind' => 'check', 'item' => 'parallel', 'first' => 'lots', 'second' => '98'], 'first'];
        yield 'a reading below nothing' => [['kind' => 'check', 'item' => 'parallel', 'first' => '98', 'second' => '-5'], 'second'];
        yield 'a reading beyond every car' => [['kind' => 'check', 'item' => 'end-play', 'first' => '99999'], 'first'];
        yield 'a question that was not answered' => [['kind' => 'check', 'item' => 'balloon-clears'], 'yes'];
    }

    /** @param array<string, string> $sent */
    #[DataProvider('refused')]
    public function testBadEntriesAreRefusedByTheirField(array $sent, string $field): void
    {
        [, $keel] = $this->tablet();
        $said = $this->entry($keel, $sent)->assertUnprocessable()->assertJsonValidationErrors($field)->json("errors.{$field}.0");
        // What a hand on the page may do is said with its cure; only what the page itself must have got wrong is the page's.
        $byThePage = ['kind', 'step', 'direction', 'item', 'question', 'id'];
        self::assertSame(in_array($field, $byThePage, true), $said === 'Something is wrong with this page. Load it again.', (string) $said);
        self::assertSame(0, Entry::query()->where('group_id', $keel->id)->count());
    }

    public function testAPhotoIsEncodedAnewAndShownOnlyToWhoMaySeeIt(): void
    {
        [$challenge, $keel] = $this->tablet();
        // 1800 × 900, on its side by EXIF, with a place and a word in its metadata and another file behind it.
        $file = $this->jpeg(1800, 900, orientation: 6, behind: '<?php echo 1; ?>PK');
        self::assertStringContainsString('SECRET PLACE', (string) file_get_contents($file->getRealPath()));
        $this->entry($keel, ['kind' => 'photo', 'text' => 'Our car', 'photo' => $file])->assertCreated();
        $entry = Entry::query()->with('picture')->sole();
        self::assertSame([800, 1600], [$entry->picture?->width, $entry->picture?->height], 'upright, and no larger than anybody looks at');
        $path = "{$this->path($keel)}/{$entry->id}/photo";
        $answer = $this->get($path)
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg')
            ->assertHeader('X-Content-Type-Options', 'nosniff');
        $bytes = (string) $answer->getContent();
        self::assertSame([800, 1600, IMAGETYPE_JPEG], array_slice((array) getimagesizefromstring($bytes), 0, 3));
        foreach (['SECRET PLACE', 'Exif', '<?php', 'PK'] as $hidden) {
            self::assertStringNotContainsString($hidden, $bytes === '' ? $hidden : substr($bytes, 0, 2000) . substr($bytes, -2000));
        }
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/notebook")
            ->assertSee("{$entry->id}/photo")
            ->assertSee('no faces, no names');

        // Another group's tablet, another educator, and nobody at all.
        [$other] = AdmitDevices::join($challenge, DeviceRole::Group, 'x', $challenge->groups()->where('name', 'Halyard')->sole());
        $this->atDevice($other);
        $this->get($path)->assertNotFound();
        Auth::forgetGuards();
        Auth::shouldUse('web');
        $this->actingAs(\Tests\Scenario::educator('Another'), 'web');
        $this->get($path)->assertNotFound();

        // It leaves the notebook only after the educator has looked, and at once not at all.
        $this->flushSession();
        $this->asEducator();
        $report = fn(): string => (string) $this->get("/challenges/{$challenge->id}/report/notebooks")->assertOk()->getContent();
        self::assertStringNotContainsString("{$entry->id}/photo", $report());
        $this->get("/challenges/{$challenge->id}/room")->assertSee("{$entry->id}/photo");
        $this->put("/challenges/{$challenge->id}/room/entries/{$entry->id}", ['shown' => '1'])->assertRedirect();
        self::assertStringContainsString("{$entry->id}/photo", $report());
        $this->put("/challenges/{$challenge->id}/room/entries/{$entry->id}", ['shown' => '0']);
        self::assertStringNotContainsString("{$entry->id}/photo", $report());
        $this->atDevice($challenge->devices()->where('name', 'tablet')->sole());
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/notebook")->assertDontSee("{$entry->id}/photo");

        // With its challenge it is gone.
        $this->asEducator();
        app(\App\Actions\DeleteForGood::class)->challenge($challenge);
        self::assertSame([0, 0], [DB::table('pictures')->count(), Entry::query()->count()]);
    }

    /** @return iterable<string, array{string, string}> bytes, and words of the refusal */
    public static function hostile(): iterable
    {
        yield 'a page' => ['<html><script>alert(1)</script></html>', 'no photo'];
        yield 'an SVG' => ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'no photo'];
        yield 'a GIF that is also a script' => ["GIF89a\x01\x00\x01\x00\x00\x00\x00;<?php echo 1;", 'no photo'];
        yield 'nothing' => ['', 'no photo'];
        yield 'a PNG of 40,000 by 40,000 pixels' => [
            "\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR" . pack('NN', 40_000, 40_000) . "\x08\x02\x00\x00\x00" . pack('N', 0), 'fewer pixels',
        ];
        yield 'a JPEG that ends early' => [substr(self::drawn(40, 40), 0, 120), 'broken'];
        yield 'a zip' => ["PK\x03\x04" . str_repeat("\x00", 60), 'no photo'];
    }

    #[DataProvider('hostile')]
    public function testHostileFilesAreRefusedInWords(string $bytes, string $says): void
    {
        [, $keel] = $this->tablet();
        $file = tempnam(sys_get_temp_dir(), 'photo');
        file_put_contents((string) $file, $bytes);
        $answer = $this->entry(
            $keel,
            ['kind' => 'photo', 'photo' => new UploadedFile((string) $file, 'car.jpg', 'image/jpeg', null, true)],
        );
        if ($bytes === '' || $says !== 'broken') {
            $answer->assertUnprocessable();
            self::assertStringContainsString($says, (string) json_encode($answer->json(), JSON_UNESCAPED_UNICODE));
        }
        self::assertSame($answer->status() === 201 ? 1 : 0, DB::table('pictures')->count());
    }

    public function testANotebookHasAnEnd(): void
    {
        [, $keel] = $this->tablet();
        for ($i = 0; $i < \App\Actions\RecordEntry::MOST_PHOTOS; $i++) {
            Entry::query()->create(
                ['id' => (string) Str::uuid(), 'group_id' => $keel->id, 'kind' => EntryKind::Photo, 'payload' => [], 'made_at' => now()],
            );
        }
        $this->entry($keel, ['kind' => 'photo', 'photo' => $this->jpeg(40, 30)])->assertUnprocessable();
        $this->entry($keel, ['kind' => 'note', 'text' => 'There is still room for words.'])->assertCreated();
    }

    public function testASketchComesOutAsSvg(): void
    {
        [, $keel] = $this->tablet();
        $this->entry($keel, ['kind' => 'sketch', 'strokes' => '[{"pen":"blue","points":[[10,20],[30,40]]}]'])->assertCreated();
        $entry = Entry::query()->sole();
        $svg = $this->get("{$this->path($keel)}/{$entry->id}/sketch")->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        self::assertStringContainsString('points="10,20 30,40"', (string) $svg->getContent());
        $this->get("{$this->path($keel)}/{$entry->id}/photo")->assertNotFound();
    }

    public function testTheEducatorLeadsTheRoom(): void
    {
        [$challenge, $keel] = $this->tablet();
        $page = "/challenges/{$challenge->id}/groups/{$keel->id}/at/guess";
        $this->get($page)->assertOk();
        $this->entry($keel, ['kind' => 'help', 'wants' => '1'])->assertCreated();
        $this->entry($keel, ['kind' => 'warm_up', 'question' => 'heavier', 'answer' => 'less_far'])->assertCreated();
        $this->entry($keel, ['kind' => 'warm_up', 'question' => 'heavier', 'answer' => 'farther'])->assertCreated();
        $this->asEducator();
        $this->get("/challenges/{$challenge->id}/room")
            ->assertSee('waits for an adult')
            ->assertSee('Guess')
            ->assertSee('A car that is one and a half times as heavy.')
            ->assertSee('1 ×');
        self::assertSame(
            ['heavier' => ['farther' => 1]],
            \App\Pages\Room\Room::of(\App\Record\ClassRecord::of($challenge))->warmUps,
            'the last answer of each group',
        );
        $this->put("/challenges/{$challenge->id}/room/groups/{$keel->id}/helped")->assertRedirect();
        $this->get("/challenges/{$challenge->id}/room")->assertDontSee('waits for an adult');
        $this->put("/challenges/{$challenge->id}/room/word", ['word' => 'Five minutes left'])->assertRedirect();
        $open = array_fill_keys(array_map(static fn(Station $station): string => "open_{$station->value}", Station::cases()), '1');
        $this->put("/challenges/{$challenge->id}/room/stations", ['open_guess' => '0'] + $open)->assertRedirect();
        $this->put("/challenges/{$challenge->id}/room/closing", ['open' => '1'])->assertRedirect();
        $this->from("/challenges/{$challenge->id}/room")
            ->put("/challenges/{$challenge->id}/room/word", ['word' => str_repeat('a', 201)])
            ->assertSessionHasErrors('word');
        self::assertSame(['guess'], $challenge->refresh()->closed_stations);

        $this->atDevice($challenge->devices()->sole());
        $this->get($page)->assertSee('Five minutes left')->assertSee('closed just now');
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/change")->assertSee('What surprised you?');
        $this->entry($keel, ['kind' => 'closing', 'question' => 'teamwork', 'answer' => 'well'])->assertCreated();
        $this->asEducator();
        $this->get("/challenges/{$challenge->id}/room")->assertSee('very well');
        app(LeadClass::class)->closeStations($challenge, []);
        self::assertSame([], $challenge->refresh()->closed_stations);
    }

    public function testAClosedStationShowsNothingOfWhatItHolds(): void
    {
        [$challenge, $keel] = $this->tablet();
        $page = "/challenges/{$challenge->id}/groups/{$keel->id}/at/change";
        $this->get($page)->assertOk()->assertSee('What do you want to change?');
        $challenge->update(['closed_stations' => ['change']]);
        $this->get($page)
            ->assertOk()
            ->assertSee('closed just now')
            ->assertDontSee('What do you want to change?')
            ->assertSee('data-part="foot"', false);
        // The educator looks behind it.
        $this->asEducator()->get($page)->assertOk()->assertSee('What do you want to change?');
    }

    /** A caution that is new to the class keeps its step closed on the tablet until the educator has read it; all others go on. */
    public function testAStepThatNobodyReadAboutWaitsForTheEducator(): void
    {
        $challenge = $this->class();
        $keel = $this->named($challenge, 'Keel');
        $challenge->runs()->delete();
        $this->put("/challenges/{$challenge->id}/plan/safety");
        $challenge->refresh()->update(['safety_read' => array_values(array_diff($challenge->safety_read, ['knives']))]);
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/car", ['chassis' => 'foam board', 'nozzle_bore' => '6 mm'])
            ->assertSessionHasNoErrors();
        // However a class spells it, a knife is a knife.
        $car = $keel->refresh()->newestCar() ?? self::fail('It has a car.');
        $car->choices = $car->choices->with(\Skivo\Core\Car\Attribute\CarAttribute::Chassis, 'Foamboard');
        $car->save();
        $page = "/challenges/{$challenge->id}/groups/{$keel->id}/at/build";
        $this->get($page)->assertOk()
            ->assertSee('Your adult reads about it first.')
            ->assertSee('Knife, saw and drill are for the adult.')
            ->assertDontSee('value="cut_chassis"', false)
            ->assertSee('value="cut_axles"', false);
        $this->put("/challenges/{$challenge->id}/plan/safety");
        $this->get($page)->assertOk()->assertDontSee('Your adult reads about it first.')->assertSee('value="cut_chassis"', false);
    }

    /** What one tablet of a group ticks, and an adult's coming, the group's other tablet sees without being loaded again. */
    public function testASecondTabletOfAGroupSeesTheTicksOfTheFirst(): void
    {
        [$challenge, $keel] = $this->tablet();
        $revision = function () use ($challenge): int {
            $this->settle();

            return $challenge->revision();
        };
        $before = $revision();
        $this->entry($keel, ['kind' => 'tick', 'step' => 'roll', 'done' => '1'])->assertCreated();
        self::assertSame($before, $revision(), 'a tablet alone knows what it did');
        AdmitDevices::join($challenge, DeviceRole::Group, 'second', $keel);
        $before = $revision();
        $this->entry($keel, ['kind' => 'tick', 'step' => 'roll', 'done' => '0'])->assertCreated();
        self::assertGreaterThan($before, $before = $revision());
        $this->entry($keel, ['kind' => 'help', 'wants' => '1'])->assertCreated();
        self::assertGreaterThan($before, $before = $revision());
        $this->asEducator()->put("/challenges/{$challenge->id}/room/groups/{$keel->id}/helped")->assertRedirect();
        self::assertGreaterThan($before, $revision());
    }

    public function testTheHelpersSheetListsTheChecksOfThisClass(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}/plan/brief/helpers")
            ->assertOk()
            ->assertSee('Before a car runs')
            ->assertSee(\App\Language\Label::of(CheckItem::Airtight))
            ->assertDontSee(\App\Language\Label::of(CheckItem::BandClear))
            ->assertDontSee(\App\Language\Label::of(CheckItem::HookHolds));
    }

    public function testTheRoomSeesATabletThatWaitsAtTheSafetySheet(): void
    {
        [$challenge, $keel] = $this->tablet();
        $challenge->forceFill(['safety_read_at' => null])->save();
        \App\Models\GroupPlace::query()->where('group_id', $keel->id)->delete();
        $this->asEducator()->get("/challenges/{$challenge->id}/room");
        $this->atDevice($challenge->devices()->sole())
            ->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/build")
            ->assertOk()
            ->assertSee('safety');
        self::assertNotNull(\App\Models\GroupPlace::query()->find($keel->id));
    }

    public function testBeforeTheSafetySheetIsReadATabletWaitsWithoutADeadEnd(): void
    {
        [$challenge, $keel] = $this->tablet();
        $challenge->update(['safety_read_at' => null]);
        $this->get("/challenges/{$challenge->id}/groups/{$keel->id}/at/idea")->assertOk()->assertSee('Building is not open yet');
    }

    /**
     * Flesch–Kincaid grade level: 0.39 words a sentence + 11.8 syllables a word − 15.59 (J. P. Kincaid et al., Derivation of new
     * readability formulas, Naval Technical Training Command, Research Branch Report 8-75, 1975), over all of a level's words.
     */
    public function testTheWordsAreForTheirAge(): void
    {
        foreach (['young' => 3.0, 'older' => 6.0] as $level => $most) {
            $sentences = [];
            $lines = (array) __("path.{$level}");
            array_walk_recursive($lines, static function (mixed $line) use (&$sentences): void {
                $line = trim((string) preg_replace('/:[a-z_]+/', '3', (string) $line));
                array_push(
                    $sentences,
                    ...array_values(
                        array_filter(
                            preg_split('/(?<=[.!?:…])\s+/u', $line) ?: [],
                            static fn(string $each): bool => preg_match('/\p{L}/u', $each) === 1,
                        ),
                    ),
                );
            });
            $words = $syllables = 0;
            foreach ($sentences as $sentence) {
                preg_match_all("/[\p{L}]+(?:['’\-][\p{L}]+)*/u", $sentence, $found);
                $words += count($found[0]);
                $syllables += array_sum(array_map(self::syllables(...), $found[0]));
            }
            $grade = 0.39 * $words / count($sentences) + 11.8 * $syllables / $words - 15.59;
            self::assertGreaterThan(200, $words);
            self::assertLessThanOrEqual(
                $most,
                $grade,
                "{$level}: {$words} words in " . count($sentences) . " sentences, {$syllables} syllables",
            );
        }
        self::assertSame(array_keys((array) __('path.young')), array_keys((array) __('path.older')));
        self::assertSame([1, 2, 2, 1, 3, 4], array_map(self::syllables(...), ['the', 'balloon', 'table', 'make', 'energy', 'information']));
    }

    /** By its groups of vowels, without a silent e at its end. */
    private static function syllables(string $word): int
    {
        $word = mb_strtolower($word);
        $count = preg_match_all('/[aeiouy]+/', $word);
        if (
            $count > 1
            && preg_match('/[^aeiouyl]e$|[^aeiouy]es$|[^aeiouytd]ed$/', $word) === 1
            && preg_match('/(s|c|z|x|sh|ch|g)es$/', $word) !== 1
        ) {
            $count--;
        }

        return max(1, (int) $count);
    }

    /** @return array{Challenge, Group} with a group's tablet at work */
    private function tablet(bool $new = false): array
    {
        $challenge = $new ? \Tests\Scenario::withClass(\Tests\Scenario::challenge($this->educator), "group\nKeel\nReef\n") : $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        [$device] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $keel);
        $this->atDevice($device);

        return [$challenge, $keel];
    }

    private function path(Group $group): string
    {
        return "/challenges/{$group->challenge_id}/groups/{$group->id}/entries";
    }

    /** @param array<string, mixed> $sent */
    private function entry(Group $group, array $sent): \Illuminate\Testing\TestResponse
    {
        return $this->withHeaders(['Accept' => 'application/json'])->post($this->path($group), $sent)->tap(fn() => $this->flushHeaders());
    }

    private static function drawn(int $width, int $height): string
    {
        $image = imagecreatetruecolor($width, $height);
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($image, 200, 60, 20));
        ob_start();
        imagejpeg($image);

        return (string) ob_get_clean();
    }

    /** A photograph with an orientation and a word in its EXIF block. */
    private function jpeg(int $width, int $height, int $orientation = 1, string $behind = ''): UploadedFile
    {
        // TIFF, little endian: two fields, the orientation and the description.
        $said = "SECRET PLACE\x00";
        $tiff = "II*\x00\x08\x00\x00\x00\x02\x00" . pack(
            'vvVvv',
            0x0112,
            3,
            1,
            $orientation,
            0,
        ) . pack('vvVV', 0x010E, 2, strlen($said), 38) . "\x00\x00\x00\x00" . $said;
        $exif = "\xFF\xE1" . pack('n', strlen($tiff) + 8) . "Exif\x00\x00" . $tiff;
        $file = (string) tempnam(sys_get_temp_dir(), 'photo');
        file_put_contents($file, substr_replace(self::drawn($width, $height), $exif, 2, 0) . $behind);

        return new UploadedFile($file, 'car.jpg', 'image/jpeg', null, true);
    }
}

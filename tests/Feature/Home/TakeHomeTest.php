<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\HomeItem;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A car that goes home with its group. */
final class TakeHomeTest extends FeatureTestCase
{
    public function testWhatComesFromHomeWaitsForAYesAndCountsNowhereInClass(): void
    {
        $challenge = $this->class();
        $group = $this->named($challenge, 'Bowline');
        Cache::flush();
        $answer = (string) $this->get("/challenges/{$challenge->id}/findings")->getContent();
        $this->post(
            "/challenges/{$challenge->id}/home/groups/{$group->id}",
            ['until' => now()->subDay()->format('Y-m-d')],
        )->assertSessionHasErrors('until');
        $this->post(
            "/challenges/{$challenge->id}/home/groups/{$group->id}",
            ['until' => now()->addDays(90)->format('Y-m-d')],
        )->assertSessionHasErrors('until');
        $link = $this->post("/challenges/{$challenge->id}/home/groups/{$group->id}", ['until' => now()->addDays(7)->format('Y-m-d')])
            ->assertSessionHasNoErrors()
            ->getSession()
            ->get('link');
        $this->atHome();
        $this->get($link)->assertOk()->assertSee('Bowline at home')->assertDontSee('Halyard');
        $this->post($link, ['kind' => 'run', 'distance' => ''])->assertSessionHasErrors('distance');
        $this->post($link, ['kind' => 'run', 'distance' => 'far'])->assertSessionHasErrors('distance');
        $this->post($link, ['kind' => 'run', 'distance' => '300', 'mass' => '90 kg'])->assertSessionHasErrors('mass');
        $this->post($link, ['kind' => 'nothing'])->assertSessionHasErrors('kind');
        $this->atHome();
        $this->post(
            $link,
            ['kind' => 'run', 'distance' => '410', 'nozzle_bore' => '9 mm', 'text' => 'In the hall'],
        )->assertSessionHasNoErrors();
        $this->post($link, ['kind' => 'note', 'text' => 'It likes the kitchen floor.'])->assertSessionHasNoErrors();
        $picture = imagecreatetruecolor(60, 40);
        ob_start();
        imagepng($picture);
        $this->post(
            $link,
            ['kind' => 'photo', 'photo' => UploadedFile::fake()->createWithContent('car.png', (string) ob_get_clean())],
        )->assertSessionHasNoErrors();
        $this->post(
            $link,
            ['kind' => 'photo', 'photo' => UploadedFile::fake()->createWithContent('car.png', 'none')],
        )->assertSessionHasErrors('photo');
        $this->atHome();
        $this->get($link)->assertSee('410')->assertSee('waits for your teacher');

        $this->asTeacher();
        $page = "/challenges/{$challenge->id}/home";
        $this->get($page)->assertOk()->assertSee('410')->assertSee('It likes the kitchen floor.')->assertDontSee('on average over');
        $items = HomeItem::query()->select(HomeItem::COLUMNS)->get()->keyBy('kind');
        self::assertCount(3, $items);
        $this->put("{$page}/items/{$items['run']->id}", ['yes' => 1])->assertSessionHasNoErrors();
        $this->put("{$page}/items/{$items['note']->id}", ['yes' => 0])->assertSessionHasNoErrors();
        $this->get($page)->assertSee("At home 410\u{00A0}cm on average over 1 run; in class");
        $this->get("{$page}/items/{$items['photo']->id}/photo")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        // In class nothing has changed.
        Cache::flush();
        // The menu alone shows that somebody works at home.
        $strip = static fn(string $html): string => (string) preg_replace('~^.*<main|name="_token"[^>]*|signature=[0-9a-f]+~s', '', $html);
        self::assertSame($strip($answer), $strip((string) $this->get("/challenges/{$challenge->id}/findings")->getContent()));
        self::assertSame(0, $challenge->runs()->where('distance_m', 4.1)->count());

        $this->atHome();
        $this->get($link)->assertSee('stands beside the class')->assertSee('was put aside');
        $this->travel(9)->days();
        $this->get($link)->assertOk()->assertSee('This link opens nothing any more.');
        $this->post($link, ['kind' => 'note', 'text' => 'Too late'])->assertRedirect();
        self::assertSame(3, HomeItem::query()->count());
    }

    public function testALinkOpensOneGroupAndANewOneClosesTheOld(): void
    {
        $challenge = $this->class();
        [$one, $other] = [$this->named($challenge, 'Bowline'), $this->named($challenge, 'Halyard')];
        $make = fn(int $group): string => (string) $this->post(
            "/challenges/{$challenge->id}/home/groups/{$group}",
            ['until' => now()->addDays(7)->format('Y-m-d')],
        )
            ->getSession()
            ->get('link');
        [$first, $second, $third] = [$make($one->id), $make($one->id), $make($other->id)];
        $this->atHome();
        $this->get($first)->assertSee('This link opens nothing any more.');
        $this->get($second)->assertSee('Bowline at home');
        $this->get($third)->assertSee('Halyard at home')->assertDontSee('Bowline');
        $this->get('/home/' . str_repeat('a', 32))->assertOk()->assertSee('This link opens nothing any more.');
        $this->post($second, ['kind' => 'note', 'text' => 'Ours'])->assertSessionHasNoErrors();
        $item = HomeItem::query()->select(HomeItem::COLUMNS)->sole();
        // Another educator, and another challenge, do not get at it.
        $this->flushSession();
        Auth::forgetGuards();
        $this->actingAs($stranger = Scenario::educator('Stranger'), 'web');
        $theirs = Scenario::challenge($stranger);
        $this->put("/challenges/{$theirs->id}/home/items/{$item->id}", ['yes' => 1])->assertNotFound();
        $this->put("/challenges/{$challenge->id}/home/items/{$item->id}", ['yes' => 1])->assertNotFound();
        $this->asTeacher();
        $link = $item->link()->firstOrFail();
        $this->delete("/challenges/{$challenge->id}/home/links/{$link->id}")->assertSessionHasNoErrors();
        $this->atHome();
        $this->get($second)->assertSee('This link opens nothing any more.');
    }

    private function atHome(): void
    {
        $this->flushSession();
        Auth::forgetGuards();
    }

    private function asTeacher(): void
    {
        $this->flushSession();
        Auth::forgetGuards();
        $this->actingAs($this->educator, 'web');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\ReadByToken;
use Illuminate\Routing\Middleware\ValidateSignature;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Support\Str;
use Skivo\Core\People\MemberRole;
use Tests\Scenario;

final class AccessTest extends FeatureTestCase
{
    public function testEveryRouteHasItsPolicy(): void
    {
        // A board's link is its own key; what joining needs, its code says.
        $open = [
            '/', 'sign-in', 'register', 'privacy', 'home/{token}', 'join', 'join/{code}', 'join/mark', 'joined', 'board/{token}',
            'board/{token}/state',
        ];
        $checked = 0;
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (in_array($route->uri(), $open, true) || str_starts_with($route->uri(), 'storage/')) {
                continue;
            }
            $middleware = $route->gatherMiddleware();
            if (str_starts_with($route->uri(), 'api/v1/')) {
                self::assertTrue(
                    $route->uri() === 'api/v1/openapi.json'
                        || array_filter(
                            $middleware,
                            static fn($each): bool => is_string($each) && str_starts_with($each, ReadByToken::class),
                        ) !== [],
                    $route->uri(),
                );
                continue;
            }
            if (str_starts_with($route->uri(), 'dry-run/') || str_starts_with($route->uri(), 'live/')) {
                self::assertNotSame(
                    [],
                    array_filter(
                        $middleware,
                        static fn($each): bool => is_string($each) && str_starts_with($each, ValidateSignature::class),
                    ),
                    $route->uri(),
                );
                continue;
            }
            self::assertNotSame([], array_intersect(['auth', 'auth:web,device', 'auth:device'], $middleware), $route->uri());
            self::assertNotSame(
                [],
                array_filter($middleware, static fn($each): bool => is_string($each) && str_starts_with($each, 'can:')),
                $route->uri(),
            );
            $checked++;
        }
        self::assertGreaterThan(25, $checked);
    }

    public function testAnotherEducatorsChallengeIsNotThere(): void
    {
        $challenge = $this->class();
        $group = $challenge->groups()->firstOrFail();
        $run = $challenge->runs()->firstOrFail();
        $this->actingAs(Scenario::educator('Another'));
        $before = $challenge->runs()->count();

        foreach (Routes::getRoutes()->getRoutes() as $route) {
            // What programs read has its own tests.
            if (!str_contains($route->uri(), '{challenge}') || str_starts_with($route->uri(), 'api/')) {
                continue;
            }
            $path = strtr($route->uri(), ['{challenge}' => (string) $challenge->id, '{group}' => (string) $group->id, '{run}' => $run->id]);
            $method = $this->method($route);
            $this->call(
                $method,
                $path,
                ['units' => 'imperial', 'id' => (string) Str::uuid7(), 'group' => $group->id, 'distance' => '300'],
            )->assertNotFound();
        }
        self::assertSame($before, $challenge->runs()->count());
        self::assertSame('metric', $challenge->refresh()->units->value);
    }

    /** Every route of a challenge, by what an educator is in it. */
    public function testACoTeacherDoesAllButDeleteAndShareAndAnObserverChangesNothing(): void
    {
        $challenge = $this->class();
        $group = $challenge->groups()->firstOrFail();
        $run = $challenge->runs()->firstOrFail();
        [$co, $observer] = [Scenario::educator('Co'), Scenario::educator('Looks on')];
        $challenge->members()->createMany(
            [['user_id' => $co->id, 'role' => MemberRole::CoTeacher], ['user_id' => $observer->id, 'role' => MemberRole::Observer]],
        );
        $onlyOwner = [
            'challenges.destroy', 'challenges.restore', 'challenges.delete', 'sharing.invite', 'sharing.revoke', 'sharing.dismiss',
            'sharing.plan',
        ];
        $seen = ['co' => 0, 'observer' => 0];
        foreach (['co' => $co, 'observer' => $observer] as $role => $user) {
            $this->flushSession();
            Auth::forgetGuards();
            $this->actingAs($user, 'web');
            foreach (Routes::getRoutes()->getRoutes() as $route) {
                // What is asked of something that is not there ends before it; those have their own tests.
                if (
                    !str_contains($route->uri(), '{challenge}')
                    || str_starts_with($route->uri(), 'api/')
                    || preg_match('/\{(?!challenge|group\}|run\}|test\}|for\}|figure\}|station\})/', $route->uri()) === 1
                    || $route->getName() === 'sharing.leave'
                ) {
                    continue;
                }
                $path = strtr(
                    $route->uri(),
                    [
                        '{challenge}' => (string) $challenge->id, '{group}' => (string) $group->id, '{run}' => $run->id, '{test}' => 'ramp',
                        '{for}' => 'class', '{figure}' => 'answer', '{station}' => 'idea',
                    ],
                );
                $method = $this->method($route);
                DB::beginTransaction();
                $status = $this->call($method, $path, [])->getStatusCode();
                DB::rollBack();
                $isOpen = in_array('auth:device', $route->gatherMiddleware(), true) ? null : match ($role) {
                    'co' => !in_array($route->getName(), $onlyOwner, true),
                    default => $method === 'GET'
                        && !in_array($route->getName(), ['film.open', 'film.show', 'cars.photo', 'devices.cards'], true),
                };
                if ($isOpen !== null) {
                    self::assertSame($isOpen, !in_array($status, [401, 403, 404], true), "{$role} {$method} {$route->uri()}: {$status}");
                    $seen[$role]++;
                }
            }
        }
        self::assertGreaterThan(60, min($seen));
    }

    public function testPartsOfOneChallengeAreNotReachedThroughAnother(): void
    {
        $mine = $this->class();
        $alsoMine = $this->class();
        $group = $alsoMine->groups()->firstOrFail();
        $run = $alsoMine->runs()->firstOrFail();

        $this->get("/challenges/{$mine->id}/groups/{$group->id}/car")->assertNotFound();
        $this->delete("/challenges/{$mine->id}/groups/{$group->id}")->assertNotFound();
        $this->delete("/challenges/{$mine->id}/runs/{$run->id}")->assertNotFound();
        $this->post("/challenges/{$mine->id}/runs/{$run->id}/restore")->assertNotFound();
        $this->post(
            "/challenges/{$mine->id}/runs",
            ['id' => (string) Str::uuid7(), 'group' => $group->id, 'distance' => '300'],
        )->assertSessionHasErrors('group');
        self::assertFalse($run->refresh()->trashed());
    }

    public function testOddAddressesAreNotFoundRatherThanFaults(): void
    {
        $challenge = $this->class();
        foreach (
            [
                '/challenges/0', '/challenges/99999999999999999999', '/challenges/abc', "/challenges/{$challenge->id}/groups/x",
                "/challenges/{$challenge->id}/findings/", '/nothing',
            ] as $path
        ) {
            $response = $this->get($path);
            self::assertContains($response->getStatusCode(), [200, 404], $path);
        }
        $this->delete("/challenges/{$challenge->id}/runs/not-a-uuid")->assertNotFound();
        $this->get("/challenges/{$challenge->id}/findings/choices?against[]=x&of=nonsense")->assertOk();
        $this->get("/challenges/{$challenge->id}/runs?edit=%FF")->assertOk();
    }

    public function testPagesTellTheBrowserToLoadNothingFromElsewhere(): void
    {
        $response = $this->get('/challenges');

        self::assertStringContainsString("default-src 'self'", (string) $response->headers->get('Content-Security-Policy'));
        self::assertStringContainsString('no-store', (string) $response->headers->get('Cache-Control'));
        self::assertSame('nosniff', $response->headers->get('X-Content-Type-Options'));
    }

    private function method(Route $route): string
    {
        return array_values(array_diff($route->methods(), ['HEAD']))[0];
    }
}

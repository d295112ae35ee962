<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Skivo\Core\People\MemberRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What programs of an educator's read, held against the document that describes it. */
final class ApiTest extends FeatureTestCase
{
    public function testEveryAnswerIsAsItsDocumentSays(): void
    {
        $challenge = $this->class();
        $token = $this->token($this->educator, 'records', 'findings');
        $document = $this->document();
        self::assertSame('3.1.0', $document->openapi);
        $paths = array_keys(get_object_vars($document->paths));
        $routes = array_values(
            array_filter(
                array_map(static fn($route): string => '/' . $route->uri(), Routes::getRoutes()->getRoutes()),
                static fn(string $uri): bool => str_starts_with($uri, '/api/v1/') && !str_ends_with($uri, 'openapi.json'),
            ),
        );
        self::assertEqualsCanonicalizing(
            $routes,
            array_map(static fn(string $path): string => "/api/v1{$path}", $paths),
            'every route is described, and nothing else is',
        );
        foreach ($paths as $path) {
            $address = '/api/v1' . str_replace('{challenge}', (string) $challenge->id, $path);
            $answer = $this->asked($address, $token)->assertOk();
            $this->fits($answer, $path, '200', $document);
            // What is held need not be sent again, until something is new.
            $tag = (string) $answer->headers->get('ETag');
            self::assertNotSame('', $tag);
            self::assertSame('', (string) $this->asked($address, $token, $tag)->assertStatus(304)->getContent());
            $this->fits($this->asked($address, 'skivo_nothing')->assertStatus(401), $path, '401', $document);
            if (str_contains($path, '{challenge}')) {
                $this->fits(
                    $this->asked(str_replace((string) $challenge->id, '999999', $address), $token)->assertStatus(404),
                    $path,
                    '404',
                    $document,
                );
            }
        }
        $tag = (string) $this->asked("/api/v1/challenges/{$challenge->id}/runs", $token)->headers->get('ETag');
        Auth::forgetGuards();
        $this->actingAs($this->educator, 'web');
        $this->log($challenge, 'Bowline', ['distance' => '312'])->assertSessionHasNoErrors();
        $this->settle();
        $this->asked("/api/v1/challenges/{$challenge->id}/runs", $token, $tag)->assertOk();
    }

    public function testATokenReadsItsScopesAndWhatItsEducatorSees(): void
    {
        $challenge = $this->class();
        $records = $this->token($this->educator, 'records');
        $document = $this->document();
        $refused = $this->asked("/api/v1/challenges/{$challenge->id}/findings", $records)->assertForbidden();
        $this->fits($refused, '/challenges/{challenge}/findings', '403', $document);
        $colleague = Scenario::educator('Colleague');
        $theirs = $this->token($colleague, 'records', 'findings');
        $this->asked("/api/v1/challenges/{$challenge->id}", $theirs)->assertNotFound();
        self::assertSame([], $this->asked('/api/v1/challenges', $theirs)->json('data'));
        $challenge->members()->create(['user_id' => $colleague->id, 'role' => MemberRole::Observer]);
        $this->asked("/api/v1/challenges/{$challenge->id}", $theirs)->assertOk();
        self::assertSame([$challenge->id], array_column($this->asked('/api/v1/challenges', $theirs)->json('data'), 'id'));
        // Nothing can be changed by it, and it signs nobody in.
        $this->withToken($records)->postJson('/api/v1/challenges')->assertStatus(405);
        Auth::forgetGuards();
        $this->flushSession();
        $this->withToken($records)->getJson("/challenges/{$challenge->id}")->assertUnauthorized();
    }

    public function testATokenIsMadeShownOnceAndRevoked(): void
    {
        $this->post('/account/tokens', ['token_name' => '', 'scope_records' => 1])->assertSessionHasErrors('token_name', null, 'tokens');
        $this->post('/account/tokens', ['token_name' => 'Sheet'])->assertSessionHasErrors('scopes', null, 'tokens');
        $token = $this->post('/account/tokens', ['token_name' => 'Sheet', 'scope_records' => 1])
            ->assertSessionHasNoErrors()
            ->getSession()
            ->get('token');
        $this->get('/account')->assertOk()->assertSee('Sheet')->assertSee($token);
        $this->get('/account')->assertDontSee($token);
        $this->asked('/api/v1/challenges', $token)->assertOk();
        $held = $this->educator->apiTokens()->sole();
        self::assertNotNull($held->used_at);
        Auth::forgetGuards();
        $this->actingAs(Scenario::educator('Another'), 'web')->flushSession();
        $this->delete("/account/tokens/{$held->id}")->assertNotFound();
        Auth::forgetGuards();
        $this->flushSession();
        $this->actingAs($this->educator, 'web')->delete("/account/tokens/{$held->id}")->assertSessionHasNoErrors();
        $this->asked('/api/v1/challenges', $token)->assertUnauthorized();
    }

    private function token(User $user, string ...$scopes): string
    {
        return app(\App\Actions\ChangeAccount::class)->makeToken($user, 'A test', array_values($scopes));
    }

    private function asked(string $address, string $token, ?string $tag = null): TestResponse
    {
        Auth::forgetGuards();
        $this->flushHeaders();

        return $this->withToken($token)->withHeaders($tag === null ? [] : ['If-None-Match' => $tag])->getJson($address);
    }

    private function document(): \stdClass
    {
        return json_decode((string) $this->getJson('/api/v1/openapi.json')->assertOk()->getContent(), false, 64, JSON_THROW_ON_ERROR);
    }

    /** By the schema that the document has for this answer; OpenAPI 3.1 has JSON Schema's own. */
    private function fits(TestResponse $answer, string $path, string $status, \stdClass $document): void
    {
        $schema = $document->paths->{$path}->get->responses->{$status}->content->{'application/json'}->schema;
        $schema = json_decode(
            str_replace(
                '#/components/schemas/',
                '#/$defs/',
                json_encode(
                    (object) ['allOf' => [$schema], '$defs' => $document->components->schemas],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES,
                ),
            ),
            false,
            64,
            JSON_THROW_ON_ERROR,
        );
        $result = (new Validator())->validate(json_decode((string) $answer->getContent(), false, 64, JSON_THROW_ON_ERROR), $schema);
        self::assertTrue(
            $result->isValid(),
            $path . "\n" . (
                $result->error() === null ? '' : json_encode((new ErrorFormatter())->format($result->error()), JSON_PRETTY_PRINT)
            ),
        );
    }
}

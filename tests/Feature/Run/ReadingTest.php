<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Reading;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;

final class ReadingTest extends FeatureTestCase
{
    private Challenge $challenge;

    private string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->challenge = $this->class();
        $this->challenge->update(['timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)]);
        [, $this->token] = AdmitDevices::join($this->challenge, DeviceRole::Instrument, 'gate');
    }

    public function testGatesFillTheTimeOfTheRunThatIsMade(): void
    {
        $gates = [$this->gate(0.0, 100.0), $this->gate(1.0, 101.234)];
        $this->readings($gates)->assertCreated()->assertJson(['taken' => 2, 'known' => 0]);
        $this->readings($gates)->assertOk()->assertJson(['taken' => 0, 'known' => 2]);

        $this->settle();
        $waiting = $this->asEducator()->getJson("/challenges/{$this->challenge->id}/floor")->assertOk()->json('readings');
        self::assertSame(['time' => '1.234'], $waiting[1]['fields']);
        $this->log(
            $this->challenge,
            'Keel',
            ['distance' => '140', 'time' => '1.234', 'lane' => '1', 'readings' => $waiting[1]['ids'], 'note' => 'gated'],
        )->assertSessionHasNoErrors();
        $run = $this->challenge->runs()->where('note', 'gated')->sole();
        self::assertSame(2, $run->readings()->count());
        self::assertSame(0, $this->challenge->readings()->whereNull('run_id')->count());
    }

    /** @return iterable<string, array{string, array<string, string>}> a stand-in, and the fields that it fills */
    public static function standIns(): iterable
    {
        yield 'gate' => ['timing-gate.php --missing 0 --double 1', ['time' => '/^1\.0\d\d$/']];
        yield 'sensor' => [
            'motion-sensor.php',
            ['distance' => '/^\d+ cm$/', 'total_time' => '/^\d\.\d{3}$/', 'limp' => '/^\d+ cm$/', 'time' => '/^1\.[01]\d\d$/'],
        ];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('standIns')]
    public function testTheStandInsPostWhatFillsARun(string $command, array $fields): void
    {
        $body = (string) shell_exec('php ' . dirname(__DIR__, 3) . "/devices/{$command} --print --seed 5");
        $this->post(
            '/api/readings',
            json_decode($body, true),
            ['Authorization' => "Bearer {$this->token}", 'Accept' => 'application/json'],
        )->assertCreated();
        $this->settle();
        $waiting = $this->asEducator()->getJson("/challenges/{$this->challenge->id}/floor")->json('readings');

        self::assertEqualsCanonicalizing(array_keys($fields), array_keys($waiting[1]['fields']));
        foreach ($fields as $field => $pattern) {
            self::assertMatchesRegularExpression($pattern, $waiting[1]['fields'][$field], $field);
        }
    }

    public function testTheScaleIsOfferedOnTheBuildSheet(): void
    {
        $body = (string) shell_exec('php ' . dirname(__DIR__, 3) . '/devices/kitchen-scale.php --print --mass 57.8 --noise 0');
        $this->post(
            '/api/readings',
            json_decode($body, true),
            ['Authorization' => "Bearer {$this->token}", 'Accept' => 'application/json'],
        )->assertCreated();
        $group = $this->challenge->groups()->firstOrFail();

        $this->asEducator()
            ->get("/challenges/{$this->challenge->id}/groups/{$group->id}/car")
            ->assertSee('The scale showed')
            ->assertSee('data-value="58 g"', false);
    }

    public function testATraceIsDrawnAndAFileIsBroughtIn(): void
    {
        $run = $this->challenge->runs()->where('distance_m', 4.2)->sole();
        $this->asEducator();
        $path = "/challenges/{$this->challenge->id}/runs/{$run->id}/trace";
        $this->get($path)->assertOk()->assertSee('No trace was taken of this run');
        $body = json_decode((string) shell_exec('php ' . dirname(__DIR__, 3) . '/devices/motion-sensor.php --print --seed 2'), true);
        $csv = "t (ms);x (cm)\n" . implode(
            "\n",
            array_map(
                static fn(array $point): string => str_replace('.', ',', 1000 * $point[0] . ';' . 100 * $point[1]),
                $body['readings'][0]['points'],
            ),
        );
        $this->post($path, ['file' => UploadedFile::fake()->createWithContent('trace.csv', $csv)])->assertSessionHasNoErrors();

        self::assertEqualsWithDelta($body['readings'][0]['points'][40], $run->readings()->sole()->data['points'][40], 1e-9);
        $this->get($path)->assertSee('The thrust ended')->assertSee('Coasting,')->assertSee('thrust ends');
        foreach (['x', "t,x\n1,2\nfar,3", "\xFF\xFE\x00", implode("\n", array_fill(0, 20, '1,1'))] as $bad) {
            $this->post($path, ['file' => UploadedFile::fake()->createWithContent('trace.csv', $bad)])->assertSessionHasErrors('file');
        }
        $this->post($path, [])->assertSessionHasErrors('file');
        self::assertSame(1, $run->readings()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is wrong, and the field that says so */
    public static function malicious(): iterable
    {
        yield 'from the future' => [['at' => gmdate('Y-m-d\TH:i:s\Z', time() + 3600)], 'readings.0.at'];
        yield 'of long ago' => [['at' => '2020-01-01T00:00:00Z'], 'readings.0.at'];
        yield 'no moment' => [['at' => 'now'], 'readings.0.at'];
        yield 'no id' => [['id' => '1'], 'readings.0.id'];
        yield 'an unknown kind' => [['kind' => 'bomb'], 'readings.0.kind'];
        yield 'no lane' => [['lane' => null], 'readings.0.lane'];
        yield 'a lane too many' => [['lane' => 99], 'readings.0.lane'];
        yield 'a place beyond all' => [['position_m' => 1e9], 'readings.0.position_m'];
        yield 'a list for a number' => [['t_s' => [1]], 'readings.0.t_s'];
        yield 'keys of its own' => [['run_id' => 'x'], 'readings.0'];
        yield 'a trace of nothing' => [['kind' => 'trace', 'points' => [[0, 0]]], 'readings.0.points'];
        yield 'a trace of words' => [['kind' => 'trace', 'points' => array_fill(0, 20, ['a', 'b'])], 'readings.0.points'];
        yield 'a trace without end' => [['kind' => 'trace', 'points' => array_fill(0, 5001, [0, 0])], 'readings.0.points'];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('malicious')]
    public function testWhatCannotBeIsRefusedAndNothingOfItStored(array $wrong, string $field): void
    {
        $this->readings([$this->gate(0.0, 1.0), $wrong + $this->gate(1.0, 2.0)])
            ->assertStatus(422)
            ->assertJsonValidationErrors(str_replace('.0', '.1', preg_replace('/^readings\.0/', 'readings.0', $field) ?? ''));
        self::assertSame(0, Reading::query()->where('challenge_id', $this->challenge->id)->count());
    }

    public function testAsMuchAsIsAllowedAtOnceIsTakenAndNotOnePointMore(): void
    {
        $trace = fn(int $points): array => [
            'kind' => 'trace', 'points' => array_map(static fn(int $i): array => [$i / 100, $i / 1000], range(1, $points)),
        ] + $this->gate(0.0, 1.0);
        $most = array_map(static fn(): array => ['id' => (string) Str::uuid()] + $trace(5000), range(1, 10));
        $this->readings($most)->assertCreated()->assertJson(['taken' => 10]);
        $this->readings([...$most, ['id' => (string) Str::uuid()] + $trace(12)])
            ->assertUnprocessable()
            ->assertJsonValidationErrors('readings');
        self::assertSame(10, Reading::query()->where('challenge_id', $this->challenge->id)->count());
    }

    public function testWhoHasNoTokenPostsNothing(): void
    {
        Auth::forgetGuards();
        $this->postJson('/api/readings', ['readings' => [$this->gate(0.0, 1.0)]])->assertUnauthorized();
        $this->postJson(
            '/api/readings',
            ['readings' => [$this->gate(0.0, 1.0)]],
            ['Authorization' => 'Bearer ' . Str::random(40)],
        )->assertUnauthorized();
        [, $board] = AdmitDevices::join($this->challenge, DeviceRole::Board, 'board');
        Auth::forgetGuards();
        $this->postJson(
            '/api/readings',
            ['readings' => [$this->gate(0.0, 1.0)]],
            ['Authorization' => "Bearer {$board}"],
        )->assertForbidden();
        Device::query()->where('role', 'instrument')->update(['revoked_at' => now()]);
        Auth::forgetGuards();
        $this->readings([$this->gate(0.0, 1.0)])->assertUnauthorized();
        self::assertSame(0, Reading::query()->where('challenge_id', $this->challenge->id)->count());
    }

    public function testMalformedBodiesAreRefused(): void
    {
        foreach (
            [
                '', '[]', '{"readings":{}}', '{"readings":"x"}', '{not json',
                '{"readings":' . str_repeat('[', 600) . str_repeat(']', 600) . '}',
            ] as $body
        ) {
            $status = $this->call(
                'POST',
                '/api/readings',
                [],
                [],
                [],
                [
                    'HTTP_AUTHORIZATION' => "Bearer {$this->token}", 'CONTENT_TYPE' => 'application/json',
                    'HTTP_ACCEPT' => 'application/json',
                ],
                $body,
            )->getStatusCode();
            self::assertSame(422, $status, mb_strimwidth($body, 0, 30));
        }
        $this->readings(array_fill(0, 101, $this->gate(0.0, 1.0)))->assertStatus(422);
    }

    public function testAReadingOfAnotherClassIsNotTakenForARun(): void
    {
        $this->readings([$this->gate(0.0, 1.0)])->assertCreated();
        $reading = $this->challenge->readings()->sole();
        $other = $this->class();
        $this->asEducator()->log($other, 'Keel', ['distance' => '140', 'readings' => $reading->id])->assertSessionHasNoErrors();

        self::assertNull($reading->refresh()->run_id);
    }

    /** @return array<string, mixed> */
    private function gate(float $place, float $at): array
    {
        return [
            'id' => (string) Str::uuid7(), 'kind' => 'gate', 'lane' => 1, 'position_m' => $place, 't_s' => $at,
            'at' => gmdate('Y-m-d\TH:i:s.000\Z'),
        ];
    }

    /** @param list<array<string, mixed>> $readings */
    private function readings(array $readings): TestResponse
    {
        Auth::forgetGuards();

        return $this->postJson('/api/readings', ['readings' => $readings], ['Authorization' => "Bearer {$this->token}"]);
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Bench;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use CurlHandle;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Str;
use RuntimeException;
use Skivo\Core\People\DeviceRole;

/**
 * A busy run day: in each of some classes screens at the lane that follow it, groups' tablets that show their own pages, and devices that
 * log; each asks as often as resources/js/run/live.js does. Counts what was told to be safe, to be compared with what is stored.
 */
final class RunDay
{
    /** s from answer to question, of a screen at the lane and of a group's page; and how long such a page rests. */
    private const POLL_EVERY_S = 1.0;
    private const POLL_OF_PAGES_S = 3.0;
    private const REST_S = 8.0;

    /** Screens are opened one after the other, before the first run (s). */
    private const OPENING_S = 20.0;

    /** By which what was logged is found again. */
    private const NOTE = 'bench';

    /** @var array<string, list<float>> ms of each kind of request that was answered as it should be */
    private array $times = ['poll' => [], 'state' => [], 'page' => [], 'log' => []];

    /** @var array<string, true> ids of runs */
    private array $confirmed = [];
    private int $sent = 0;
    private int $questions = 0;
    private int $odd = 0;

    /** @var array<int, BenchDevice> by the id of their client */
    private array $devices = [];

    /**
     * @param non-empty-string $site
     * @param list<Challenge> $challenges
     * @param int $atLane screens of each that follow it
     * @param int $ofGroups tablets of each that show a group's own page
     * @param int $logging devices of each
     */
    public function __construct(
        private readonly string $site,
        private readonly array $challenges,
        private readonly int $atLane,
        private readonly int $ofGroups,
        private readonly int $logging,
        private readonly float $logEveryS,
    ) {
        foreach ($challenges as $challenge) {
            $groups = array_values($challenge->groups()->get()->all());
            for ($i = 0; $i < $this->atLane; $i++) {
                [, $key] = AdmitDevices::join($challenge, DeviceRole::Log, "bench {$i}");
                $this->add($challenge, $groups, 'poll', $key, self::OPENING_S * random_int(0, 1000) / 1000);
            }
            for ($i = 0; $i < $this->ofGroups; $i++) {
                $group = $groups[$i % count($groups)];
                [, $key] = AdmitDevices::join($challenge, DeviceRole::Group, 'bench', $group);
                $this->add($challenge, $groups, 'poll', $key, self::OPENING_S * random_int(0, 1000) / 1000, $group);
            }
            for ($i = 0; $i < $this->logging; $i++) {
                [, $key] = AdmitDevices::join($challenge, DeviceRole::Log, "bench {$i}");
                $this->add($challenge, $groups, 'log', $key, self::OPENING_S + $logEveryS * random_int(0, 1000) / 1000);
            }
        }
    }

    /** Goes on for so long after all screens are open. */
    public function last(float $seconds): void
    {
        $seconds += self::OPENING_S;
        $multi = curl_multi_init();
        $begun = microtime(true);
        $under = 0;
        do {
            $now = microtime(true) - $begun;
            foreach ($this->devices as $device) {
                if ($device->due <= $now && $now < $seconds) {
                    // Not again before it is answered.
                    $device->due = INF;
                    $this->ask($device);
                    curl_multi_add_handle($multi, $device->client);
                    $under++;
                }
            }
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.005);
            while (($done = curl_multi_info_read($multi)) !== false) {
                curl_multi_remove_handle($multi, $done['handle']);
                $under--;
                $this->answered($done['handle'], microtime(true) - $begun);
            }
        } while ($now < $seconds || $under > 0);
    }

    /** @return list<string> what it came to, in lines */
    public function says(): array
    {
        $stored = [];
        foreach ($this->challenges as $challenge) {
            array_push($stored, ...$challenge->runs()->where('runs.note', self::NOTE)->pluck('runs.id')->all());
        }
        $lost = count(array_diff(array_keys($this->confirmed), $stored));

        return [
            sprintf(
                '%d classes, each with %d screens at the lane, %d tablets of groups and %d devices that log every %.0f s: %d runs told to be safe of %d sent, %d asked back, %d stored, %d lost, %d twice or untold; %d answers odd.',
                count($this->challenges),
                $this->atLane,
                $this->ofGroups,
                $this->logging,
                $this->logEveryS,
                count($this->confirmed),
                $this->sent,
                $this->questions,
                count($stored),
                $lost,
                count($stored) - count($this->confirmed) + $lost,
                $this->odd,
            ),
            '  ' . implode(
                '; ',
                array_map(
                    $this->figures(...),
                    ['log', 'poll', 'state', 'page'],
                    ['logging a run', 'an unchanged poll', 'what changed at the lane', 'a group’s page'],
                ),
            ),
        ];
    }

    private function figures(string $kind, string $name): string
    {
        $times = $this->times[$kind];
        if ($times === []) {
            return "{$name}: none";
        }
        sort($times);
        $at = static fn(float $share): float => $times[(int) floor($share * (count($times) - 1))];

        return sprintf('%s: median %.1f ms, 95 %% within %.1f ms (%d)', $name, $at(0.5), $at(0.95), count($times));
    }

    /** @param list<Group> $groups */
    private function add(Challenge $challenge, array $groups, string $asks, string $key, float $due, ?Group $own = null): void
    {
        $client = curl_init();
        curl_setopt_array(
            $client,
            [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_HEADER => true, CURLOPT_ENCODING => ''],
        );
        $token = '';
        $page = "{$this->site}/challenges/{$challenge->id}";
        if ($asks === 'log') {
            // A page of its own, with its session.
            curl_setopt_array($client, [CURLOPT_URL => $page, CURLOPT_HTTPHEADER => ["Authorization: Bearer {$key}"]]);
            $token = preg_match('/name="_token" value="(\w+)"/', (string) curl_exec($client), $found) === 1
                ? $found[1]
                : throw new RuntimeException('The class has no page.');
        }
        $live = $this->site . URL::signedRoute('live', ['live' => $challenge->id], absolute: false);
        $this->devices[spl_object_id($client)] = new BenchDevice(
            $client,
            $page,
            $live,
            array_map(static fn(Group $group): int => $group->id, $groups),
            // Beside its session's cookie, a device that logs says its token by itself.
            [$asks === 'log' ? "Authorization: Bearer {$key}" : self::cookie($key)],
            $token,
            $own === null ? null : "{$page}/groups/{$own->id}/own",
            $asks,
            $due,
        );
    }

    private function ask(BenchDevice $device): void
    {
        if ($device->asks === 'log') {
            $device->id = (string) Str::uuid();
            $this->sent++;
            $run = [
                'id' => $device->id, 'group' => $device->groups[array_rand($device->groups)],
                'distance' => (string) (random_int(2300, 2700) / 10), 'note' => self::NOTE,
            ];
            curl_setopt($device->client, CURLOPT_POSTFIELDS, json_encode($run, JSON_THROW_ON_ERROR));
        }
        [$address, $headers] = match ($device->asks) {
            'poll' => [$device->live, ["If-None-Match: {$device->tag}"]],
            'state' => ["{$device->page}/floor", ['Accept: application/json', 'X-Beside: yes', ...$device->knownBy]],
            'page' => [$device->own ?? $device->page, ['Accept: text/html', 'X-Beside: yes', ...$device->knownBy]],
            default => [
                "{$device->page}/runs",
                ['Content-Type: application/json', 'Accept: application/json', "X-CSRF-TOKEN: {$device->token}", ...$device->knownBy],
            ],
        };
        curl_setopt($device->client, CURLOPT_URL, $address);
        curl_setopt($device->client, CURLOPT_HTTPHEADER, $headers);
    }

    private function answered(CurlHandle $client, float $now): void
    {
        $device = $this->devices[spl_object_id($client)];
        $asked = $device->asks;
        $status = curl_getinfo($client, CURLINFO_RESPONSE_CODE);
        $took = 1000 * curl_getinfo($client, CURLINFO_TOTAL_TIME);
        [$asks, $due] = $asked === 'log'
            // Lanes don't keep time with each other.
            ? ['log', $now + $this->logEveryS * random_int(500, 1500) / 1000]
            : ['poll', $now + ($device->own === null ? self::POLL_EVERY_S : self::POLL_OF_PAGES_S)];
        $isAsExpected = $status === match ($asked) {
            'log' => 201,
            'poll' => $status === 304 ? 304 : 200,
            default => 200,
        };
        if ($asked === 'poll' && $status === 200) {
            if ($device->own === null || $now > $device->rests) {
                $device->tag = preg_match('/^etag: (\S+)/im', (string) curl_multi_getcontent($client), $found) === 1 ? $found[1] : '';
                // What changed is fetched at once, as a page does.
                [$asks, $due] = [$device->own === null ? 'state' : 'page', $now];
                $device->rests = $now + self::REST_S * random_int(750, 1250) / 1000;
            }
        } elseif ($isAsExpected && $now > self::OPENING_S) {
            $this->times[$asked][] = $took;
        }
        if ($isAsExpected && $asked === 'log') {
            $this->confirmed[$device->id] = true;
        }
        // Two alike in the same moment: it asks whether they are one.
        $isQuestion = $asked === 'log' && $status === 409;
        $this->questions += $isQuestion ? 1 : 0;
        $this->odd += $isAsExpected || $isQuestion ? 0 : 1;
        [$device->asks, $device->due] = [$asks, $due];
    }

    private static function cookie(string $token): string
    {
        $value = CookieValuePrefix::create(Device::COOKIE, Crypt::getKey()) . $token;

        return 'Cookie: ' . Device::COOKIE . '=' . urlencode(Crypt::encryptString($value));
    }
}

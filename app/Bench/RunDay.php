<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Challenge;
use App\Models\Device;
use CurlHandle;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Str;
use RuntimeException;
use Skivo\Core\Challenge\DeviceRole;

/**
 * A busy run day: in each of some classes devices that follow it, asking every second and fetching what changed, and devices that log.
 * Counts what was told to be safe, to be compared with what is stored.
 */
final class RunDay
{
    private const POLL_EVERY_S = 1.0;

    /** By which what was logged is found again. */
    private const NOTE = 'bench';

    /** @var array<string, list<float>> ms of each kind of request that was answered as it should be */
    private array $times = ['poll' => [], 'state' => [], 'log' => []];

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
     * @param int $following devices of each
     * @param int $logging devices of each
     */
    public function __construct(private readonly string $site, private readonly array $challenges, private readonly int $following, private readonly int $logging, private readonly float $logEveryS)
    {
        foreach ($challenges as $challenge) {
            $groups = array_values(array_map(intval(...), $challenge->groups()->pluck('id')->all()));
            [, $floor] = Device::join($challenge, DeviceRole::Log, 'bench');
            foreach (range(1, $following) as $i) {
                $this->add($challenge, $groups, 'poll', $floor, self::POLL_EVERY_S * ($i / $following));
            }
            foreach (range(1, $logging) as $i) {
                [, $key] = Device::join($challenge, DeviceRole::Log, "bench {$i}");
                $this->add($challenge, $groups, 'log', $key, $logEveryS * random_int(0, 1000) / 1000);
            }
        }
    }

    public function last(float $seconds): void
    {
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
                '%d classes, each with %d devices that follow it and %d that log every %.0f s: %d runs told to be safe of %d sent, %d asked back, %d stored, %d lost, %d twice or untold; %d answers odd.',
                count($this->challenges),
                $this->following,
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
            '  ' . implode('; ', array_map($this->figures(...), ['log', 'poll', 'state'], ['logging a run', 'an unchanged poll', 'what changed'])),
        ];
    }

    private function figures(string $kind, string $name): string
    {
        $times = $this->times[$kind];
        sort($times);
        $at = static fn(float $share): float => $times[(int) floor($share * (count($times) - 1))] ?? NAN;

        return sprintf('%s: median %.1f ms, 95 %% within %.1f ms (%d)', $name, $at(0.5), $at(0.95), count($times));
    }

    /** @param list<int> $groups */
    private function add(Challenge $challenge, array $groups, string $asks, string $key, float $due): void
    {
        $client = curl_init();
        curl_setopt_array($client, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_HEADER => true, CURLOPT_ENCODING => '']);
        $token = '';
        $page = "{$this->site}/challenges/{$challenge->id}";
        if ($asks === 'log') {
            // A page of its own, with its session.
            curl_setopt_array($client, [CURLOPT_URL => $page, CURLOPT_HTTPHEADER => ["Authorization: Bearer {$key}"]]);
            $token = preg_match('/name="_token" value="(\w+)"/', (string) curl_exec($client), $found) === 1 ? $found[1] : throw new RuntimeException('The class has no page.');
        }
        $live = $this->site . URL::signedRoute('live', ['live' => $challenge->id], absolute: false);
        $this->devices[spl_object_id($client)] = new BenchDevice($client, $page, $live, $groups, $key, $token, $asks, $due);
    }

    private function ask(BenchDevice $device): void
    {
        if ($device->asks === 'log') {
            $device->id = (string) Str::uuid();
            $this->sent++;
            $run = ['id' => $device->id, 'group' => $device->groups[array_rand($device->groups)], 'distance' => (string) (random_int(2300, 2700) / 10), 'note' => self::NOTE];
            curl_setopt($device->client, CURLOPT_POSTFIELDS, json_encode($run, JSON_THROW_ON_ERROR));
        }
        [$address, $headers] = match ($device->asks) {
            'poll' => [$device->live, ["If-None-Match: {$device->tag}"]],
            'state' => ["{$device->page}/floor", ['Accept: application/json', 'X-Beside: yes', "Authorization: Bearer {$device->key}"]],
            default => ["{$device->page}/runs", ['Content-Type: application/json', 'Accept: application/json', "X-CSRF-TOKEN: {$device->token}", "Authorization: Bearer {$device->key}"]],
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
            : ['poll', $now + self::POLL_EVERY_S];
        if ($asked === 'poll' && $status === 304) {
            $this->times['poll'][] = $took;
        } elseif ($asked === 'poll' && $status === 200) {
            $device->tag = preg_match('/^etag: (\S+)/im', (string) curl_multi_getcontent($client), $found) === 1 ? $found[1] : '';
            // What changed is fetched at once, as a page does.
            [$asks, $due] = ['state', $now];
        } elseif ($asked === 'state' && $status === 200) {
            $this->times['state'][] = $took;
        } elseif ($asked === 'log' && $status === 201) {
            $this->times['log'][] = $took;
            $this->confirmed[$device->id] = true;
        } elseif ($asked === 'log' && $status === 409) {
            // Two alike in the same moment: it asks whether they are one.
            $this->questions++;
        } else {
            $this->odd++;
        }
        [$device->asks, $device->due] = [$asks, $due];
    }
}

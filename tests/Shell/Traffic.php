<?php

declare(strict_types=1);

namespace Tests\Shell;

use CurlHandle;
use CurlMultiHandle;
use Illuminate\Support\Str;
use RuntimeException;

/** Devices that log run after run as pages do: each run has its number from its start, and is sent until it is confirmed. */
final class Traffic
{
    /** A page waits so long before it sends what was not confirmed again (s); and so long for an answer. */
    private const PAUSE_S = 0.2;
    private const PATIENCE_S = 8;

    /** @var list<string> ids of runs, as they were confirmed */
    public array $confirmed = [];

    /** How often one had to be sent again. */
    public int $again = 0;

    /** @var array<int, int> how often each status was answered; 0 where nothing was */
    public array $statuses = [];

    /** @var list<float> how long each answer that confirmed took (s) */
    public array $took = [];

    /** For so long nothing was confirmed, at the longest (s). */
    public float $silence = 0.0;

    private readonly CurlMultiHandle $all;
    private int $begun = 0;
    private float $heard;
    private bool $isEnding = false;

    /** @var array<int, array{client: CurlHandle, id: string, number: int, waits: float|null}> */
    private array $devices = [];

    /**
     * @param list<string> $headers with which a run is sent
     * @param list<int> $groups
     */
    public function __construct(
        private readonly string $address,
        private readonly array $headers,
        private readonly array $groups,
        int $devices,
    ) {
        $this->all = curl_multi_init();
        $this->heard = microtime(true);
        for ($i = 0; $i < $devices; $i++) {
            $client = curl_init();
            $this->devices[spl_object_id($client)] = ['client' => $client, 'id' => '', 'number' => 0, 'waits' => null];
            $this->next($client);
        }
    }

    /** Goes on until so many more are confirmed. */
    public function goOn(int $more, float $patienceS = 60.0): void
    {
        $until = count($this->confirmed) + $more;
        $this->goOnUntil(fn(): bool => count($this->confirmed) >= $until, $patienceS);
    }

    /** What each has begun is confirmed in the end. */
    public function finish(float $patienceS = 60.0): void
    {
        $this->isEnding = true;
        $this->goOnUntil(fn(): bool => $this->devices === [], $patienceS);
    }

    /** @param callable(): bool $is */
    public function goOnUntil(callable $is, float $patienceS): void
    {
        $giveUp = microtime(true) + $patienceS;
        while (!$is()) {
            if (microtime(true) > $giveUp) {
                throw new RuntimeException(
                    count($this->confirmed) . ' runs were confirmed, and then none in ' . round(microtime(true) - $this->heard, 1) . ' s',
                );
            }
            $this->turn();
        }
    }

    private function turn(): void
    {
        $now = microtime(true);
        foreach ($this->devices as $key => $device) {
            if ($device['waits'] !== null && $device['waits'] <= $now) {
                $this->devices[$key]['waits'] = null;
                $this->send($key);
            }
        }
        curl_multi_exec($this->all, $running);
        while (($done = curl_multi_info_read($this->all)) !== false) {
            $this->answered($done['handle']);
        }
        $this->silence = max($this->silence, microtime(true) - $this->heard);
        curl_multi_select($this->all, 0.01);
    }

    private function answered(CurlHandle $client): void
    {
        $status = curl_getinfo($client, CURLINFO_RESPONSE_CODE);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        $said = (string) curl_multi_getcontent($client);
        curl_multi_remove_handle($this->all, $client);
        $key = spl_object_id($client);
        if ($status === 200 || $status === 201) {
            $this->confirmed[] = $this->devices[$key]['id'];
            $this->took[] = curl_getinfo($client, CURLINFO_TOTAL_TIME);
            $this->heard = microtime(true);
            $this->isEnding ? $this->leave($key) : $this->next($client);

            return;
        }
        if ($status >= 400 && $status < 500) {
            throw new RuntimeException("{$status}: {$said}");
        }
        $this->again++;
        $this->devices[$key]['waits'] = microtime(true) + self::PAUSE_S;
    }

    private function leave(int $key): void
    {
        unset($this->devices[$key]);
    }

    private function next(CurlHandle $client): void
    {
        $key = spl_object_id($client);
        $this->devices[$key] = ['client' => $client, 'id' => (string) Str::uuid(), 'number' => $this->begun++, 'waits' => null];
        $this->send($key);
    }

    private function send(int $key): void
    {
        ['client' => $client, 'id' => $id, 'number' => $number] = $this->devices[$key];
        curl_setopt_array($client, [
            CURLOPT_URL => $this->address, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => self::PATIENCE_S,
            CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_POST => true, CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', ...$this->headers],
            // No two alike: what looks like one run sent twice is asked about.
            CURLOPT_POSTFIELDS => json_encode(
                ['id' => $id, 'group' => $this->groups[$number % count($this->groups)], 'distance' => (string) (100 + $number % 400)],
            ),
        ]);
        curl_multi_add_handle($this->all, $client);
    }
}

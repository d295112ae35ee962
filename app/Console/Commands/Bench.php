<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ImportSheet;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use App\Models\User;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Challenge\DeviceRole;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Station;
use Skivo\Core\Exchange\SheetReader;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Simulation\Sweep;

/**
 * How fast the pages of a full class answer, warm, beside a static file from the same server, which is
 * the yardstick on a machine of unknown speed.
 */
final class Bench extends Command
{
    private const GROUPS = 30;

    /** As many as one hall holds, for the findings, which weigh every car against every other. */
    private const MANY_GROUPS = 40;

    private const RUNS = 12;

    private const REQUESTS = 60;

    /** Runs after each of which the findings are looked at. */
    private const LOGGED = 20;

    private const CLIENTS = 8;

    private const TURNS = 480;

    /** A busy run day. */
    private const POLLERS = 30;
    private const LOGGERS = 10;
    private const DAY_SECONDS = 60;
    /** Far more often than a lane can run a car. */
    private const LOG_EVERY_SECONDS = 10.0;

    private const DESIGNS = [
        [],
        ['mass' => 0.03, 'rolling_coefficient' => 0.008],
        [
            'nozzle_bore' => 0.00635, 'wider_bore' => 0.0095, 'widest_bore' => 0.0127, 'nozzle_length' => 0.1,
        ],
        ['balloon_size' => 0.28, 'rolling_coefficient' => 0.06],
        ['mass' => 0.12, 'nozzle_bore' => 0.01],
    ];

    protected $signature = 'skivo:bench {site : address of a server on a database that may be written to}';

    protected $description = 'Measure how fast the pages answer with a full class';

    public function handle(Kernel $kernel, ImportSheet $import): int
    {
        $password = Str::random(20);
        $educator = User::query()->create(
            ['name' => 'Bench', 'email' => Str::lower(Str::random(12)) . '@skivo.example', 'password' => $password],
        );
        $challenge = $this->challenge($educator, self::RUNS);
        $import->store($challenge, (new SheetReader(UnitSystem::Metric))->read($this->sheet(self::RUNS)));

        $client = new Client(['base_uri' => $this->argument('site'), 'cookies' => new CookieJar()]);
        $token = preg_match('/name="_token" value="(\w+)"/', (string) $client->get('/sign-in')->getBody(), $found) === 1 ? $found[1] : '';
        $client->post('/sign-in', ['form_params' => ['_token' => $token, 'email' => $educator->email, 'password' => $password]]);

        $static = $this->time($client, '/robots.txt');
        $this->line(
            sprintf(
                '%d groups × %d runs, %d requests each, one after the other, warm. Times in ms.',
                self::GROUPS,
                self::RUNS,
                self::REQUESTS,
            ),
        );
        $own = '/groups/' . $challenge->groups()->value('id');
        $stations = array_column(array_filter(Station::cases(), static fn(Station $station): bool => $station !== Station::Run), 'value');
        $this->pages($client, $kernel, $educator, $challenge, $static, [
            'class page' => '', 'what if' => '/what-if', 'every run' => '/runs', 'groups' => '/groups', 'build sheet' => "{$own}/car",
            'own page' => "{$own}/own", ...array_combine($stations, array_map(static fn(string $station): string => "{$own}/at/{$station}", $stations)),
            'notebook' => "{$own}/notebook", 'room' => '/room',
            'checks' => '/check', 'bench' => '/bench', 'materials' => '/plan/materials', 'timetable' => '/plan/timetable',
        ]);
        $many = $this->challenge($educator, self::RUNS);
        $import->store($many, (new SheetReader(UnitSystem::Metric))->read($this->sheet(self::RUNS, self::MANY_GROUPS)));
        $this->afterRuns($client, $many);
        $this->pages($client, $kernel, $educator, $many, $static, [
            'findings' => '/findings',
            'choice by choice' => '/findings/choices',
            'why it stopped' => '/findings/work',
            'how sure' => '/findings/sure',
            'awards' => '/findings/awards',
            'report' => '/report',
            'notebook sheets' => '/report/notebooks',
        ]);

        $sheet = $this->sheet(3);
        $start = hrtime(true);
        $import->store($this->challenge($educator, 3), (new SheetReader(UnitSystem::Metric))->read($sheet));
        $this->line(
            sprintf('A class sheet of %d groups × 3 runs is read and stored in %.0f ms.', self::GROUPS, (hrtime(true) - $start) / 1e6),
        );

        $this->model();
        $this->dragging($client, $challenge);
        $this->runDay($client, $import, $educator);

        return self::SUCCESS;
    }

    /**
     * @param list<float> $static the yardstick's times
     * @param array<string, string> $pages
     */
    private function pages(Client $client, Kernel $kernel, User $educator, Challenge $challenge, array $static, array $pages): void
    {
        $rows = [['static file', ...$this->figures($static), '1.0', '–']];
        foreach ($pages as $name => $page) {
            $path = "/challenges/{$challenge->id}{$page}";
            $times = $this->time($client, $path);
            $rows[] = [
                $name,
                ...$this->figures($times),
                number_format(
                    $this->quantile($times, 0.5) / $this->quantile($static, 0.5),
                    1,
                ),
                (string) $this->queries($kernel, $educator, $path),
            ];
        }
        $this->table(['page', 'median', '95 %', '× static', 'queries'], $rows);
    }

    /** The first page of the findings: with every design new, and after each of some logged runs. */
    private function afterRuns(Client $client, Challenge $challenge): void
    {
        $first = function () use ($client, $challenge): float {
            $start = hrtime(true);
            $client->get("/challenges/{$challenge->id}/findings");

            return (hrtime(true) - $start) / 1e6;
        };
        $new = $first();
        $after = [];
        foreach ($challenge->groups()->with('cars')->limit(self::LOGGED)->get() as $index => $group) {
            $run = new Run(['id' => (string) Str::uuid(), 'try' => self::RUNS + 1, 'logged_at' => now()]);
            $run->distance = (new QuantityReader())->read((2 + $index / 10) . ' m', Unit::Metre);
            $group->cars->firstOrFail()->runs()->save($run);
            $after[] = $first();
        }
        sort($after);
        $this->line(sprintf(
            '%d groups × %d runs: the first page of the findings after a logged run comes in %.0f ms (95 %% within %.0f); with every design new in %.0f.',
            self::MANY_GROUPS,
            self::RUNS,
            $this->quantile($after, 0.5),
            $this->quantile($after, 0.95),
            $new,
        ));
    }

    /** The run model by itself, and beside SciPy's solve_ivp on the same designs. */
    private function model(): void
    {
        $designs = array_map(static fn(array $values) => Settings::of($values)->design(), self::DESIGNS);
        $milliseconds = static function (callable $run, int $times): float {
            $run();
            $start = hrtime(true);
            for ($i = 0; $i < $times; $i++) {
                $run();
            }

            return (hrtime(true) - $start) / 1e6 / $times;
        };
        $each = $milliseconds(static fn() => array_map(static fn($design) => Simulator::run($design), $designs), 40) / count($designs);
        $this->line(sprintf('A simulated run at tolerance 1e-6: %.2f ms of PHP.', $each));
        $this->line(
            sprintf(
                'A sweep of 40 points: %.0f ms.',
                $milliseconds(static fn() => Sweep::along(Settings::of([]), CarAttribute::NozzleBore), 10),
            ),
        );

        $program = 'import sys, json, time; sys.path.insert(0, sys.argv[1]); import run_model; d = json.load(sys.stdin); ' . 'f = lambda: [run_model.solve(x, "RK45", 1e-6, 1e-9, False) for x in d]; f(); t = time.perf_counter(); [f() for _ in range(3)]; '
            . 'print((time.perf_counter() - t) * 1000 / 3 / len(d))';
        $scipy = Process::input(json_encode(array_map($this->json(...), $designs), JSON_THROW_ON_ERROR))
            ->run(['/usr/bin/python3', '-c', $program, base_path('tests/Reference')]);
        $this->line($scipy->successful()
            ? sprintf(
                'SciPy’s solve_ivp (RK45, same tolerance, same designs, equations in Python): %.1f ms, %.0f times as long.',
                (float) $scipy->output(),
                (float) $scipy->output() / $each,
            )
            : 'SciPy is not installed here, so there is nothing to compare with; bin/skivo test installs it.');
    }

    /** @return array<string, mixed> */
    private function json(Design $design): array
    {
        return [
            'balloon' => [
                'relaxed_diameter_m' => $design->balloon->relaxedDiameterM,
                'film_thickness_m' => $design->balloon->filmThicknessM,
                'inflated_diameter_m' => $design->balloon->inflatedDiameterM,
            ],
            'nozzle' => [
                'segments' => array_map(
                    static fn(Tube $tube): array => ['bore_m' => $tube->boreM, 'length_m' => $tube->lengthM],
                    $design->nozzle->segments,
                ),
            ],
            'car' => [
                'mass_kg' => $design->vehicle->massKg,
                'rolling_coefficient' => $design->vehicle->rollingCoefficient,
                'breakaway_ratio' => $design->vehicle->breakawayRatio,
            ],
        ];
    }

    /** Eight clients, each turning a ruler as fast as answers come. */
    private function dragging(Client $client, Challenge $challenge): void
    {
        $times = [];
        $page = html_entity_decode((string) $client->get("/challenges/{$challenge->id}/what-if")->getBody());
        $address = preg_match('~"run":"([^"]+)"~', $page, $found) === 1 ? stripslashes(str_replace('\u0026', '&', $found[1])) : '';
        // Plain curl: the clients share the machine with the server, so they must not be the heavier of the two.
        $multi = curl_multi_init();
        $sent = 0;
        $send = function (\CurlHandle $client) use ($multi, $address, &$sent): void {
            curl_setopt($client, CURLOPT_URL, $this->argument('site') . "{$address}&d=nozzle_bore:" . (0.003 + $sent++ * 0.00003));
            curl_multi_add_handle($multi, $client);
        };
        for ($i = 0; $i < self::CLIENTS; $i++) {
            $handle = curl_init();
            curl_setopt($handle, CURLOPT_RETURNTRANSFER, true);
            $send($handle);
        }
        $times = [];
        while (count($times) < self::TURNS) {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
            while (($done = curl_multi_info_read($multi)) !== false) {
                $handle = $done['handle'];
                if (curl_getinfo($handle, CURLINFO_RESPONSE_CODE) !== 200) {
                    throw new \RuntimeException('What-if answered ' . curl_getinfo($handle, CURLINFO_RESPONSE_CODE) . '.');
                }
                $times[] = 1000 * curl_getinfo($handle, CURLINFO_TOTAL_TIME);
                curl_multi_remove_handle($multi, $handle);
                $send($handle);
            }
        }
        $times = array_slice($times, 40);
        sort($times);
        $this->line(
            sprintf(
                'What-if with %d clients dragging at once: median %.0f ms, 95 %% within %.0f ms.',
                self::CLIENTS,
                $this->quantile($times, 0.5),
                $this->quantile($times, 0.95),
            ),
        );
    }

    /**
     * A busy run day: devices that follow the class, and devices that log, for a minute. Counts what was told to be safe
     * and compares with what is stored.
     */
    private function runDay(Client $client, ImportSheet $import, User $educator): void
    {
        $challenge = $this->challenge($educator, self::RUNS);
        $import->store($challenge, (new SheetReader(UnitSystem::Metric))->read($this->sheet(1)));
        $groups = $challenge->groups()->pluck('id')->all();
        $before = $challenge->runs()->count();
        $site = (string) $this->argument('site') ?: throw new \InvalidArgumentException('Say at which address Skivo answers.');
        $page = (string) $client->get("/challenges/{$challenge->id}")->getBody();
        $live = preg_match('~data-live="([^"]+)"~', $page, $found) === 1
            ? html_entity_decode($found[1])
            : throw new \RuntimeException('The page does not follow the class.');
        $token = preg_match('/name="_token" value="(\w+)"/', $page, $found) === 1 ? $found[1] : '';
        $cookies = [];
        foreach (range(1, self::LOGGERS) as $number) {
            [, $key] = Device::join($challenge, DeviceRole::Log, "bench {$number}");
            $cookies[] = $key;
        }
        $multi = curl_multi_init();
        $handles = [];
        $due = [];
        $start = hrtime(true);
        $seconds = static fn(): float => (hrtime(true) - $start) / 1e9;
        $handle = static function (int $key) use (&$handles): \CurlHandle {
            $handles[$key] = curl_init();
            curl_setopt_array($handles[$key], [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_HEADER => true]);

            return $handles[$key];
        };
        // Pollers ask as a page does; loggers have pages of their own, each with its session.
        $tags = array_fill(0, self::POLLERS, '');
        foreach (range(0, self::POLLERS + self::LOGGERS - 1) as $key) {
            $handle($key);
            $due[$key] = $key < self::POLLERS ? $key * 1.0 / self::POLLERS : random_int(0, 1000) / 1000 * self::LOG_EVERY_SECONDS;
        }
        $tokens = [];
        foreach ($cookies as $number => $key) {
            $own = $handles[self::POLLERS + $number];
            curl_setopt_array(
                $own,
                [CURLOPT_URL => "{$site}/challenges/{$challenge->id}", CURLOPT_HTTPHEADER => ["Authorization: Bearer {$key}"]],
            );
            $tokens[$number] = preg_match('/name="_token" value="(\w+)"/', (string) curl_exec($own), $found) === 1 ? $found[1] : $token;
        }
        $polls = $logs = $confirmed = $states = [];
        $wantsState = array_fill(0, self::POLLERS, false);
        $changed = 0;
        $sent = [];
        $running = 0;
        while ($seconds() < self::DAY_SECONDS || $sent !== []) {
            foreach ($due as $key => $at) {
                if ($at > $seconds() || isset($sent[$key]) || $seconds() >= self::DAY_SECONDS) {
                    continue;
                }
                if ($key < self::POLLERS) {
                    $sent[$key] = $wantsState[$key] ? 'state' : 'poll';
                    curl_setopt_array($handles[$key], $wantsState[$key]
                        ? [
                            CURLOPT_URL => "{$site}/challenges/{$challenge->id}/floor", CURLOPT_HTTPHEADER => [
                                'Accept: application/json', "Authorization: Bearer {$cookies[0]}",
                            ],
                        ]
                        : [CURLOPT_URL => $site . $live, CURLOPT_HTTPHEADER => ["If-None-Match: {$tags[$key]}"]]);
                } else {
                    $number = $key - self::POLLERS;
                    $sent[$key] = $id = (string) Str::uuid();
                    curl_setopt_array($handles[$key], [
                        CURLOPT_URL => "{$site}/challenges/{$challenge->id}/runs",
                        CURLOPT_POSTFIELDS => json_encode(
                            [
                                'id' => $id,
                                'group' => $groups[random_int(0, count($groups) - 1)],
                                'distance' => (string) random_int(150, 400),
                            ],
                            JSON_THROW_ON_ERROR,
                        ),
                        CURLOPT_HTTPHEADER => [
                            'Content-Type: application/json',
                            'Accept: application/json',
                            "X-CSRF-TOKEN: {$tokens[$number]}",
                            "Authorization: Bearer {$cookies[$number]}",
                        ],
                    ]);
                }
                curl_multi_add_handle($multi, $handles[$key]);
            }
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.01);
            while (($done = curl_multi_info_read($multi)) !== false) {
                $key = (int) array_search($done['handle'], $handles, true);
                $status = curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE);
                $took = 1000 * curl_getinfo($done['handle'], CURLINFO_TOTAL_TIME);
                if ($key < self::POLLERS) {
                    $wasState = $sent[$key] === 'state';
                    $wantsState[$key] = !$wasState && $status === 200;
                    if ($status === 304) {
                        $polls[] = $took;
                    } elseif ($wasState) {
                        $states[] = $took;
                    } elseif ($status === 200) {
                        $changed++;
                        $tags[$key] = preg_match('/^etag: (\S+)/im', (string) curl_multi_getcontent($done['handle']), $found) === 1
                            ? $found[1]
                            : '';
                    }
                    // What changed is fetched at once, as a page does.
                    $due[$key] = $seconds() + ($wantsState[$key] ? 0.0 : 1.0);
                } else {
                    $logs[] = $took;
                    if ($status === 201) {
                        $confirmed[] = $sent[$key];
                    }
                    // Lanes don't keep time with each other.
                    $due[$key] = $seconds() + self::LOG_EVERY_SECONDS * random_int(500, 1500) / 1000;
                }
                curl_multi_remove_handle($multi, $done['handle']);
                unset($sent[$key]);
            }
        }
        sort($states);
        sort($polls);
        sort($logs);
        $stored = $challenge->runs()->pluck('runs.id')->all();
        $lost = count(array_diff($confirmed, $stored));
        $this->line(sprintf(
            'A run day of %d s: %d devices polling, %d logging. %d runs told to be safe of %d sent, %d stored, %d lost, %d twice or untold.',
            self::DAY_SECONDS,
            self::POLLERS,
            self::LOGGERS,
            count($confirmed),
            count($logs),
            count($stored) - $before,
            $lost,
            count($stored) - $before - count($confirmed) + $lost,
        ));
        $this->line(
            sprintf(
                '  logging a run: median %.0f ms, 95 %% within %.0f ms; an unchanged poll (%d of them, %d changed): median %.1f ms, 95 %% within %.1f ms; what changed: median %.0f ms, 95 %% within %.0f ms.',
                $this->quantile($logs, 0.5),
                $this->quantile($logs, 0.95),
                count($polls),
                $changed,
                $this->quantile($polls, 0.5),
                $this->quantile($polls, 0.95),
                $this->quantile($states, 0.5),
                $this->quantile($states, 0.95),
            ),
        );
    }

    private function challenge(User $educator, int $tries): Challenge
    {
        return $educator->challenges()->create([
            'name' => 'Bench', 'goal' => Goal::Farthest, 'scoring' => Scoring::Mean, 'tries' => $tries,
            'lane_length' => (new QuantityReader())->read('10 m', Unit::Metre), 'units' => UnitSystem::Metric, 'safety_read_at' => now(),
        ]);
    }

    private function sheet(int $runs, int $groups = self::GROUPS): string
    {
        $csv = "group,nozzle,nozzle bore (mm),outlets,nozzle length (cm),balloon diameter (cm),mass (g),wheels,wheel diameter (mm),wheel mount,chassis,try,distance (cm),time (s)\n";
        for ($group = 1; $group <= $groups; $group++) {
            for ($try = 1; $try <= $runs; $try++) {
                $distance = 120 + 9 * $group + (37 * $try * $group) % 41;
                $csv .= sprintf(
                    "Group %d,straw,%d,1,12,%d,%d,caps,32,fixed,card,%d,%d,%.2f\n",
                    $group,
                    4 + $group % 7,
                    17 + $group % 5,
                    50 + $group,
                    $try,
                    $distance,
                    400 / $distance,
                );
            }
        }

        return $csv;
    }

    /** @return list<float> ms, sorted */
    private function time(Client $client, string $path): array
    {
        $times = [];
        for ($i = -5; $i < self::REQUESTS; $i++) {
            $start = hrtime(true);
            $status = $client->get($path, ['allow_redirects' => false])->getStatusCode();
            if ($status !== 200) {
                throw new \RuntimeException("{$path} answered {$status}.");
            }
            if ($i >= 0) {
                $times[] = (hrtime(true) - $start) / 1e6;
            }
        }
        sort($times);

        return $times;
    }

    /**
     * @param list<float> $sorted
     *
     * @return list<string>
     */
    private function figures(array $sorted): array
    {
        return [number_format($this->quantile($sorted, 0.5), 1), number_format($this->quantile($sorted, 0.95), 1)];
    }

    /** @param list<float> $sorted */
    private function quantile(array $sorted, float $share): float
    {
        return $sorted[(int) floor($share * (count($sorted) - 1))];
    }

    private function queries(Kernel $kernel, User $educator, string $path): int
    {
        Auth::guard('web')->setUser($educator);
        DB::flushQueryLog();
        DB::enableQueryLog();
        $status = $kernel->handle(Request::create($path))->getStatusCode();
        DB::disableQueryLog();
        if ($status !== 200) {
            throw new \RuntimeException("{$path} answered {$status} while its queries were counted.");
        }

        return count(DB::getQueryLog());
    }
}

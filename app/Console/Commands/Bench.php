<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ImportSheet;
use App\Console\Bench\District;
use App\Console\Bench\RunDay;
use App\Models\Challenge;
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
use InvalidArgumentException;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Exchange\SheetReader;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Notebook\Station;
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

    /**
     * A busy run day of one class: screens at the lane, tablets of groups, devices that log, and how often each of those does (s): far more
     * often than a lane can run a car.
     */
    private const ONE_CLASS = [10, 20, 10, 10.0];

    /**
     * A school in which so many classes of ten groups have their run day at once, each with thirty devices and a run every twenty seconds:
     * where all of them follow the lane, and where most show a group's own page.
     */
    private const SCHOOLS = [[25, [28, 0, 2, 40.0]], [10, [8, 20, 2, 40.0]]];
    private const GROUPS_OF_EACH = 10;
    private const DAY_SECONDS = 60;

    /** So many classes more, of 30 groups with 12 runs each, make a million runs. */
    private const CLASSES = 2_800;

    private const DESIGNS = [
        [],
        ['mass' => 0.03, 'rolling_coefficient' => 0.008],
        [
            'nozzle_bore' => 0.00635, 'wider_bore' => 0.0095, 'widest_bore' => 0.0127, 'nozzle_length' => 0.1,
        ],
        ['balloon_size' => 0.28, 'rolling_coefficient' => 0.06],
        ['mass' => 0.12, 'nozzle_bore' => 0.01],
    ];

    protected $signature = 'skivo:bench {site : address of a server on a database that may be written to}
        {--district : how fast with a million runs stored, and how many classes at once}';

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

        if ((bool) $this->option('district')) {
            foreach (self::SCHOOLS as [$classes, $devices]) {
                $this->runDay($import, $educator, $classes, self::GROUPS_OF_EACH, $devices);
            }
            $this->district($client, $kernel, $educator, $challenge);

            return self::SUCCESS;
        }
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
            'class page' => '', 'dry run' => '/dry-run', 'every run' => '/runs', 'groups' => '/groups', 'build sheet' => "{$own}/car",
            'own page' => "{$own}/own",
            ...array_combine($stations, array_map(static fn(string $station): string => "{$own}/at/{$station}", $stations)),
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
            sprintf('A run table of %d groups × 3 runs is read and stored in %.0f ms.', self::GROUPS, (hrtime(true) - $start) / 1e6),
        );

        $this->model();
        $this->dragging($client, $challenge);
        $this->runDay($import, $educator, 1, self::GROUPS, self::ONE_CLASS);

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

        $program = 'import sys, json, time; sys.path.insert(0, sys.argv[1]); import run_model; d = json.load(sys.stdin); '
            . 'f = lambda: [run_model.solve(x, "RK45", 1e-6, 1e-9, False) for x in d]; f(); t = time.perf_counter(); [f() for _ in range(3)]; '
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
        $page = html_entity_decode((string) $client->get("/challenges/{$challenge->id}/dry-run")->getBody());
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

    /** @param array{int, int, int, float} $devices of each class */
    private function runDay(ImportSheet $import, User $educator, int $classes, int $groups, array $devices): void
    {
        $challenges = [];
        foreach (range(1, $classes) as $i) {
            $challenges[] = $challenge = $this->challenge($educator, self::RUNS);
            $import->store($challenge, (new SheetReader(UnitSystem::Metric))->read($this->sheet(0, $groups)));
        }
        $site = (string) $this->argument('site') ?: throw new InvalidArgumentException('Say at which address Skivo answers.');
        $day = new RunDay($site, $challenges, ...$devices);
        $day->last(self::DAY_SECONDS);
        array_map($this->line(...), $day->says());
    }

    /** The same pages, with one class stored and with so many that a million runs are. */
    private function district(Client $client, Kernel $kernel, User $educator, Challenge $challenge): void
    {
        $pages = [
            'challenges' => '/challenges', 'class page' => '', 'groups' => '/groups', 'every run' => '/runs', 'findings' => '/findings',
            'report' => '/report',
        ];
        $path = static fn(string $page): string => $page === '/challenges' ? $page : "/challenges/{$challenge->id}{$page}";
        $one = array_map(fn(string $page): array => $this->time($client, $path($page)), $pages);
        $begun = hrtime(true);
        $runs = District::fill($challenge, self::CLASSES);
        $this->line(
            sprintf(
                '%s runs of %s classes are stored (in %.0f s).',
                number_format($runs),
                number_format(Challenge::query()->count()),
                (hrtime(true) - $begun) / 1e9,
            ),
        );
        // What is anybody else's is not this educator's.
        $others = User::query()->create(
            ['name' => 'Others', 'email' => Str::lower(Str::random(12)) . '@skivo.example', 'password' => Str::random(20)],
        );
        DB::table('challenges')->where('user_id', $educator->id)->where('id', '<>', $challenge->id)->update(['user_id' => $others->id]);
        $rows = [];
        foreach ($pages as $name => $page) {
            $many = $this->time($client, $path($page));
            $rows[] = [
                $name, ...$this->figures($one[$name]), ...$this->figures($many),
                number_format($this->quantile($many, 0.5) / $this->quantile($one[$name], 0.5), 2),
                (string) $this->queries($kernel, $educator, $path($page)),
            ];
        }
        $this->table(['page', 'one class', '95 %', 'the district', '95 %', 'ratio', 'queries'], $rows);
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
        $csv
            = "group,nozzle,nozzle bore (mm),outlets,nozzle length (cm),balloon diameter (cm),mass (g),wheels,wheel diameter (mm),wheel mount,chassis,try,distance (cm),time (s)\n";
        for ($group = 1; $group <= $groups; $group++) {
            for ($try = 1; $try <= max(1, $runs); $try++) {
                $distance = 120 + 9 * $group + (37 * $try * $group) % 41;
                $csv .= sprintf(
                    $runs === 0
                        ? "Group %d,straw,%d,1,12,%d,%d,caps,32,fixed,card,,,\n"
                        : "Group %d,straw,%d,1,12,%d,%d,caps,32,fixed,card,%d,%d,%.2f\n",
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

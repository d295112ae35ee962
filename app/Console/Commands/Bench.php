<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ImportSheet;
use App\Models\Challenge;
use App\Models\User;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Quantity\QuantityReader;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Quantity\UnitSystem;
use Skivo\Core\Sheet\SheetReader;

/**
 * How fast the pages of a full class answer, warm, beside a static file from the same server, which is
 * the yardstick on a machine of unknown speed.
 */
final class Bench extends Command
{
    private const GROUPS = 30;

    private const RUNS = 12;

    private const REQUESTS = 60;

    protected $signature = 'skivo:bench {site : address of a server on a database that may be written to}';

    protected $description = 'Measure how fast the pages answer with a full class';

    public function handle(Kernel $kernel, ImportSheet $import): int
    {
        $password = Str::random(20);
        $educator = User::query()->create(['name' => 'Bench', 'email' => Str::lower(Str::random(12)) . '@skivo.example', 'password' => $password]);
        $challenge = $this->challenge($educator, self::RUNS);
        $import->store($challenge, (new SheetReader(UnitSystem::Metric))->read($this->sheet(self::RUNS)));

        $client = new Client(['base_uri' => $this->argument('site'), 'cookies' => new CookieJar()]);
        $token = preg_match('/name="_token" value="(\w+)"/', (string) $client->get('/sign-in')->getBody(), $found) === 1 ? $found[1] : '';
        $client->post('/sign-in', ['form_params' => ['_token' => $token, 'email' => $educator->email, 'password' => $password]]);

        $static = $this->time($client, '/robots.txt');
        $this->line(sprintf('%d groups × %d runs, %d requests each, one after the other, warm. Times in ms.', self::GROUPS, self::RUNS, self::REQUESTS));
        $rows = [['static file', ...$this->figures($static), '1.0', '–']];
        foreach (['class page' => '', 'findings' => '/findings', 'every run' => '/runs', 'groups' => '/groups'] as $name => $page) {
            $path = "/challenges/{$challenge->id}{$page}";
            $times = $this->time($client, $path);
            $rows[] = [$name, ...$this->figures($times), number_format($this->quantile($times, 0.5) / $this->quantile($static, 0.5), 1), (string) $this->queries($kernel, $educator, $path)];
        }
        $this->table(['page', 'median', '95 %', '× static', 'queries'], $rows);

        $sheet = $this->sheet(3);
        $start = hrtime(true);
        $import->store($this->challenge($educator, 3), (new SheetReader(UnitSystem::Metric))->read($sheet));
        $this->line(sprintf('A class sheet of %d groups × 3 runs is read and stored in %.0f ms.', self::GROUPS, (hrtime(true) - $start) / 1e6));

        return self::SUCCESS;
    }

    private function challenge(User $educator, int $tries): Challenge
    {
        return $educator->challenges()->create([
            'name' => 'Bench', 'goal' => Goal::Farthest, 'scoring' => Scoring::Mean, 'tries' => $tries,
            'lane_length' => (new QuantityReader())->read('10 m', Unit::Metre), 'units' => UnitSystem::Metric,
        ]);
    }

    private function sheet(int $runs): string
    {
        $csv = "group,nozzle,nozzle bore (mm),outlets,nozzle length (cm),balloon diameter (cm),mass (g),wheels,wheel diameter (mm),wheel mount,chassis,try,distance (cm),time (s)\n";
        for ($group = 1; $group <= self::GROUPS; $group++) {
            for ($try = 1; $try <= $runs; $try++) {
                $distance = 120 + 9 * $group + (37 * $try * $group) % 41;
                $csv .= sprintf("Group %d,straw,%d,1,12,%d,%d,caps,32,fixed,card,%d,%d,%.2f\n", $group, 4 + $group % 7, 17 + $group % 5, 50 + $group, $try, $distance, 400 / $distance);
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

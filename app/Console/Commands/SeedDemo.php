<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Stores the demo class, once: all of it or nothing. */
final class SeedDemo extends Command
{
    protected $signature = 'skivo:demo';

    protected $description = 'Store the demo class and its educator, unless they are there';

    public function handle(): int
    {
        if (User::query()->where('email', DemoSeeder::EMAIL)->exists()) {
            $this->info('The demo data is there already.');

            return self::SUCCESS;
        }
        DB::transaction(fn() => $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]));
        $this->info('The demo data is stored.');

        return self::SUCCESS;
    }
}

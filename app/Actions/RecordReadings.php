<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Reading;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Keeps what instruments measured. */
final class RecordReadings
{
    /**
     * @param list<array<string, mixed>> $rows by column; one that is known by its id already is left as it is
     *
     * @return int how many are new
     */
    public function fromInstrument(array $rows): int
    {
        return DB::transaction(static fn(): int => DB::table('readings')->insertOrIgnore($rows));
    }

    /** @param list<array{float, float}> $points of a run's trace, as seconds and metres */
    public function trace(Challenge $challenge, Run $run, array $points): void
    {
        DB::transaction(static fn() => $challenge->readings()->save(new Reading([
            'id' => (string) Str::uuid7(),
            'run_id' => $run->id,
            'kind' => 'trace',
            'lane' => $run->lane,
            'data' => ['points' => $points],
            'measured_at' => now(),
        ])));
    }
}

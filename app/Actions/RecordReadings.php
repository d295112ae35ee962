<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Challenge;
use App\Models\Reading;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Skivo\Core\Challenge\RunRecord;

/** Keeps what instruments measured. */
final class RecordReadings
{
    public function __construct(private readonly ChangeRun $runs) {}

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
        DB::transaction(static fn() => self::keep($challenge, $run->id, $run->lane, ['points' => $points]));
    }

    /**
     * What a film shows of a run becomes one more of its traces, and fills what nobody recorded of it.
     *
     * @param list<array{float, float}> $points as seconds and metres
     * @param array<string, mixed> $film what was seen in it, and its picture
     */
    public function film(Challenge $challenge, Run $run, Actor $by, array $points, array $film, RunRecord $measured): void
    {
        DB::transaction(function () use ($challenge, $run, $by, $points, $film, $measured): void {
            self::keep($challenge, $run->id, $run->lane, ['points' => $points, 'film' => $film]);
            if ($run->void_reason === null) {
                $this->runs->edit($run, $by, $run->car->group, static fn(Run $now): RunRecord => $now->record()->filledFrom($measured));
            }
        });
    }

    /**
     * What a film shows of a run that is yet to be logged waits at its lane.
     *
     * @param list<array{float, float}> $points as seconds and metres
     * @param array<string, mixed> $film what was seen in it, its picture, and what it fills
     */
    public function waitingFilm(Challenge $challenge, int $lane, array $points, array $film): void
    {
        DB::transaction(static fn() => self::keep($challenge, null, $lane, ['points' => $points, 'film' => $film]));
    }

    /** @param array<string, mixed> $data */
    private static function keep(Challenge $challenge, ?string $run, ?int $lane, array $data): void
    {
        $challenge->readings()->save(new Reading([
            'id' => (string) Str::uuid7(),
            'run_id' => $run,
            'kind' => 'trace',
            'lane' => $lane,
            'data' => $data,
            'measured_at' => now(),
        ]));
    }
}

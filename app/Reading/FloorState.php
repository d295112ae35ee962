<?php

declare(strict_types=1);

namespace App\Reading;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Trials\Tries;

/**
 * What every screen at the floor shows just now, drawn once for all of them: kept under the challenge's revision, so
 * that it is made anew only when something has changed.
 */
final readonly class FloorState
{
    private const KEEP_SECONDS = 600;

    /**
     * @param string $site whose addresses the links in it have
     *
     * @return array<string, mixed>
     */
    public static function of(Challenge $challenge, string $site): array
    {
        $revision = $challenge->revision();
        $key = "floor:{$challenge->id}:{$revision}:" . md5($site);

        return Cache::get($key) ?? Cache::lock("{$key}:lock", 10)->block(8, static fn(): array => Cache::remember($key, self::KEEP_SECONDS, static fn(): array => self::drawn($challenge, $revision)));
    }

    /** @return array<string, mixed> */
    private static function drawn(Challenge $challenge, int $revision): array
    {
        $record = ClassRecord::of($challenge);
        $floor = new Floor($record);
        $with = ['challenge' => $challenge, 'record' => $record, 'floor' => $floor];

        return [
            'revision' => $revision,
            'html' => array_map(static fn(string $view): string => view($view, $with)->render(), [
                'order' => 'run.order', 'floor' => 'run.floor', 'said' => 'run.said', 'figures' => 'run.figures', 'board' => 'board.floor',
            ]),
            'stages' => [
                'build' => "{$record->carsRecorded()}/{$record->groups->count()}",
                'check' => "{$record->carsChecked()}/{$record->groups->count()}",
                'run' => "{$record->countedTries()}/{$record->triesInAll()}",
            ],
            'groups' => $record->groups->map(static fn(Group $group): array => [
                'id' => $group->id,
                'name' => $group->name,
                'try' => self::tryInWords($record->tries($group->currentCar())),
                'lane' => $floor->laneOf($group),
            ])->values()->all(),
            'next' => $floor->proposedGroup()?->id,
            'coming' => $floor->coming(),
            'readings' => WaitingReadings::of($challenge),
        ];
    }

    public static function tryInWords(Tries $tries): string
    {
        return "try {$tries->next()} of {$tries->allowed}";
    }
}

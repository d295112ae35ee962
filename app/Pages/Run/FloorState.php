<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Models\Challenge;
use App\Models\Group;
use App\Models\Race;
use App\Record\ClassRecord;
use App\Record\DrawnOf;
use App\Record\RaceReading;
use Illuminate\Contracts\View\View;
use Illuminate\Support\Facades\Cache;

/**
 * What every screen at the floor shows just now, drawn once for all of them: kept with the challenge's revision, so
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
        return self::drawnOnce($challenge, 'floor:' . md5($site), static function (ClassRecord $record) use ($challenge): array {
            $floor = new Floor($record);
            $with = ['challenge' => $challenge, 'record' => $record, 'floor' => $floor];

            return [
                'html' => array_map(static fn(string $view): string => view($view, $with)->render(), [
                    'order' => 'run.order', 'floor' => 'run.floor', 'said' => 'run.said', 'figures' => 'run.figures',
                    'next' => 'run.next',
                ]),
                'stages' => [
                    'build' => "{$record->carsRecorded()}/{$record->groups->count()}",
                    'check' => "{$record->carsChecked()}/{$record->groups->count()}",
                    'run' => "{$record->countedTries()}/{$record->triesInAll()}",
                ],
                'groups' => $record->groups->map(static fn(Group $group): array => [
                    'id' => $group->id,
                    'name' => $group->name,
                    'try' => $floor->nextRuns[$group->id]->words,
                    'practice' => $floor->nextRuns[$group->id]->isPractice,
                    'as_try' => $floor->nextRuns[$group->id]->asTry,
                    'sweep' => $floor->nextRuns[$group->id]->isSweep,
                    'fill' => $floor->nextRuns[$group->id]->fill,
                    'lane' => $floor->laneOf($group),
                ])->values()->all(),
                'next' => $floor->proposedGroup()?->id,
                'coming' => $floor->coming(),
                'readings' => WaitingReadings::of($challenge),
            ];
        });
    }

    /** @return array<string, mixed> what the board shows, and nothing else */
    public static function ofBoard(Challenge $challenge): array
    {
        return self::drawnOnce($challenge, 'board', static fn(ClassRecord $record): array => [
            'html' => ['board' => self::board($record)->render()],
            'groups' => [],
            'next' => null,
            'coming' => [],
        ]);
    }

    /** The answer once the class is told it, else a race that is on, else the floor. */
    public static function board(ClassRecord $record): View
    {
        $challenge = $record->challenge;
        if ($challenge->answer_told_at !== null) {
            return view('board.answer', ['challenge' => $challenge, 'record' => $record]);
        }
        $race = RaceReading::current($challenge);

        return $race === null
            ? view('board.floor', ['challenge' => $challenge, 'record' => $record, 'floor' => new Floor($record)])
            : view('board.race', ['challenge' => $challenge, 'reading' => $race]);
    }

    /** @return array<string, mixed> a race in pieces */
    public static function ofRace(Challenge $challenge, Race $race): array
    {
        return self::drawnOnce($challenge, "race:{$race->id}", static function () use ($challenge, $race): array {
            $with = [
                'challenge' => $challenge,
                'reading' => new RaceReading(
                    $race->refresh()->load(['events.user', 'events.device'])->setRelation('challenge', $challenge),
                ),
            ];

            return [
                'html' => array_map(static fn(string $view): string => view($view, $with)->render(), [
                    'told' => 'race.told', 'heats' => 'race.heats', 'entrants' => 'race.entrants', 'history' => 'race.history',
                    'foot' => 'race.foot',
                ]),
                'groups' => [],
                'next' => null,
                'coming' => [],
            ];
        });
    }

    /**
     * One request draws what is new; whoever asks meanwhile gets what was drawn before, which says so by its revision, and
     * asks again.
     *
     * @param \Closure(ClassRecord): array<string, mixed> $draw
     *
     * @return array<string, mixed>
     */
    private static function drawnOnce(Challenge $challenge, string $what, \Closure $draw): array
    {
        $revision = $challenge->revision();
        $key = "state:{$challenge->id}:{$what}:" . config('skivo.served_since');
        $held = Cache::get($key);
        if (is_array($held) && $held['revision'] === $revision) {
            return $held;
        }
        $drawn = static function () use ($challenge, $draw, $key): array {
            $record = ClassRecord::of($challenge);
            $state = ['revision' => $record->revision] + $draw($record);
            DrawnOf::hold($challenge->id, $key, $state, self::KEEP_SECONDS);

            return $state;
        };
        $lock = Cache::lock("{$key}:lock", 10);
        if ($lock->get()) {
            try {
                return $drawn();
            } finally {
                $lock->release();
            }
        }

        return is_array($held) ? $held : $drawn();
    }
}

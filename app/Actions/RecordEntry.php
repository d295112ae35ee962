<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\GroupPlace;
use App\Models\Photo;
use App\Models\Picture;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Forecast\Direction;
use Skivo\Core\Measurement\Entry as Length;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\Station;

/** Puts something into a group's notebook, once, whatever is sent how often; and does what it means. */
final class RecordEntry
{
    /** So many pictures a group keeps. */
    public const MOST_PHOTOS = 24;

    /** And so much else. */
    private const MOST_ENTRIES = 2000;

    public function __construct(private readonly RecordPrediction $predict, private readonly RecordCheckCard $check) {}

    /**
     * @param array<string, mixed> $payload as it is kept
     * @param Length|null $guess how far the next try will go
     * @param Reading|null $reading of one test of the check card
     *
     * @throws NotebookIsFullException
     * @throws IdIsTakenException where something else has this id
     */
    public function __invoke(
        Challenge $challenge,
        Group $group,
        string $id,
        EntryKind $kind,
        array $payload,
        CarbonImmutable $madeAt,
        User|Device $by,
        ?Length $guess = null,
        ?Reading $reading = null,
        ?Photo $photo = null,
    ): Entry {
        return DB::transaction(function () use ($challenge, $group, $id, $kind, $payload, $madeAt, $by, $guess, $reading, $photo): Entry {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $held = Entry::query()->find($id);
            if ($held !== null) {
                return $held->group_id === $group->id && $held->kind === $kind ? $held : throw new IdIsTakenException();
            }
            $this->hasRoom($group, $kind);
            $car = $group->newestCar();
            $entry = new Entry(['id' => $id, 'kind' => $kind, 'payload' => $payload, 'made_at' => $madeAt] + Entry::madeBy($by));
            $entry->group()->associate($group);
            $entry->car_id = $car?->id;
            $run = $payload['run'] ?? null;
            $entry->run_id = is_string($run) ? $run : null;
            $entry->save();
            if ($photo !== null) {
                self::keep($entry, $photo);
            }
            match ($kind) {
                EntryKind::Guess => $this->guess($challenge, $group, $entry, $guess),
                EntryKind::Check => $reading === null ? null : $this->check->one($group, $reading, $by),
                EntryKind::Help => self::wantsAdult($group, ($payload['wants'] ?? false) === true, $madeAt),
                default => null,
            };

            return $entry;
        });
    }

    private function hasRoom(Group $group, EntryKind $kind): void
    {
        $entries = Entry::query()->where('group_id', $group->id);
        if (
            $kind === EntryKind::Photo
            && (clone $entries)->where('kind', $kind)->count() >= self::MOST_PHOTOS
            || $entries->count() >= self::MOST_ENTRIES
        ) {
            throw new NotebookIsFullException();
        }
    }

    private function guess(Challenge $challenge, Group $group, Entry $entry, ?Length $guess): void
    {
        $try = $guess === null ? null : ($this->predict)($challenge, $group, $guess, null);
        $reason = $entry->text('reason');
        $group->newestCar()?->predictions()->where('try', $try)->first()?->update([
            'reason' => $reason === '' ? null : $reason, 'direction' => Direction::tryFrom($entry->text('direction')),
        ]);
        $entry->update(['payload' => ['try' => $try] + $entry->payload, 'car_id' => $group->newestCar()?->id]);
    }

    private static function keep(Entry $entry, Photo $photo): void
    {
        $picture = new Picture(['entry_id' => $entry->id, 'width' => $photo->width, 'height' => $photo->height]);
        $picture->setAttribute('jpeg', DB::raw("decode('" . base64_encode($photo->jpeg) . "', 'base64')"));
        $picture->save();
    }

    private static function wantsAdult(Group $group, bool $wants, CarbonImmutable $at): void
    {
        GroupPlace::query()->firstOrCreate(['group_id' => $group->id], ['station' => Station::Idea, 'since' => $at])
            ->update(['wants_adult_at' => $wants ? $at : null]);
    }
}

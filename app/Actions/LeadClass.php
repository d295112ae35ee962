<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\GroupPlace;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Notebook\Station;

/** What an educator does for the whole room: opens and closes stations, says a word to all, looks at pictures, helps. */
final class LeadClass
{
    /** @param list<Station> $closed */
    public function closeStations(Challenge $challenge, array $closed): void
    {
        DB::transaction(
            static fn(): bool => $challenge->update(
                ['closed_stations' => array_map(static fn(Station $station): string => $station->value, $closed)],
            ),
        );
    }

    /** @param string|null $word null takes it back */
    public function say(Challenge $challenge, ?string $word): void
    {
        DB::transaction(static fn(): bool => $challenge->update(['word_to_all' => $word, 'word_at' => $word === null ? null : now()]));
    }

    public function openClosingRound(Challenge $challenge, bool $isOpen): void
    {
        DB::transaction(static fn(): bool => $challenge->update(['closing_is_open' => $isOpen]));
    }

    /** Hides a picture or a note at once, or shows it again; either way it was looked at. */
    public function look(Entry $entry, bool $isShown): void
    {
        DB::transaction(static fn(): bool => $entry->update(['hidden_at' => $isShown ? null : now(), 'looked_at' => now()]));
    }

    /** An adult has been with a group. */
    public function helped(Group $group): void
    {
        DB::transaction(static fn(): int => GroupPlace::query()->whereKey($group->id)->update(['wants_adult_at' => null]));
    }

    /** A group's tablet stands at a station. */
    public function arrive(Group $group, Station $station): void
    {
        DB::transaction(static function () use ($group, $station): void {
            $place = GroupPlace::query()->find($group->id);
            if ($place === null || $place->station !== $station) {
                GroupPlace::query()->updateOrCreate(['group_id' => $group->id], ['station' => $station, 'since' => now()]);
            }
        });
    }

    /** Lets the tablet in that asks for a group whose mark is taken; the one that had it stays out from now on. */
    public function letIn(Device $device): void
    {
        DB::transaction(static function () use ($device): void {
            Device::query()->where('challenge_id', $device->challenge_id)
                ->where('group_id', $device->group_id)
                ->whereKeyNot($device->id)
                ->where('is_waiting', false)
                ->whereNull('revoked_at')->update(['revoked_at' => now()]);
            $device->update(['is_waiting' => false]);
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\HomeItem;
use App\Models\HomeLink;
use App\Models\Photo;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Lets a group go on at home, takes what comes from there, and lets it stand beside the class, or not. */
final class ManageHomeLinks
{
    /** So much comes from one group; beyond that somebody plays with the link. */
    public const MOST_ITEMS = 200;

    /** @return string the token of a link, known this once; an older one of the group opens nothing any more */
    public function link(Group $group, CarbonImmutable $until): string
    {
        return DB::transaction(static function () use ($group, $until): string {
            HomeLink::query()->where('group_id', $group->id)->whereNull('revoked_at')->update(['revoked_at' => now()]);
            [$token, $hash] = HomeLink::token();
            HomeLink::query()->create(['group_id' => $group->id, 'token_hash' => $hash, 'ends_at' => $until]);

            return $token;
        });
    }

    public function revoke(HomeLink $link): void
    {
        DB::transaction(static fn(): bool => $link->update(['revoked_at' => now()]));
    }

    /**
     * @param array<string, string> $payload as typed
     *
     * @return bool whether there was room for it
     */
    public function take(HomeLink $link, string $kind, array $payload, ?Photo $photo = null): bool
    {
        return DB::transaction(static function () use ($link, $kind, $payload, $photo): bool {
            HomeLink::query()->whereKey($link->id)->lock(Lock::ROW)->firstOrFail();
            if ($link->items()->count() >= self::MOST_ITEMS) {
                return false;
            }
            DB::insert('INSERT INTO home_items (id, home_link_id, kind, payload, jpeg, made_at) VALUES (?, ?, ?, ?, decode(?, \'base64\'), now())', [
                (string) Str::uuid7(), $link->id, $kind, json_encode((object) $payload, JSON_THROW_ON_ERROR), $photo === null
                    ? null
                    : base64_encode($photo->jpeg),
            ]);

            return true;
        });
    }

    /** An educator's yes or no, which may be thought over. */
    public function judge(HomeItem $item, bool $isAccepted): void
    {
        DB::transaction(
            static fn(): bool => $item->update(['accepted_at' => $isAccepted ? now() : null, 'refused_at' => $isAccepted ? null : now()]),
        );
    }
}

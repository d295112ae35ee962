<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\OwnPart;
use Illuminate\Support\Facades\DB;

/** Adds parts of the class's own to the parts list, and takes them off. */
final class ChangeParts
{
    /** @param array<string, mixed> $part by column */
    public function add(Challenge $challenge, array $part): OwnPart
    {
        return DB::transaction(static fn(): OwnPart => $challenge->ownParts()->create($part));
    }

    /** A part of another challenge, once: what has its kind and name here already stays as it is. */
    public function copy(Challenge $challenge, OwnPart $part): void
    {
        DB::transaction(static function () use ($challenge, $part): void {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();
            if ($challenge->ownParts()->where('kind', $part->kind)->where('name', $part->name)->doesntExist()) {
                $copy = $part->replicate();
                $copy->setAttribute('challenge_id', $challenge->id);
                $copy->save();
            }
        });
    }

    public function remove(OwnPart $part): void
    {
        DB::transaction(static fn(): ?bool => $part->delete());
    }
}

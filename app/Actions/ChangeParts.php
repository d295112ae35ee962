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

    public function remove(OwnPart $part): void
    {
        DB::transaction(static fn(): ?bool => $part->delete());
    }
}

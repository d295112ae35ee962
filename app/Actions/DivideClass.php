<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Random\Engine\Secure;
use Random\Randomizer;
use Skivo\Core\Challenge\Design;

/** Says who builds which of the two that a class compares: by lot, as many the one as the other, or as somebody wishes. */
final class DivideClass
{
    /** Draws for whoever has not been told yet; for nobody where the class does not divide itself. */
    public function __invoke(Challenge $challenge): void
    {
        if (!$challenge->way()->isDivided()) {
            return;
        }
        DB::transaction(static function () use ($challenge): void {
            $teams = $challenge->teams()->lock(Lock::ROW)->get();
            $told = $teams->filter(static fn(Group $group): bool => $group->builds_other !== null);
            $left = $teams->diff($told)->values();
            $others = $told->filter(static fn(Group $group): bool => $group->builds_other === true)->count();
            $drawn = Design::draw($left->count(), new Randomizer(new Secure()), $told->count() - $others, $others);
            foreach ($left as $place => $group) {
                $group->update(['builds_other' => $drawn[$place]]);
            }
        });
    }

    /** Draws for all anew. */
    public function again(Challenge $challenge): void
    {
        DB::transaction(function () use ($challenge): void {
            $challenge->teams()->lock(Lock::ROW)->update(['builds_other' => null]);
            $this($challenge);
        });
    }

    /** @param array<int, bool> $builds whether a group builds the other, by its id */
    public function as(Challenge $challenge, array $builds): void
    {
        DB::transaction(static function () use ($challenge, $builds): void {
            foreach ($challenge->teams()->lock(Lock::ROW)->get() as $group) {
                if (array_key_exists($group->id, $builds)) {
                    $group->update(['builds_other' => $builds[$group->id]]);
                }
            }
        });
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\MaterialLine;
use App\Models\OwnPart;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Sets a challenge like another, for the next class: its rules, kit, parts, limits and timetable, without what was recorded. */
final class CopyChallenge
{
    /** What belongs to the class that had it. */
    private const ITS_OWN = [
        'asks_changed_at', 'answer_told_at', 'groups_are_locked', 'closed_stations', 'word_to_all', 'word_at', 'closing_is_open',
        'deleted_at',
    ];

    public function __construct(private readonly DivideClass $divide) {}

    public function __invoke(Challenge $from, string $name, bool $withGroups, User $for): Challenge
    {
        return DB::transaction(function () use ($from, $name, $withGroups, $for): Challenge {
            $copy = $from->replicate(self::ITS_OWN);
            $copy->name = $name;
            $copy->user()->associate($for);
            $copy->save();
            $plan = $from->sessionPlan()->replicate(['starts_at', 'note_for_next_time']);
            $plan->note_from_last_time = $from->sessionPlan()->note_for_next_time;
            $plan->setAttribute('challenge_id', $copy->id);
            $plan->save();
            foreach ([...$from->ownParts->all(), ...$from->materialLines->all()] as $line) {
                /** @var OwnPart|MaterialLine $own */
                $own = $line->replicate();
                $own->setAttribute('challenge_id', $copy->id);
                $own->save();
            }
            foreach ($withGroups ? $from->teams()->get() : [] as $group) {
                $copy->groups()->create(['name' => $group->name, 'mark' => $group->mark, 'position' => $group->position]);
            }

            // The next class draws its own lots.
            ($this->divide)($copy);

            return $copy->refresh();
        });
    }
}

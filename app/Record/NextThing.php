<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/** The one thing that a class waits for, from its state. */
final readonly class NextThing
{
    /**
     * @param int $count how many are meant: cars, or tries
     * @param int $of how many there are
     */
    private function __construct(public NextStep $step, public string $group = '', public int $count = 0, public int $of = 0) {}

    public static function of(ClassRecord $record): self
    {
        $groups = $record->groups->count();
        $unrecorded = $groups - $record->carsRecorded();
        [$done, $all] = [$record->countedTries(), $record->triesInAll()];
        [$asking, $waiting] = self::whoWaits($record->challenge);

        return match (true) {
            $asking !== null => new self(NextStep::AllowTablet, $asking),
            $waiting !== null => new self(NextStep::HelpGroup, $waiting),
            $record->challenge->safety_read_at === null => new self(NextStep::ReadSafety),
            $record->challenge->safety_unread !== [] => new self(NextStep::ReadNewCautions),
            $groups === 0 => new self(NextStep::AddGroups),
            // Once the tries are in, a car that nobody recorded keeps no class from its answer; where none is, there is none.
            $unrecorded > 0 && ($done < $all || $unrecorded === $groups) => new self(NextStep::RecordCars, count: $unrecorded, of: $groups),
            $done === 0 && $record->carsChecked() < $groups => new self(NextStep::CheckCars),
            $done < $all => new self(NextStep::RunTries, count: $all - $done, of: $all),
            $record->challenge->answer_told_at === null => new self(NextStep::SeeAnswer, count: $all, of: $all),
            default => new self(NextStep::PrintReport),
        };
    }

    /**
     * Whose tablet asks to join, and who waits for an adult, the longest waiting first.
     *
     * @return array{string|null, string|null} names of groups
     */
    private static function whoWaits(Challenge $challenge): array
    {
        $of = static fn(): Builder => Group::query()->where('groups.challenge_id', $challenge->id)->select('groups.name')->limit(1);
        $row = DB::query()
            ->selectSub(
                $of()->join('devices', 'devices.group_id', '=', 'groups.id')->where('devices.is_waiting', true)
                    ->whereNull('devices.revoked_at')->orderBy('devices.created_at'),
                'asking',
            )
            ->selectSub(
                $of()->join('group_places', 'group_places.group_id', '=', 'groups.id')->whereNotNull('wants_adult_at')
                    ->orderBy('wants_adult_at'),
                'waiting',
            )
            ->first();

        return [$row->asking ?? null, $row->waiting ?? null];
    }
}

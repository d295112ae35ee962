<?php

declare(strict_types=1);

namespace App\Pages\Report;

use App\Language\PathWords;
use App\Models\Challenge;
use App\Models\Group;
use App\Pages\Findings\FindingWords;
use App\Pages\Findings\PredictionsReading;
use App\Pages\Group\Notebook;
use App\Record\CarReading;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;

/** A notebook sheet for each group: what it chose, changed, ran and found, with room for what it writes. */
final readonly class NotebookSheets
{
    /**
     * @param Collection<int, Group> $groups
     * @param array<int, Notebook> $written
     * @param array<int, CarReading|null> $drawn
     */
    private function __construct(
        public Challenge $challenge,
        public ClassRecord $record,
        public Collection $groups,
        public PredictionsReading $predictions,
        public ClassFindings $findings,
        public FindingWords $words,
        public PathWords $path,
        public array $written,
        public array $drawn,
    ) {}

    /** @param int $asked id of the one group that is asked for; 0 for all */
    public static function of(ClassRecord $record, int $asked = 0): self
    {
        $challenge = $record->challenge;
        $plan = ClassPlan::of($challenge);
        $findings = ClassFindings::of($record);
        $groups = $record->groups->filter(static fn(Group $group): bool => $asked === 0 || $group->id === $asked)->values();
        (new EloquentCollection($groups->all()))->load('entries.picture');

        return new self(
            $challenge,
            $record,
            $groups,
            PredictionsReading::of($record),
            $findings,
            new FindingWords($record, $findings),
            new PathWords($challenge->age),
            $groups->mapWithKeys(static fn(Group $group): array => [$group->id => Notebook::written($group)])->all(),
            $groups->mapWithKeys(
                static fn(Group $group): array => [
                    $group->id => $group->currentCar() === null
                        ? null
                        : new CarReading($group->currentCar()->choices, $plan, $plan->forGroup($group)->kitCar()),
                ],
            )->all(),
        );
    }
}

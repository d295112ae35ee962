<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use App\Record\ClassPlan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Exchange\Problem;
use Skivo\Core\Exchange\RunRow;
use Skivo\Core\Exchange\RunTable;
use Skivo\Core\Exchange\SheetField;
use Skivo\Core\Exchange\SheetRow;
use Skivo\Core\Measurement\Remark;

/**
 * Takes a run table into a challenge: finds out what it would add and what stands against it, and
 * stores it all or not at all. Runs that are on record already are left alone, so a sheet may come in twice.
 */
final class ImportSheet
{
    public function __construct(private readonly AddGroups $addGroups) {}

    public function plan(Challenge $challenge, RunTable $sheet): ImportPlan
    {
        $problems = $sheet->problems;
        $groups = $this->recorded($challenge);
        $newGroups = $names = $runsByCar = $choicesByCar = [];
        $newCars = $completedCars = $alreadyThere = 0;
        foreach ($sheet->byCar() as $key => $versions) {
            $group = $groups->get($key);
            if ($group === null) {
                $newGroups[] = $versions[array_key_first($versions)][0];
            }
            $names[$key] = $versions[array_key_first($versions)][0]->group;
            ksort($versions);
            foreach ($versions as $version => $rows) {
                $car = $group?->cars->firstWhere('version', $version);
                $choices = RunTable::merge($rows);
                if ($car === null) {
                    $newCars++;
                } else {
                    array_push($problems, ...$this->contradictions($car, $choices, $rows[0]));
                    $completedCars += $car->choices->changesTo($car->choices->completedBy($choices)) === [] ? 0 : 1;
                }
                $runs = [];
                $onRecord = $car === null ? [] : array_values($car->runs->map($this->row(...))->all());
                foreach ($rows as $row) {
                    if ($row->run === null) {
                        continue;
                    }
                    $same = array_filter($onRecord, $row->run->equals(...));
                    if ($same !== []) {
                        unset($onRecord[array_key_first($same)]);
                        $alreadyThere++;
                    } elseif ($row->run->record->void === null && $row->run->record->isTry() && $this->tryIsTaken($car, $row->run->try)) {
                        $problems[] = new Problem(
                            $row->line,
                            SheetField::Try->value,
                            new Remark('sheet.problem.try_on_record', ['group' => $row->group, 'try' => $row->run->try]),
                        );
                    } else {
                        $runs[] = $row->run;
                    }
                }
                $choicesByCar[$key][$version] = $choices;
                $runsByCar[$key][$version] = $runs;
            }
        }
        if ($groups->count() + count($newGroups) > Limits::MOST_GROUPS) {
            $problems[] = new Problem(
                1,
                SheetField::Group->value,
                new Remark('sheet.problem.too_many_groups', ['most' => Limits::MOST_GROUPS]),
            );
        }
        usort($problems, static fn(Problem $a, Problem $b): int => $a->line <=> $b->line);

        return new ImportPlan($newGroups, $names, $newCars, $completedCars, $choicesByCar, $runsByCar, $alreadyThere, $problems);
    }

    /**
     * @return ImportPlan what was stored, or, where it has problems, what stood against it
     */
    public function store(Challenge $challenge, RunTable $sheet): ImportPlan
    {
        return DB::transaction(function () use ($challenge, $sheet): ImportPlan {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();
            // Nobody logs a run of any of its groups meanwhile: what is found free here is free when it is stored.
            $challenge->groups()->reorder('id')->lock(Lock::ROW)->get();
            $plan = $this->plan($challenge, $sheet);
            if ($plan->problems !== []) {
                return $plan;
            }
            ($this->addGroups)(
                $challenge,
                array_map(static fn(SheetRow $row): string => $row->group, $plan->newGroups),
                array_filter(array_column(array_map(static fn(SheetRow $row): array => [$row->group, $row->mark], $plan->newGroups), 1, 0)),
            );
            $groups = $this->recorded($challenge);
            $built = ClassPlan::of($challenge);
            $now = now();
            $runs = 0;
            foreach ($plan->choicesByCar as $key => $versions) {
                foreach ($versions as $version => $choices) {
                    $group = $groups->get($key) ?? throw new \LogicException('A group of the sheet was not made.');
                    $car = $group->cars->firstWhere('version', $version) ?? $group->cars()->make(['version' => $version]);
                    $car->choices = $built->asBuilt($car->exists ? $car->choices->completedBy($choices) : $choices, $group);
                    $car->save();
                    foreach ($plan->runsByCar[$key][$version] as $row) {
                        $run = new Run(['id' => (string) Str::uuid7(), 'try' => $row->try]);
                        $run->put($row->record);
                        // A millisecond apart, so that they keep the order of the sheet.
                        $run->logged_at = $now->addMilliseconds($runs++);
                        $car->runs()->save($run);
                    }
                }
            }

            return $plan;
        });
    }

    /** @return Collection<string, Group> */
    private function recorded(Challenge $challenge): Collection
    {
        return $challenge->groups()->with('cars.runs')->get()->toBase()->keyBy(
            static fn(Group $group): string => RunTable::groupKey($group->name),
        );
    }

    /** @return list<Problem> */
    private function contradictions(Car $car, Choices $choices, SheetRow $row): array
    {
        return array_map(
            static fn(CarAttribute $choice): Problem => new Problem(
                $row->line,
                $choice->facts()->column,
                new Remark('sheet.problem.differs_from_record', ['group' => $row->group, 'version' => $row->version]),
            ),
            $car->choices->contradictions($choices),
        );
    }

    private function row(Run $run): RunRow
    {
        return new RunRow($run->try, $run->record());
    }

    private function tryIsTaken(?Car $car, int $try): bool
    {
        return $car?->runs->contains(
            static fn(Run $run): bool => $run->try === $try && $run->void_reason === null && $run->record()->isTry(),
        ) ?? false;
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Models\Entry;
use App\Models\Group;
use App\Models\Prediction;
use App\Pages\Run\Floor;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Support\Collection;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\Notebook\GroupPath;
use Skivo\Core\Notebook\Station;

/** One group on its path: its car, what is ticked, checked, guessed and run, and what is next. */
final readonly class GroupsOwnPath
{
    public GroupPath $path;

    public Car $car;

    public ?Car $before;

    public Tries $tries;

    public ?CheckCard $card;

    /** Of its next try; null where it has not guessed. */
    public ?Prediction $guess;

    /** @var list<string> steps of its build that are ticked, by their values */
    public array $ticked;

    /** @var list<BuildTask> the steps that this version of the car takes: all of them, or those that its change does */
    public array $tasks;

    public BuildSteps $steps;

    /** Whether it has called an adult who has not come yet. */
    public bool $wantsAdult;

    /** @var Collection<int, Entry> what is in its notebook and was made on purpose, in the order of time */
    public Collection $entries;

    public function __construct(public ClassRecord $record, public Group $group, public ClassPlan $plan)
    {
        $newest = $group->currentCar();
        $this->car = $newest->choices ?? new Car();
        $this->before = $group->cars->slice(0, -1)->last()?->choices;
        $this->entries = $group->entries()->with('picture')->get()->toBase();
        $this->wantsAdult = $group->place()->first()?->wants_adult_at !== null;
        $this->tries = $record->tries($newest);
        $this->card = $record->card($group);
        $this->guess = $newest?->predictions()->where('try', $this->tries->next())->first();
        $this->steps = $plan->groupSteps($this->car);
        $this->tasks = $this->before === null ? $this->steps->tasks : $this->steps->ofChange($this->before->changesTo($this->car));
        $this->ticked = $this->ticks($newest?->id);
        $last = $this->lastRun();
        $this->path = new GroupPath(
            hasCar: !$this->car->isEmpty(),
            stepsLeft: count(
                array_filter(
                    $this->tasks,
                    fn(BuildTask $task): bool => !$task->step->waits() && !in_array($task->step->value, $this->ticked, true),
                ),
            ),
            isChecked: $newest !== null && $newest->checkReadings->isNotEmpty(),
            fixes: count($this->card?->with(CheckVerdict::Fix) ?? []),
            hasGuessed: $this->guess !== null,
            runs: $this->tries->made(),
            hasTriesLeft: $this->tries->made() < $record->challenge->tries,
            knowsWhy: $last === null
                || $this->entries->contains(
                    static fn(Entry $entry): bool => $entry->kind === EntryKind::Why && $entry->run_id === $last->id,
                ),
            closed: array_values(array_filter(array_map(Station::tryFrom(...), $record->challenge->closed_stations))),
        );
    }

    /** @return list<float> how far its tries went that count (m), in the order in which they ran */
    public function countedM(): array
    {
        return array_values(array_map(static fn(Run $run): float => $run->distanceM ?? 0.0, $this->tries->counted));
    }

    /** Whether a step calls for care that the educator has not read of yet. */
    public function isClosedForSafety(BuildTask $task): bool
    {
        return array_intersect(array_column($task->cautions(), 'value'), $this->record->challenge->safety_unread) !== [];
    }

    /** The newest run of the newest car that was no void try; null before there is one. */
    public function lastRun(): ?Run
    {
        $runs = [...$this->tries->counted, ...$this->tries->extra];
        usort($runs, static fn(Run $one, Run $other): int => $one->try <=> $other->try);

        return $runs === [] ? null : $runs[count($runs) - 1];
    }

    /** Of one more try of its car, as wide as what is known leaves it; null where too little is known. */
    public function forecast(): ?Forecast
    {
        return ClassFindings::of($this->record)->found->forecast->forecasts[$this->group->currentCar()->id ?? 0] ?? null;
    }

    /** How many cars run before its own: 0 while it stands at a lane; null while it is not in the queue. */
    public function carsBefore(Floor $floor): ?int
    {
        $coming = $floor->coming();
        $place = array_search($this->group->id, $coming, true);
        // Each car that runs before it once, however often it does.
        $others = array_unique(array_filter(array_slice($coming, 0, (int) $place), fn(int $id): bool => $id !== $this->group->id));

        return $place === false ? null : max(0, count($others) - ($this->record->challenge->lanes - 1));
    }

    /** What the group said of a try of its newest car. */
    public function guessOf(int $try): ?Prediction
    {
        return $this->group->currentCar()?->predictions()->where('try', $try)->first();
    }

    /** @return Collection<int, Entry> */
    public function wishes(): Collection
    {
        return $this->entries->filter(
            static fn(Entry $entry): bool => $entry->kind === EntryKind::Wish && $entry->hidden_at === null,
        )->values();
    }

    /** @return array<string, string> the last answer to each warm-up question, by its value */
    public function warmUps(): array
    {
        return $this->answers(EntryKind::WarmUp);
    }

    /** @return array<string, string> the last tap of the closing round, by the value of its question */
    public function closing(): array
    {
        return $this->answers(EntryKind::Closing);
    }

    /** @return array<string, string> */
    private function answers(EntryKind $kind): array
    {
        $answers = [];
        foreach ($this->entries as $entry) {
            if ($entry->kind === $kind) {
                $answers[$entry->text('question')] = $entry->text('answer');
            }
        }

        return $answers;
    }

    /** @return list<string> */
    private function ticks(?int $car): array
    {
        $ticks = [];
        foreach ($this->entries as $entry) {
            if (
                $entry->kind === EntryKind::Tick
                && ($entry->car_id === $car || $entry->car_id === null)
                && BuildStep::tryFrom($entry->text('step')) !== null
            ) {
                $ticks[$entry->text('step')] = ($entry->payload['done'] ?? false) === true;
            }
        }

        return array_keys(array_filter($ticks));
    }
}

<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Car as RecordedCar;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Car\Car;

/** What can hurt someone in a class, and what of it nobody has read yet. */
final readonly class ClassSafety
{
    public function __construct(private ClassPlan $plan) {}

    /**
     * What can hurt someone of what this class does: by the kit's car, and by every car that is on record.
     *
     * @return list<Caution>
     */
    public function cautions(): array
    {
        $plans = $this->plan->each();

        return Caution::for(
            [...array_map(static fn(ClassPlan $plan): BuildSteps => $plan->steps(), $plans), ...$this->stepsOfRecordedCars()],
            $this->plan->plan->latex_free,
            $this->plan->plan->by_mouth && array_filter($plans, static fn(ClassPlan $plan): bool => $plan->kit->source->blows()) !== [],
            array_filter($plans, static fn(ClassPlan $plan): bool => $plan->kit->isCollected()) !== [],
        );
    }

    /** @return list<BuildSteps> of every car of which something was recorded */
    private function stepsOfRecordedCars(): array
    {
        return once(fn(): array => !$this->plan->challenge->exists ? [] : array_values(array_map(
            $this->plan->stepsOfCar(...),
            array_filter(
                RecordedCar::query()->whereHas('group', fn($groups) => $groups->where('challenge_id', $this->plan->challenge->id))
                    ->get()
                    ->map(static fn(RecordedCar $car): Car => $car->choices)
                    ->all(),
                static fn(Car $car): bool => !$car->isEmpty(),
            ),
        )));
    }

    /**
     * Those that were not on the sheet when it was last read.
     *
     * @return list<Caution>
     */
    public function newCautions(): array
    {
        return $this->unread($this->cautions());
    }

    /**
     * What of it a car calls for.
     *
     * @return list<Caution>
     */
    public function newCautionsOf(Car $car): array
    {
        return $this->plan->challenge->safety_read === []
            ? []
            : $this->unread(Caution::for([$this->plan->stepsOfCar($car)], $this->plan->plan->latex_free));
    }

    /**
     * @param list<Caution> $cautions
     *
     * @return list<Caution>
     */
    private function unread(array $cautions): array
    {
        $challenge = $this->plan->challenge;

        return $challenge->safety_read_at === null || $challenge->safety_read === [] ? [] : array_values(array_filter(
            $cautions,
            static fn(Caution $caution): bool => !in_array($caution->value, $challenge->safety_read, true),
        ));
    }
}

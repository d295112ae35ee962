<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Build\BuildHand;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;

/**
 * How long a class builds: as long as one group's hands need, or as long as the adults need for all the steps that are theirs,
 * whichever is more; and what of the waiting for glue and paint nothing fills.
 */
final readonly class BuildTime
{
    /** Of one group's hands (min). */
    public float $handsMin;

    /** Of an adult's hands, for one car (min). */
    public float $adultMinEach;

    /** Until every car has had its adult (min). */
    public float $queueMin;

    /** While glue sets or paint dries and no step is left to do (min). */
    public float $idleMin;

    /** @throws \InvalidArgumentException where there is no car or no adult */
    public function __construct(private BuildSteps $steps, public int $cars, public int $adults)
    {
        if ($cars < 1 || $adults < 1) {
            throw new \InvalidArgumentException('There is at least one car, and one adult.');
        }
        $clock = $steps->clock();
        $this->handsMin = array_sum(
            array_map(static fn(BuildTask $task): float => $task->step->waits() ? 0.0 : $task->minutes, $steps->tasks),
        );
        $this->adultMinEach = $steps->adultMinutes();
        // Cars are seen one after the other by each adult: the last one when as many rounds are over as it takes.
        $this->queueMin = ceil($cars / $adults) * $this->adultMinEach;
        $this->idleMin = max(0.0, ...array_map(static fn(array $fromTo): float => $fromTo[1], array_values($clock))) - $this->handsMin;
    }

    /** How long the build takes (min), without the waiting that nothing fills. */
    public function buildMin(): float
    {
        return max($this->handsMin, $this->queueMin);
    }

    /** Whether groups wait for an adult rather than for their own hands. */
    public function isHeldUpByAdults(): bool
    {
        return $this->queueMin > $this->handsMin;
    }

    /** The fewest adults with whom nobody waits for one; no more than there are cars. */
    public function adultsEnough(): int
    {
        for ($adults = 1; $adults < $this->cars; $adults++) {
            if (ceil($this->cars / $adults) * $this->adultMinEach <= $this->handsMin) {
                return $adults;
            }
        }

        return $this->cars;
    }

    /**
     * What a group can do while it waits for an adult: its own steps before which no adult's step stands, but the points, which
     * are off at once.
     *
     * @return list<BuildTask>
     */
    public function withoutAdult(): array
    {
        $alone = [BuildStep::PointsOff];
        $tasks = [];
        foreach ($this->steps->tasks as $task) {
            $isAlone = array_filter($task->after, static fn(BuildStep $step): bool => !in_array($step, $alone, true)) === [];
            if ($isAlone && $task->hand === BuildHand::Child) {
                $alone[] = $task->step;
                if (!$task->step->waits()) {
                    $tasks[] = $task;
                }
            }
        }

        return $tasks;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Build\BuildTask;

/** What adults do before a class comes, so that its children need not: how many pieces for all cars, and how long it takes. */
final readonly class Preparation
{
    /** @var list<BuildTask> what hands do, of one car */
    public array $tasks;

    /**
     * @param list<BuildTask> $tasks of one car, with their waits
     *
     * @throws \InvalidArgumentException where there is no car or no helper
     */
    public function __construct(array $tasks, public int $cars, public int $helpers)
    {
        if ($cars < 1 || $helpers < 1) {
            throw new \InvalidArgumentException('There is at least one car, and one helper.');
        }
        $this->tasks = array_values(array_filter($tasks, static fn(BuildTask $task): bool => !$task->step->waits()));
    }

    public function isEmpty(): bool
    {
        return $this->tasks === [];
    }

    /** How many pieces of a step for all cars: 36 holes for nine cars with four wheels. */
    public function pieces(BuildTask $task): int
    {
        return $this->cars * ($task->step->pieces() ?? 1);
    }

    /** Minutes of a step for all cars, by one pair of hands. */
    public function minutesOf(BuildTask $task): float
    {
        return $this->cars * $task->minutes;
    }

    /** Minutes for everything, by one pair of hands. */
    public function minutes(): float
    {
        return array_sum(array_map($this->minutesOf(...), $this->tasks));
    }

    /** The same with all helpers at work, each car in the hands of one of them. */
    public function minutesTogether(): float
    {
        return ceil($this->cars / $this->helpers) * $this->minutes() / $this->cars;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Kit;

/**
 * How a car of certain parts is built: what depends on what, made from the parts, and one order of it in which nobody gets
 * into a trap. What waits is begun as early as it can be, and hands do the rest meanwhile (list scheduling by the longest way
 * to the end: Graham, SIAM J. Appl. Math. 17, 416, 1969).
 */
final readonly class BuildSteps
{
    /** @param list<BuildTask> $tasks in the order in which they are begun */
    private function __construct(public array $tasks) {}

    /** @param Layout $layout of the car: its own sizes where it has any, the kit's otherwise */
    public static function of(Kit $kit, Layout $layout, Making $making): self
    {
        $tasks = [
            ...ChassisTasks::of($kit, $layout, $making),
            ...AxleTasks::of($kit, $layout, $making),
            ...WheelTasks::of($kit, $layout, $making),
            ...($layout->source->blows() ? PowerTasks::of($kit, $layout, $making) : []),
            ...($layout->source->winds() ? BandTasks::of($layout, $making) : []),
        ];

        return new self(self::inOrder(self::known(self::decorated($tasks, $making->decoration, $making->colour))));
    }

    /**
     * The steps that a change takes, in their order: those of the parts that it changed, and what is looked at afterwards.
     *
     * @param list<CarAttribute> $changed
     *
     * @return list<BuildTask>
     */
    public function ofChange(array $changed): array
    {
        $parts = array_map(static fn(CarAttribute $each): ?Step => $each->step(), $changed);
        // Another chassis carries everything anew; another nozzle is joined to its balloon again.
        $again = array_filter(Step::cases(), static fn(Step $part): bool => in_array($part, $parts, true)
            || in_array(Step::Chassis, $parts, true) && $part === Step::Axles
            || in_array(Step::Axles, $parts, true) && $part === Step::Wheels
            || in_array(Step::Nozzle, $parts, true) && $part === Step::Power);

        return array_values(array_filter($this->tasks, static fn(BuildTask $task): bool => in_array($task->step->part(), $again, true)));
    }

    /**
     * What is left to a class where some steps are done beforehand; what only waits for one of those waits no more.
     *
     * @param list<BuildStep> $beforehand
     */
    public function without(array $beforehand): self
    {
        $done = array_column($this->beforehand($beforehand), 'step');

        return $done === [] ? $this : new self(self::inOrder(self::known(
            array_values(array_filter($this->tasks, static fn(BuildTask $task): bool => !in_array($task->step, $done, true))),
        )));
    }

    /**
     * Of this car, what is done beforehand, with its waits.
     *
     * @param list<BuildStep> $steps
     *
     * @return list<BuildTask>
     */
    public function beforehand(array $steps): array
    {
        $isOne = static fn(BuildTask $task): bool => in_array($task->step, $steps, true);

        return array_values(array_filter($this->tasks, static fn(BuildTask $task): bool => $isOne($task)
            || $task->step->waits() && array_filter($task->after, static fn(BuildStep $of): bool => in_array($of, $steps, true)) !== []));
    }

    public function task(BuildStep $step): ?BuildTask
    {
        foreach ($this->tasks as $task) {
            if ($task->step === $step) {
                return $task;
            }
        }

        return null;
    }

    /** Minutes of an adult's hands that one car takes. */
    public function adultMinutes(): float
    {
        return array_sum(array_map(static fn(BuildTask $task): float => $task->adultMinutes(), $this->tasks));
    }

    /**
     * When each step begins and ends for one pair of hands (min), waits beside the work.
     *
     * @return array<string, array{float, float}> by the value of the step
     */
    public function clock(): array
    {
        /** @var array<string, array{float, float}> $times */
        $times = [];
        $free = 0.0;
        foreach ($this->tasks as $task) {
            $ready = max([0.0, ...array_map(static fn(BuildStep $step): float => $times[$step->value][1], $task->after)]);
            $begin = $task->step->waits() ? $ready : max($ready, $free);
            $times[$task->step->value] = [$begin, $begin + $task->minutes];
            if (!$task->step->waits()) {
                $free = $begin + $task->minutes;
            }
        }

        return $times;
    }

    /** What there is to do while something waits, of the steps that are begun before it is over. */
    public function meanwhile(BuildTask $wait): ?BuildTask
    {
        $times = $this->clock();
        [$from, $to] = $times[$wait->step->value];
        foreach ($this->tasks as $task) {
            $begin = $times[$task->step->value][0];
            if (!$task->step->waits() && $begin >= $from && $begin < $to) {
                return $task;
            }
        }

        return null;
    }

    /**
     * @param list<BuildTask> $tasks
     *
     * @return list<BuildTask> with what decoration adds, where it is chosen
     */
    private static function decorated(array $tasks, Decoration $decoration, Sets $colour): array
    {
        if ($decoration === Decoration::None) {
            return $tasks;
        }
        // First: over bearings that are on, so that none lies on wet paint, and dry before the balloon goes on.
        $after = $decoration === Decoration::Last
            ? [BuildStep::Clearance, BuildStep::WindOnce, BuildStep::Roll]
            : [...AxleTasks::HELD, ...ChassisTasks::MADE];
        $tasks[] = new BuildTask(BuildStep::Decorate, $after, $colour->tool(), BuildHand::Child, how: $decoration->value);
        if ($colour->minutes() > 0.0) {
            $tasks[] = new BuildTask(BuildStep::PaintDries, [BuildStep::Decorate], null, BuildHand::Child, minutes: $colour->minutes());
        }

        $drives = [BuildStep::PowerOn, BuildStep::TubeOn, BuildStep::HookChain];

        return $decoration === Decoration::Last
            ? $tasks
            : array_map(static fn(BuildTask $task): BuildTask => in_array($task->step, $drives, true)
            ? $task->following([...$task->after, BuildStep::Decorate, BuildStep::PaintDries])
            : $task, $tasks);
    }

    /**
     * Without what this car does not have; and points off before anything else.
     *
     * @param list<BuildTask> $tasks
     *
     * @return array<string, BuildTask> by the value of their step
     */
    private static function known(array $tasks): array
    {
        $steps = array_map(static fn(BuildTask $task): BuildStep => $task->step, $tasks);
        $known = [];
        foreach ($tasks as $task) {
            $after = array_values(array_filter($task->after, static fn(BuildStep $step): bool => in_array($step, $steps, true)));
            if ($task->step !== BuildStep::PointsOff && in_array(BuildStep::PointsOff, $steps, true) && $after === []) {
                $after = [BuildStep::PointsOff];
            }
            $known[$task->step->value] = $task->following($after);
        }

        return $known;
    }

    /**
     * @param array<string, BuildTask> $tasks
     *
     * @return list<BuildTask>
     */
    private static function inOrder(array $tasks): array
    {
        // What leads to a wait is hurried, by its way to the end; all else comes as most people do it.
        $ways = [];
        foreach (array_keys($tasks) as $key) {
            $ways[$key] = self::leadsToAWait($key, $tasks) ? self::wayToTheEnd($key, $tasks) : 0.0;
        }
        $order = $done = [];
        $hands = 0.0;
        while (count($order) < count($tasks)) {
            $ready = array_filter($tasks, static fn(BuildTask $task, string $key): bool => !isset($done[$key])
                && array_filter(
                    $task->after,
                    static fn(BuildStep $step): bool => !isset($done[$step->value]),
                ) === [], ARRAY_FILTER_USE_BOTH);
            $begins = array_map(
                static fn(BuildTask $task): float => max(
                    [0.0, ...array_map(static fn(BuildStep $step): float => $done[$step->value], $task->after)],
                ),
                $ready,
            );
            // A wait begins when it can; of the rest, what can begin soonest, then what leads to a wait, then the usual order.
            $key = self::first(array_map(static fn(string $key): array => [
                $ready[$key]->step->waits() ? 0 : 1,
                $ready[$key]->step->waits() ? 0.0 : max($begins[$key], $hands),
                -$ways[$key],
                (int) array_search($ready[$key]->step, BuildStep::cases(), true),
                $key,
            ], array_keys($ready)));
            $begin = $ready[$key]->step->waits() ? $begins[$key] : max($begins[$key], $hands);
            $done[$key] = $begin + $ready[$key]->minutes;
            if (!$ready[$key]->step->waits()) {
                $hands = $done[$key];
            }
            $order[] = $ready[$key];
        }

        return $order;
    }

    /** @param list<array{int, float, float, int, string}> $ranked */
    private static function first(array $ranked): string
    {
        sort($ranked);

        return $ranked[0][4] ?? throw new \LogicException('What depends on what goes in a circle.');
    }

    /** @param array<string, BuildTask> $tasks */
    private static function leadsToAWait(string $key, array $tasks): bool
    {
        foreach ($tasks as $next => $task) {
            if (in_array($tasks[$key]->step, $task->after, true) && ($task->step->waits() || self::leadsToAWait($next, $tasks))) {
                return true;
            }
        }

        return false;
    }

    /**
     * Minutes from the beginning of a step to the end of the last one that depends on it.
     *
     * @param array<string, BuildTask> $tasks
     */
    private static function wayToTheEnd(string $key, array $tasks): float
    {
        $longest = 0.0;
        foreach ($tasks as $next => $task) {
            if (in_array($tasks[$key]->step, $task->after, true)) {
                $longest = max($longest, self::wayToTheEnd($next, $tasks));
            }
        }

        return $tasks[$key]->minutes + $longest;
    }
}

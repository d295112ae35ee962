<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;

/**
 * How a car of certain parts is built: what depends on what, made from the parts, and one order of it in which nobody gets
 * into a trap. What waits is begun as early as it can be, and hands do the rest meanwhile (list scheduling by the longest way
 * to the end: Graham, SIAM J. Appl. Math. 17, 416, 1969).
 */
final readonly class BuildSteps
{
    /** The nozzle goes so far into the balloon's neck (m). Common practice, no source. */
    private const INTO_THE_NECK_M = 0.025;

    /** @param list<BuildTask> $tasks in the order in which they are begun */
    private function __construct(public array $tasks) {}

    /**
     * @param Layout $layout of the car: its own sizes where it has any, the kit's otherwise
     * @param float $endPlayM that its axles are to have
     * @param float|null $nozzleM to which the nozzle is cut; null where it is not cut
     * @param Sets $bearings what they are held by
     * @param Sets $colour what the car is decorated with
     * @param bool $byMouth whether balloons are filled by mouth, each child's own
     */
    public static function of(
        Kit $kit,
        Layout $layout,
        float $endPlayM,
        ?float $nozzleM = null,
        Decoration $decoration = Decoration::None,
        Sets $bearings = Sets::Tape,
        Sets $colour = Sets::Paint,
        bool $byMouth = false,
    ): self {
        $tasks = [
            ...self::chassis($kit, $layout, $bearings),
            ...self::axles($kit, $layout, $endPlayM),
            ...($layout->source->blows() ? self::power($kit, $layout, $nozzleM, $byMouth ? BuildTool::Breath : BuildTool::Pump) : []),
            ...($layout->source->winds() ? self::band($layout) : []),
        ];

        return new self(self::inOrder(self::known(self::decorated($tasks, $decoration, $colour))));
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

    /** @return list<BuildTask> */
    private static function chassis(Kit $kit, Layout $layout, Sets $bearings): array
    {
        $form = $layout->body->form;
        $size = ['length' => $layout->body->length, 'width' => $layout->body->width];
        $axles = ['rear' => $layout->axles->rear, 'front' => $layout->frontAxle()];
        $made = match (true) {
            $form === ChassisForm::BrickFrame => new BuildTask(BuildStep::BuildFrame, [], null, BuildHand::Child, $size),
            $form === ChassisForm::FoldedPlate => new BuildTask(BuildStep::FoldChassis, [], null, BuildHand::Child, $size),
            // A stick, and whatever is collected, is taken as it is.
            $form === ChassisForm::Stick, $form->isPierced(), $kit->has(PartKind::Chassis, PartTrait::Collected) => null,
            // Wood is sawn, and not by a child.
            $form === ChassisForm::Block => new BuildTask(BuildStep::CutChassis, [], BuildTool::Saw, BuildHand::Adult, $size),
            default => new BuildTask(BuildStep::CutChassis, [], BuildTool::Scissors, BuildHand::AdultBeside, $size),
        };
        $tasks = $made === null ? [] : [$made];
        $ready = [BuildStep::CutChassis, BuildStep::FoldChassis];
        if ($form->carriesAxles()) {
            return $tasks;
        }
        $tasks[] = new BuildTask(BuildStep::MarkAxles, $ready, BuildTool::Pens, BuildHand::Child, $axles);
        $lengths = $layout->axles->frontBearing === $layout->axles->rearBearing
            ? ['bearing' => $layout->axles->frontBearing]
            : ['bearing' => $layout->axles->frontBearing, 'rear_bearing' => $layout->axles->rearBearing];
        $tasks[] = new BuildTask(BuildStep::CutBearings, [], BuildTool::Scissors, BuildHand::Child, $lengths);
        if ($form->isPierced()) {
            $tasks[] = new BuildTask(
                BuildStep::PierceChassis,
                [BuildStep::MarkAxles],
                BuildTool::Pin,
                BuildHand::Adult,
                ['bore' => $layout->axles->bearingBore],
            );
            $tasks[] = new BuildTask(
                BuildStep::BearingsThrough,
                [BuildStep::PierceChassis, BuildStep::CutBearings],
                null,
                BuildHand::Child,
            );

            return $tasks;
        }
        $glue = $bearings === Sets::HotGlue;
        $tasks[] = new BuildTask(
            BuildStep::BearingsOn,
            [BuildStep::MarkAxles, BuildStep::CutBearings],
            match ($bearings) {
                Sets::HotGlue => BuildTool::GlueGun,
                Sets::CraftGlue => BuildTool::Glue,
                default => BuildTool::Tape,
            },
            $glue ? BuildHand::Adult : BuildHand::Child,
        );
        if ($bearings->minutes() > 0.0) {
            $tasks[] = new BuildTask(
                BuildStep::BearingsSet,
                [BuildStep::BearingsOn],
                null,
                BuildHand::Child,
                minutes: $bearings->minutes(),
            );
        }

        return $tasks;
    }

    /** @return list<BuildTask> */
    private static function axles(Kit $kit, Layout $layout, float $endPlayM): array
    {
        $isOfKit = $layout->body->form->carriesAxles() && !$kit->usesSkewers();
        $lengths = $layout->axles->frontLength === $layout->axles->rearLength
            ? ['axle' => $layout->axles->frontLength]
            : ['axle' => $layout->axles->frontLength, 'rear_axle' => $layout->axles->rearLength];
        $tasks = [
            new BuildTask(BuildStep::FirstWheels, [BuildStep::CutAxles, BuildStep::PierceWheels], null, BuildHand::Child),
            // The second wheel only when the axle is through: it would not go through with both.
            new BuildTask(
                BuildStep::AxlesThrough,
                [BuildStep::FirstWheels, BuildStep::BearingsOn, BuildStep::BearingsThrough, BuildStep::BearingsSet, BuildStep::BuildFrame],
                null,
                BuildHand::Child,
            ),
            new BuildTask(BuildStep::SecondWheels, [BuildStep::AxlesThrough], null, BuildHand::Child, ['end_play' => $endPlayM]),
            new BuildTask(BuildStep::Roll, [BuildStep::SecondWheels], null, BuildHand::Child),
        ];
        if (!$isOfKit) {
            $tasks[] = new BuildTask(BuildStep::CutAxles, [BuildStep::PointsOff], BuildTool::Cutters, BuildHand::AdultBeside, $lengths);
        }
        if ($kit->usesSkewers()) {
            $tasks[] = new BuildTask(BuildStep::PointsOff, [], BuildTool::Cutters, BuildHand::Adult);
        }
        if ($kit->has(PartKind::Wheel, PartTrait::PiercedByHand)) {
            $tasks[] = new BuildTask(BuildStep::PierceWheels, [], BuildTool::Pin, BuildHand::Adult, ['wheel' => $layout->wheels->diameter]);
        }

        return $tasks;
    }

    /** @return list<BuildTask> */
    private static function power(Kit $kit, Layout $layout, ?float $nozzleM, BuildTool $fills): array
    {
        $glues = $kit->usesHotGlue();
        $tasks = [
            new BuildTask(BuildStep::StretchBalloon, [], $fills, BuildHand::Child),
            new BuildTask(
                BuildStep::JoinBalloon,
                [BuildStep::CutNozzle, BuildStep::StretchBalloon],
                $glues ? BuildTool::GlueGun : null,
                $glues ? BuildHand::Adult : BuildHand::Child,
                ['neck' => $layout->nozzle->neckDepth ?? self::INTO_THE_NECK_M],
            ),
            new BuildTask(BuildStep::Airtight, [BuildStep::JoinBalloon, BuildStep::JointSets], $fills, BuildHand::AdultBeside),
        ];
        if ($nozzleM !== null) {
            $tasks[] = new BuildTask(BuildStep::CutNozzle, [], BuildTool::Scissors, BuildHand::Child, ['nozzle' => $nozzleM]);
        }
        if ($glues) {
            $tasks[] = new BuildTask(BuildStep::JointSets, [BuildStep::JoinBalloon], null, BuildHand::Child);
        }
        $tasks[] = new BuildTask(BuildStep::PowerOn, [BuildStep::Roll, BuildStep::Airtight], BuildTool::Tape, BuildHand::Child);
        $tasks[] = new BuildTask(BuildStep::Clearance, [BuildStep::PowerOn], $fills, BuildHand::AdultBeside);

        return $tasks;
    }

    /** @return list<BuildTask> of a chain of bands, its hook and the rubber that its rims want */
    private static function band(Layout $layout): array
    {
        return [
            new BuildTask(BuildStep::RubberOnRims, [BuildStep::Roll], null, BuildHand::Child),
            new BuildTask(
                BuildStep::FitHook,
                [BuildStep::CutChassis, BuildStep::FoldChassis, BuildStep::BuildFrame],
                BuildTool::Pin,
                BuildHand::Adult,
                ['hook' => $layout->band->hookPlace],
            ),
            // As long as the way from the hook to the axle: longer it hangs, shorter it is tight before it is wound.
            new BuildTask(
                BuildStep::KnotChain,
                [],
                null,
                BuildHand::Child,
                ['chain' => $layout->band->chainLength ?? $layout->installedLength()],
            ),
            new BuildTask(
                BuildStep::HookChain,
                [BuildStep::FitHook, BuildStep::KnotChain, BuildStep::Roll, BuildStep::RubberOnRims],
                null,
                BuildHand::Child,
            ),
            new BuildTask(BuildStep::WindOnce, [BuildStep::HookChain], null, BuildHand::AdultBeside),
        ];
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
            : [BuildStep::BearingsOn, BuildStep::BearingsThrough, BuildStep::BearingsSet, BuildStep::BuildFrame];
        $tasks[] = new BuildTask(
            BuildStep::Decorate,
            $after,
            $colour === Sets::Paint ? BuildTool::Paint : BuildTool::Pens,
            BuildHand::Child,
        );
        if ($colour->minutes() > 0.0) {
            $tasks[] = new BuildTask(BuildStep::PaintDries, [BuildStep::Decorate], null, BuildHand::Child, minutes: $colour->minutes());
        }

        return $decoration === Decoration::Last
            ? $tasks
            : array_map(static fn(BuildTask $task): BuildTask => in_array($task->step, [BuildStep::PowerOn, BuildStep::HookChain], true)
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
        $ways = [];
        foreach (array_keys($tasks) as $key) {
            $ways[$key] = self::wayToTheEnd($key, $tasks);
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
            // A wait begins when it can; of the rest, what can begin soonest, and of that what has the longest way to go.
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

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What can hurt someone, and what is usually done about it. Common practice, no source, unless one is named. */
enum Caution: string
{
    case Cutting = 'cutting';
    case Knives = 'knives';
    case Points = 'points';
    case Glue = 'glue';
    case Discs = 'discs';
    case Kitchen = 'kitchen';
    case Choking = 'choking';
    case SmallParts = 'small_parts';
    case Latex = 'latex';
    case Mouths = 'mouths';
    case Eyes = 'eyes';
    case Jet = 'jet';
    case Bands = 'bands';
    case Lane = 'lane';
    case Gas = 'gas';

    /** Whether it holds for a whole build once it was said, rather than for the one thing that is being done. */
    public function isSaidOnce(): bool
    {
        return in_array($this, [self::Cutting, self::Discs, self::Kitchen, self::Choking, self::SmallParts, self::Latex, self::Gas], true);
    }

    /** @return list<self> of whatever is done with a tool */
    public static function ofTool(BuildTool $tool): array
    {
        return match ($tool) {
            BuildTool::Scissors => [self::Cutting],
            BuildTool::Cutters => [self::Cutting, self::Points],
            BuildTool::Knife, BuildTool::Saw => [self::Cutting, self::Knives],
            BuildTool::Pin => [self::Points],
            BuildTool::GlueGun => [self::Glue],
            BuildTool::Breath => [self::Mouths],
            default => [],
        };
    }

    /** @return list<self> of a step, whatever it is done with */
    public static function ofStep(BuildStep $step): array
    {
        return match ($step) {
            BuildStep::PointsOff, BuildStep::LastPointOff, BuildStep::SnapStick => [self::Points],
            BuildStep::StretchBalloon, BuildStep::Airtight => [self::Choking, self::Latex, self::Eyes, self::Jet],
            BuildStep::Clearance => [self::Choking, self::Eyes, self::Jet],
            BuildStep::CutLip, BuildStep::JoinBalloon => [self::Choking, self::Latex],
            BuildStep::KnotChain => [self::SmallParts, self::Latex],
            BuildStep::HookChain, BuildStep::WindOnce => [self::Bands],
            default => [],
        };
    }

    /**
     * Those of a class, in the order of the work: what the steps of its cars call for, and what holds wherever cars run.
     *
     * @param list<BuildSteps> $cars the steps of the kit's car, and of every car on record
     * @param bool $latexFree whether all balloons are free of latex
     * @param bool $byMouth whether balloons are filled by mouth at the lane
     * @param bool $collects whether something is brought from a kitchen
     *
     * @return list<self>
     */
    public static function for(array $cars, bool $latexFree, bool $byMouth = false, bool $collects = false): array
    {
        $called = [self::Lane];
        foreach ($cars as $steps) {
            foreach ($steps->tasks as $task) {
                $called = [...$called, ...$task->cautions(), ...($task->step === BuildStep::StretchBalloon ? [self::Gas] : [])];
            }
        }
        $called = [...$called, ...($byMouth ? [self::Mouths] : []), ...($collects ? [self::Kitchen] : [])];

        return array_values(array_filter(
            self::cases(),
            static fn(self $each): bool => in_array($each, $called, true) && ($each !== self::Latex || !$latexFree),
        ));
    }
}

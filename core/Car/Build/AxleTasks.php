<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;

/** Bearings and axles: axles that turn in their bearings, and axles that stand still while wheels spin on them. */
final readonly class AxleTasks
{
    /** What holds an axle, whichever it is. */
    public const HELD = [
        BuildStep::BearingsOn, BuildStep::BearingsThrough, BuildStep::BearingsSet, BuildStep::AxlesOn, BuildStep::BuildFrame,
    ];

    /** @return list<BuildTask> */
    public static function of(Kit $kit, Layout $layout, Making $making): array
    {
        $form = $layout->body->form;
        if ($form->carriesAxles()) {
            return $kit->usesSkewers() ? [...self::points($kit, $making), self::cut($kit, $layout)] : [];
        }
        $isThrough = $form->isPierced() && !$making->isStuckOutside;
        $tasks = [...self::points($kit, $making), self::cut($kit, $layout)];
        if ($isThrough) {
            $tasks[] = new BuildTask(
                BuildStep::PierceChassis,
                [BuildStep::MarkAxles],
                BuildTool::Pin,
                BuildHand::Adult,
                ['bore' => $making->wheels->spins() ? $layout->axles->diameter : $layout->axles->bearingBore],
            );
        }

        return [...$tasks, ...($making->wheels->spins() ? self::still($making, $isThrough) : self::turning($layout, $making, $isThrough))];
    }

    /** @return list<BuildTask> */
    private static function points(Kit $kit, Making $making): array
    {
        if (!$kit->usesSkewers()) {
            return [];
        }

        return $making->points === Points::First
            ? [new BuildTask(BuildStep::PointsOff, [], BuildTool::Cutters, BuildHand::Adult)]
            : [
                new BuildTask(BuildStep::PointsOff, [], BuildTool::Cutters, BuildHand::Adult, how: 'but_one'),
                new BuildTask(
                    BuildStep::LastPointOff,
                    [BuildStep::PierceWheels, BuildStep::PierceChassis, BuildStep::OpenBody, BuildStep::PointsOff],
                    BuildTool::Cutters,
                    BuildHand::Adult,
                ),
            ];
    }

    private static function cut(Kit $kit, Layout $layout): BuildTask
    {
        $lengths = $layout->axles->frontLength === $layout->axles->rearLength
            ? ['axle' => $layout->axles->frontLength]
            : ['axle' => $layout->axles->frontLength, 'rear_axle' => $layout->axles->rearLength];
        // A stirrer and a thin straw are cut with scissors, by whoever cuts straws.
        $isSoft = $kit->has(PartKind::Bearing, PartTrait::CutByScissors);

        return new BuildTask(
            BuildStep::CutAxles,
            [BuildStep::PointsOff],
            $isSoft ? BuildTool::Scissors : BuildTool::Cutters,
            $isSoft ? BuildHand::Child : BuildHand::AdultBeside,
            $lengths,
            how: isset($lengths['rear_axle']) ? 'two' : '',
        );
    }

    /** @return list<BuildTask> of straws in which the axles turn */
    private static function turning(Layout $layout, Making $making, bool $isThrough): array
    {
        $lengths = $layout->axles->frontBearing === $layout->axles->rearBearing
            ? ['bearing' => $layout->axles->frontBearing]
            : ['bearing' => $layout->axles->frontBearing, 'rear_bearing' => $layout->axles->rearBearing];
        $cut = new BuildTask(
            BuildStep::CutBearings,
            [],
            BuildTool::Scissors,
            BuildHand::Child,
            $lengths,
            how: isset($lengths['rear_bearing']) ? 'two' : '',
        );
        if ($isThrough) {
            return [$cut, new BuildTask(
                BuildStep::BearingsThrough,
                [BuildStep::PierceChassis, BuildStep::CutBearings, BuildStep::MarkAxles],
                null,
                BuildHand::Child,
            )];
        }
        $outside = $layout->body->form->isPierced();

        return [$cut, ...self::stuck(
            new BuildTask(
                BuildStep::BearingsOn,
                [BuildStep::MarkAxles, BuildStep::CutBearings],
                $making->bearings->tool(),
                $making->bearings === Sets::HotGlue ? BuildHand::Adult : BuildHand::Child,
                how: ($outside ? 'outside_' : '') . self::ending($making->bearings),
            ),
            BuildStep::BearingsSet,
            $making->bearings,
        )];
    }

    /** @return list<BuildTask> of axles that are fixed themselves, so that wheels spin on them */
    private static function still(Making $making, bool $isThrough): array
    {
        if ($isThrough) {
            return [new BuildTask(
                BuildStep::AxlesOn,
                [BuildStep::PierceChassis, BuildStep::CutAxles, BuildStep::MarkAxles],
                BuildTool::Tape,
                BuildHand::Child,
                how: 'through',
            )];
        }

        return self::stuck(
            new BuildTask(
                BuildStep::AxlesOn,
                [BuildStep::MarkAxles, BuildStep::CutAxles],
                $making->bearings->tool(),
                $making->bearings === Sets::HotGlue ? BuildHand::Adult : BuildHand::Child,
                how: self::ending($making->bearings),
            ),
            BuildStep::BearingsSet,
            $making->bearings,
        );
    }

    /** @return list<BuildTask> what is stuck on, and the wait for its glue where it has one */
    private static function stuck(BuildTask $task, BuildStep $wait, Sets $by): array
    {
        return $by->minutes() > 0.0
            ? [$task, new BuildTask($wait, [$task->step], null, BuildHand::Child, minutes: $by->minutes())]
            : [$task];
    }

    private static function ending(Sets $by): string
    {
        return match ($by) {
            Sets::HotGlue => 'hot', Sets::CraftGlue => 'glue', Sets::DoubleSidedTape => 'double', default => 'tape',
        };
    }
}

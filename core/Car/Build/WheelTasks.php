<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Attribute\WheelHold;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;

/** Wheels: their holes, what they are held by, and how they go on. */
final readonly class WheelTasks
{
    /** A hub of straw is so many times as long as its wheel is thick, and at least so long (m). Common practice, no source. */
    private const HUB_TIMES = 2.0;
    private const LEAST_HUB_M = 0.01;

    /** Four small elastics or lumps of putty, wound and pressed on one by one (min). Common practice, no source. */
    private const STOPS_MIN = 6.0;

    /** Wheels of which a wound band makes nothing but noise grip less than this. */
    private const GRIPS = 0.7;

    /** @return list<BuildTask> */
    public static function of(Kit $kit, Layout $layout, Making $making): array
    {
        $shatters = $kit->has(PartKind::Wheel, PartTrait::Shatters);

        return array_map(
            static fn(BuildTask $task): BuildTask => $shatters && $task->step->part() === Step::Wheels
                ? new BuildTask(
                    $task->step,
                    $task->after,
                    $task->tool,
                    $task->hand,
                    $task->lengthsM,
                    $task->minutes,
                    $task->how,
                    [Caution::Discs],
                )
                : $task,
            [
                ...self::holes($kit, $layout, $making),
                ...($making->wheels->spins() ? self::spinning($kit, $layout, $making) : self::fixed($making)),
                new BuildTask(
                    BuildStep::Roll,
                    [BuildStep::SecondWheels, BuildStep::WheelsOn, BuildStep::HoldWheels, BuildStep::WheelsSet],
                    null,
                    BuildHand::Child,
                ),
                ...self::tyres($kit, $layout, $making),
            ],
        );
    }

    /** @return list<BuildTask> */
    private static function holes(Kit $kit, Layout $layout, Making $making): array
    {
        $size = ['wheel' => $layout->wheels->diameter];
        if ($making->wheels->hold === WheelHold::GluedEnd && !$making->wheels->spins()) {
            return [];
        }
        if ($kit->has(PartKind::Wheel, PartTrait::WideHole)) {
            // A hole that no axle fills gets a piece of card, pierced in its very middle.
            return [
                new BuildTask(BuildStep::MiddlePieces, [], $making->glue()->tool(), self::hand($making->glue()), $size),
                new BuildTask(
                    BuildStep::MiddlesSet,
                    [BuildStep::MiddlePieces],
                    null,
                    BuildHand::Child,
                    minutes: $making->glue()->minutes(),
                ),
                new BuildTask(BuildStep::PierceWheels, [BuildStep::MiddlesSet], BuildTool::Pin, BuildHand::Adult, $size, how: 'middle'),
            ];
        }

        return $kit->has(PartKind::Wheel, PartTrait::PiercedByHand)
            ? [new BuildTask(BuildStep::PierceWheels, [], BuildTool::Pin, BuildHand::Adult, $size)]
            : [];
    }

    /** @return list<BuildTask> wheels that sit fast on an axle that turns */
    private static function fixed(Making $making): array
    {
        $by = $making->wheels->holdsBy();
        $glue = $making->glue();
        $isGluedOn = $by === WheelHold::GluedEnd;
        $tasks = [
            new BuildTask(
                BuildStep::FirstWheels,
                [BuildStep::CutAxles, BuildStep::PierceWheels],
                $isGluedOn ? $glue->tool() : null,
                $isGluedOn ? self::hand($glue) : BuildHand::Child,
                how: $isGluedOn ? 'glued' : '',
            ),
            // The second wheel only when the axle is through: it would not go through with both.
            new BuildTask(
                BuildStep::AxlesThrough,
                [BuildStep::FirstWheels, BuildStep::FirstWheelsSet, ...AxleTasks::HELD],
                null,
                BuildHand::Child,
            ),
            new BuildTask(
                BuildStep::SecondWheels,
                [BuildStep::AxlesThrough],
                $isGluedOn ? $glue->tool() : null,
                $isGluedOn ? self::hand($glue) : BuildHand::Child,
                ['end_play' => $making->wheels->endPlayM],
                how: $isGluedOn ? 'glued' : '',
            ),
        ];

        return [...$tasks, ...self::keptOn($by, $making)];
    }

    /** @return list<BuildTask> what keeps wheels on an axle that turns, and the waits for its glue */
    private static function keptOn(WheelHold $by, Making $making): array
    {
        $glue = $making->glue();
        $wait = static fn(BuildStep $step, BuildStep $of): BuildTask => new BuildTask(
            $step,
            [$of],
            null,
            BuildHand::Child,
            minutes: $glue->minutes(),
        );

        return match ($by) {
            WheelHold::TightHole => [],
            WheelHold::GluedEnd => [
                $wait(BuildStep::FirstWheelsSet, BuildStep::FirstWheels), $wait(BuildStep::WheelsSet, BuildStep::SecondWheels),
            ],
            WheelHold::Glue => [
                new BuildTask(
                    BuildStep::HoldWheels,
                    [BuildStep::SecondWheels],
                    $glue->tool(),
                    self::hand($glue),
                    how: $making->wheels->isLoose ? 'loose' : 'glue',
                ),
                $wait(BuildStep::WheelsSet, BuildStep::HoldWheels),
            ],
            WheelHold::Stops => [
                new BuildTask(
                    BuildStep::HoldWheels,
                    [BuildStep::SecondWheels],
                    BuildTool::Elastic,
                    BuildHand::Child,
                    minutes: self::STOPS_MIN,
                    how: 'stops',
                ),
            ],
        };
    }

    /** @return list<BuildTask> wheels that spin on an axle that stands still: their hubs, and what keeps them on */
    private static function spinning(Kit $kit, Layout $layout, Making $making): array
    {
        // A wheel that came with its own hub spins on that; any other gets one of straw.
        $isHubbed = $kit->has(PartKind::Wheel, PartTrait::PiercedByHand) || $kit->has(PartKind::Wheel, PartTrait::WideHole);
        $glues = $making->wheels->holdsBy() === WheelHold::Glue || $making->wheels->holdsBy() === WheelHold::GluedEnd;
        $hubs = $isHubbed
            ? [
                new BuildTask(
                    BuildStep::CutHubs,
                    [],
                    BuildTool::Scissors,
                    BuildHand::Child,
                    ['hub' => max(self::LEAST_HUB_M, self::HUB_TIMES * $layout->wheels->hubThickness)],
                ),
                new BuildTask(BuildStep::HubsIn, [BuildStep::CutHubs, BuildStep::PierceWheels], null, BuildHand::Child),
            ]
            : [];

        return [
            ...$hubs,
            new BuildTask(
                BuildStep::WheelsOn,
                [BuildStep::CutAxles, BuildStep::HubsIn, BuildStep::PierceWheels, ...AxleTasks::HELD],
                null,
                BuildHand::Child,
                how: $isHubbed ? '' : 'bought',
            ),
            new BuildTask(
                BuildStep::HoldWheels,
                [BuildStep::WheelsOn],
                $glues ? $making->glue()->tool() : BuildTool::Putty,
                $glues ? self::hand($making->glue()) : BuildHand::Child,
                ['end_play' => $making->wheels->endPlayM],
                how: $glues ? 'spin_glue' : 'spin',
            ),
            ...($glues
                ? [new BuildTask(
                    BuildStep::WheelsSet,
                    [BuildStep::HoldWheels],
                    null,
                    BuildHand::Child,
                    minutes: $making->glue()->minutes(),
                )]
                : []),
        ];
    }

    /** @return list<BuildTask> rubber on the rims: where it was chosen, and where a band would spin smooth wheels on the spot */
    private static function tyres(Kit $kit, Layout $layout, Making $making): array
    {
        $grip = $kit->part(PartKind::Wheel)->find(CarAttribute::Grip) ?? 0.0;
        $wants = $making->wheels->tyre !== Tyre::None || $layout->source->winds() && $grip < self::GRIPS;

        return $wants
            ? [new BuildTask(
                BuildStep::RubberOnRims,
                [BuildStep::Roll],
                $making->wheels->tyre === Tyre::BalloonStrip ? BuildTool::Scissors : null,
                BuildHand::Child,
                how: match (true) {
                    $making->wheels->tyre === Tyre::BalloonStrip => 'strip', $layout->source->winds() => '', default => 'all',
                },
            )]
            : [];
    }

    private static function hand(Sets $glue): BuildHand
    {
        return $glue === Sets::HotGlue ? BuildHand::Adult : BuildHand::Child;
    }
}

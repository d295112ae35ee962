<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\BalloonRest;
use Skivo\Core\Car\Attribute\FilledWhen;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;

/** Nozzle and balloon: how the tube is made, joined to the balloon, and put on the car. */
final readonly class PowerTasks
{
    /** The nozzle goes so far into the balloon's neck (m). Common practice, no source. */
    private const INTO_THE_NECK_M = 0.025;

    /** What has made the tube, whichever it is. */
    private const TUBE = [BuildStep::CutNozzle, BuildStep::Bundle, BuildStep::NestTubes];

    /** What must be there before anything goes on top. */
    private const READY = [BuildStep::Roll, BuildStep::OpenBody, BuildStep::TopPlate, BuildStep::Post];

    /** @return list<BuildTask> */
    public static function of(Kit $kit, Layout $layout, Making $making): array
    {
        $fills = $making->power->fills();
        $tasks = [
            new BuildTask(BuildStep::StretchBalloon, [BuildStep::CutLip], $fills, BuildHand::Child),
            ...($making->power->isLipCut ? [new BuildTask(BuildStep::CutLip, [], BuildTool::Scissors, BuildHand::Child)] : []),
            ...match ($making->power->rest) {
                BalloonRest::Chassis => [],
                BalloonRest::TopPlate => [new BuildTask(BuildStep::TopPlate, ChassisTasks::MADE, BuildTool::Scissors, BuildHand::Child, [
                    'length' => $layout->body->length / 2, 'width' => $layout->body->width,
                ])],
                BalloonRest::Post => [new BuildTask(BuildStep::Post, ChassisTasks::MADE, BuildTool::Tape, BuildHand::Child, [
                    'height' => max(0.02, $layout->nozzle->height === null ? 0.04 : $layout->nozzle->height - $layout->chassisTop()),
                ])],
            },
        ];
        // The neck itself blows, where it is held without a tube.
        if ($kit->has(PartKind::Nozzle, PartTrait::NoTube)) {
            return [
                ...$tasks,
                new BuildTask(
                    BuildStep::PowerOn,
                    [BuildStep::StretchBalloon, ...self::READY],
                    null,
                    BuildHand::Child,
                    how: $layout->body->form->carriesAxles() ? 'in_brick' : 'neck',
                ),
                new BuildTask(BuildStep::Clearance, [BuildStep::PowerOn], $fills, BuildHand::AdultBeside),
            ];
        }

        return [
            ...$tasks, ...self::tube($kit, $layout, $making), ...self::joined($kit, $layout, $making), ...self::placed($layout, $making),
        ];
    }

    /** @return list<BuildTask> */
    private static function tube(Kit $kit, Layout $layout, Making $making): array
    {
        $isBundle = $layout->nozzle->outlets > 1 || $kit->has(PartKind::Nozzle, PartTrait::Bundled);
        $keepsBend = $kit->has(PartKind::Nozzle, PartTrait::DrinkingStraw) && abs($layout->nozzle->angle) > 0.0;

        return [
            ...($making->power->nozzleM === null ? [] : [new BuildTask(
                BuildStep::CutNozzle,
                [],
                BuildTool::Scissors,
                BuildHand::Child,
                ['nozzle' => $making->power->nozzleM],
                how: match (true) {
                    $isBundle => 'bundle', $keepsBend => 'bend', default => '',
                },
            )]),
            ...($isBundle ? [new BuildTask(BuildStep::Bundle, [BuildStep::CutNozzle], BuildTool::Tape, BuildHand::Child)] : []),
            ...(count($layout->nozzle->bores) > 1
                ? [new BuildTask(BuildStep::NestTubes, [BuildStep::CutNozzle], BuildTool::Tape, BuildHand::Child)] : []),
        ];
    }

    /** @return list<BuildTask> */
    private static function joined(Kit $kit, Layout $layout, Making $making): array
    {
        $glues = $kit->usesHotGlue();
        $isTubeFirst = $making->power->order === MountOrder::TubeFirst;

        return [
            new BuildTask(
                BuildStep::JoinBalloon,
                [...self::TUBE, BuildStep::StretchBalloon, BuildStep::CutLip, ...($isTubeFirst ? [BuildStep::TubeOn] : [])],
                match (true) {
                    $glues => BuildTool::GlueGun,
                    Joint::tryFrom($kit->joint) === Joint::Tape => BuildTool::Tape,
                    default => null,
                },
                $glues ? BuildHand::Adult : BuildHand::Child,
                ['neck' => $layout->nozzle->neckDepth ?? self::INTO_THE_NECK_M],
                how: match (true) {
                    $glues => 'hot', Joint::tryFrom($kit->joint) === Joint::Tape => 'tape', default => '',
                },
            ),
            ...($glues ? [new BuildTask(BuildStep::JointSets, [BuildStep::JoinBalloon], null, BuildHand::Child)] : []),
            new BuildTask(
                BuildStep::Airtight,
                [BuildStep::JoinBalloon, BuildStep::JointSets],
                $making->power->fills(),
                BuildHand::AdultBeside,
            ),
        ];
    }

    /** @return list<BuildTask> */
    private static function placed(Layout $layout, Making $making): array
    {
        $isFilled = $making->power->filled === FilledWhen::BeforeItGoesOn;
        $through = $layout->body->form->isPierced() ? 'through' : '';
        if ($making->power->order === MountOrder::TubeFirst) {
            return [
                new BuildTask(BuildStep::TubeOn, [...self::READY, ...self::TUBE], BuildTool::Tape, BuildHand::Child, how: $through),
                new BuildTask(BuildStep::Clearance, [BuildStep::Airtight], $making->power->fills(), BuildHand::AdultBeside),
            ];
        }

        return [
            new BuildTask(
                BuildStep::PowerOn,
                [...self::READY, BuildStep::Airtight],
                $isFilled ? BuildTool::Peg : BuildTool::Tape,
                $isFilled ? BuildHand::AdultBeside : BuildHand::Child,
                how: $isFilled ? 'filled' : $through,
            ),
            new BuildTask(
                BuildStep::Clearance,
                [BuildStep::PowerOn],
                $isFilled ? null : $making->power->fills(),
                BuildHand::AdultBeside,
                how: $isFilled ? 'filled' : '',
            ),
        ];
    }
}

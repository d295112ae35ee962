<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Reinforcement;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;

/** How a body is made, and where the axles go on it. */
final readonly class ChassisTasks
{
    /** What has made the body, whichever it is. */
    public const MADE = [
        BuildStep::LabelOff, BuildStep::BuildFrame, BuildStep::CutChassis, BuildStep::SnapStick, BuildStep::FoldChassis,
        BuildStep::Reinforce, BuildStep::BodyDries,
    ];

    /** A stick is snapped where it is to be shorter than it comes by this (m). Common practice, no source. */
    private const SHORTER_M = 0.01;

    /** @return list<BuildTask> */
    public static function of(Kit $kit, Layout $layout, Making $making): array
    {
        $form = $layout->body->form;

        return [
            ...self::body($kit, $layout),
            ...($form->isPierced() && $layout->source->blows() ? [self::opened($layout)] : []),
            ...self::reinforced($making),
            ...($form->carriesAxles() ? [] : [new BuildTask(
                BuildStep::MarkAxles,
                self::MADE,
                BuildTool::Pens,
                BuildHand::Child,
                ['rear' => $layout->axles->rear, 'front' => $layout->frontAxle()],
            )]),
        ];
    }

    /** @return list<BuildTask> */
    private static function body(Kit $kit, Layout $layout): array
    {
        $form = $layout->body->form;
        $size = ['length' => $layout->body->length, 'width' => $layout->body->width];
        $has = static fn(PartTrait $trait): bool => $kit->has(PartKind::Chassis, $trait);
        $tasks = $form === ChassisForm::Bottle ? [new BuildTask(BuildStep::LabelOff, [], null, BuildHand::Child)] : [];
        $asItComes = $kit->part(PartKind::Chassis)->value(CarAttribute::ChassisLength);
        $made = match (true) {
            $form === ChassisForm::BrickFrame => new BuildTask(BuildStep::BuildFrame, [], null, BuildHand::Child, $size),
            $form === ChassisForm::FoldedPlate => new BuildTask(BuildStep::FoldChassis, [], BuildTool::Tape, BuildHand::Child, $size),
            $form === ChassisForm::Stick => $layout->body->length < $asItComes - self::SHORTER_M
                ? new BuildTask(BuildStep::SnapStick, [], BuildTool::Scissors, BuildHand::AdultBeside, $size)
                : null,
            // A bottle and a cup are as they are; so is what comes in its size.
            $form->isPierced(), $has(PartTrait::ReadyCut) => null,
            // Wood is sawn and foam is cut with a knife, and not by a child.
            $has(PartTrait::Sawn) => new BuildTask(BuildStep::CutChassis, [], BuildTool::Saw, BuildHand::Adult, $size, how: 'saw'),
            $has(PartTrait::CutByKnife) => new BuildTask(
                BuildStep::CutChassis,
                [],
                BuildTool::Knife,
                BuildHand::Adult,
                $size,
                how: 'knife',
            ),
            default => new BuildTask(BuildStep::CutChassis, [], BuildTool::Scissors, BuildHand::AdultBeside, $size),
        };

        return $made === null ? $tasks : [...$tasks, $made];
    }

    /** The openings of a hollow body for the tube, and for the neck: plastic is pinched, snipped, and cut on from there. */
    private static function opened(Layout $layout): BuildTask
    {
        $isBottle = $layout->body->form === ChassisForm::Bottle;

        return new BuildTask(
            BuildStep::OpenBody,
            self::MADE,
            $isBottle ? BuildTool::Scissors : BuildTool::Pin,
            BuildHand::Adult,
            ['bore' => $layout->nozzle->bores[0] ?? $layout->axles->bearingBore],
            how: $isBottle ? '' : 'cup',
        );
    }

    /** @return list<BuildTask> */
    private static function reinforced(Making $making): array
    {
        $made = array_values(array_diff(array_column(self::MADE, 'value'), [BuildStep::Reinforce->value, BuildStep::BodyDries->value]));
        $after = array_map(BuildStep::from(...), $made);

        return match ($making->reinforcement) {
            Reinforcement::None => [],
            Reinforcement::Tape => [new BuildTask(BuildStep::Reinforce, $after, BuildTool::Tape, BuildHand::Child)],
            Reinforcement::Glue => [
                new BuildTask(BuildStep::Reinforce, $after, BuildTool::Glue, BuildHand::Child, how: 'glue'),
                new BuildTask(BuildStep::BodyDries, [BuildStep::Reinforce], null, BuildHand::Child),
            ],
        };
    }
}

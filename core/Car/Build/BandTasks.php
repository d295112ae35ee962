<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\BandAnchor;
use Skivo\Core\Car\Attribute\WoundBy;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Physics\BandEnd;

/** A chain of bands: what holds its still end, and how it is wound. */
final readonly class BandTasks
{
    /** @return list<BuildTask> */
    public static function of(Layout $layout, Making $making): array
    {
        $place = ['hook' => $layout->band->hookPlace];

        return [
            $making->band->anchor === BandAnchor::Slot
                ? new BuildTask(BuildStep::CutSlot, ChassisTasks::MADE, BuildTool::Scissors, BuildHand::AdultBeside)
                : new BuildTask(BuildStep::FitHook, ChassisTasks::MADE, BuildTool::Pin, BuildHand::Adult, $place),
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
                [BuildStep::FitHook, BuildStep::CutSlot, BuildStep::KnotChain, BuildStep::Roll, BuildStep::RubberOnRims],
                null,
                BuildHand::Child,
                how: $making->band->end === BandEnd::Tied ? 'tied' : '',
            ),
            new BuildTask(
                BuildStep::WindOnce,
                [BuildStep::HookChain],
                null,
                BuildHand::AdultBeside,
                how: $making->band->wound === WoundBy::RollingBack ? 'rolling' : '',
            ),
        ];
    }
}

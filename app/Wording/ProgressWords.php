<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Car\CheckCard;
use Skivo\Core\Car\CheckItem;
use Skivo\Core\Car\CheckVerdict;
use Skivo\Core\Car\Step;

/** What a group has to do next, in words. */
final readonly class ProgressWords
{
    /** @param list<Step> $missing steps of the build of which nothing is recorded */
    public static function next(array $missing, ?CheckCard $card, bool $hasRun): string
    {
        $labels = static fn(array $items): string => Lists::and(array_map(static fn(CheckItem $item): string => mb_strtolower($item->label()), array_values($items)), 3);
        $fixes = $card?->with(CheckVerdict::Fix) ?? [];

        return match (true) {
            $hasRun => 'All tries are in',
            count($missing) === count(Step::ofCar()) => 'Record the car',
            $fixes !== [] => "Needs fixing: {$labels($fixes)}",
            $card?->isReady() === true => 'Ready to run',
            $card === null || $card->done() === 0 => $missing === [] ? 'Check the car' : 'Not recorded: ' . Lists::and(array_map(static fn(Step $step): string => mb_strtolower($step->label()), $missing), 3),
            default => "To check: {$labels($card->with(null))}",
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Language\Label;
use App\Language\Lists;
use App\Language\Text;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;

/** What a group has to do next, in words. */
final readonly class ProgressWords
{
    /** @param list<Step> $missing steps of the build of which nothing is recorded */
    public static function next(array $missing, ?CheckCard $card, bool $hasRun): string
    {
        $labels = static fn(array $items): string => Lists::and(
            array_map(static fn(CheckItem $item): string => Label::inside($item), array_values($items)),
            3,
        );
        $fixes = $card?->with(CheckVerdict::Fix) ?? [];

        return match (true) {
            $hasRun && $fixes === [] => Text::of('check.progress_words.looked_at', [
                'done' => $card?->done() ?? 0, 'items' => count($card?->counted() ?? (new CheckCard([]))->counted()),
            ]),
            count($missing) === count(Step::ofCar()) => Text::of('check.progress_words.record_the_car'),
            $fixes !== [] => Text::of('check.progress_words.needs_fixing', ['fixes' => $labels($fixes)]),
            $card?->isReady() === true => Text::of('check.progress_words.ready_to_run'),
            $card === null || $card->done() === 0 => $missing === []
                ? Text::of('check.progress_words.check_the_car')
                : Text::of(
                    'check.progress_words.not_recorded',
                    ['missing' => Lists::and(array_map(static fn(Step $step): string => Label::inside($step), $missing), 3)],
                ),
            default => Text::of('check.progress_words.to_check', ['with' => $labels($card->with(null))]),
        };
    }
}

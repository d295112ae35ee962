<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Language\Figure;
use App\Language\Lists;
use App\Language\Text;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Car\Check\Tolerances;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** Checks in words. */
final readonly class CheckWords
{
    public function __construct(private UnitSystem $units, private Tolerances $tolerances) {}

    /** As in "Good from 1 mm to 2 mm; mend it below 0.3 mm or above 4 mm." */
    public function limit(CheckItem $item): string
    {
        $tolerance = $this->tolerances->of($item);
        if ($tolerance === null) {
            return Text::of('check.check_words.if_not_mend_it');
        }
        $show = fn(float $value): string => $this->show($value, $item);
        $good = match (true) {
            $tolerance->goodFrom !== null && $tolerance->goodTo !== null => Text::of(
                'check.check_words.from_to',
                ['good_from' => $show($tolerance->goodFrom), 'good_to' => $show($tolerance->goodTo)],
            ),
            $tolerance->goodFrom !== null => Text::of('check.check_words.from', ['good_from' => $show($tolerance->goodFrom)]),
            default => Text::of('check.check_words.up_to', ['good_to' => $show($tolerance->goodTo ?? 0.0)]),
        };
        $fix = array_filter([
            $tolerance->fixBelow === null ? null : Text::of('check.check_words.below', ['fix_below' => $show($tolerance->fixBelow)]),
            $tolerance->fixAbove === null ? null : Text::of('check.check_words.above', ['fix_above' => $show($tolerance->fixAbove)]),
        ]);

        return Text::of(
            'check.check_words.good',
            [
                'good' => $good,
                'cure' => $fix === [] ? '.' : Text::of('check.check_words.mend_it', ['fix' => Lists::or(array_values($fix))]),
            ],
        );
    }

    public function verdict(CheckVerdict $verdict): string
    {
        return Text::of(match ($verdict) {
            CheckVerdict::Pass => 'check.card.pass',
            CheckVerdict::Note => 'check.card.note_2',
            CheckVerdict::Fix => 'check.card.fix',
        });
    }

    /** What was found, where it is not what was typed: an angle, a drift for the distance. */
    public function value(CheckCard $card, CheckItem $item): string
    {
        $value = $card->value($item);

        return $value === null || !in_array($item, [CheckItem::Parallel, CheckItem::Drift], true) ? '' : $this->show($value, $item);
    }

    /** A limit as it is typed into its field; nothing where there is none. */
    public function typed(CheckItem $item, ?float $limit): string
    {
        return $limit === null ? '' : str_replace("\u{00A0}", ' ', match ($item) {
            CheckItem::Parallel => Figure::of(round($limit, 3)),
            CheckItem::Drift => Figure::of(round($this->units->fromSi($limit, Scale::Slope), 2)),
            default => $this->units->show($limit, $item->scale() ?? Scale::Count),
        });
    }

    private function show(float $value, CheckItem $item): string
    {
        $scale = $item->judgedScale() ?? Scale::Count;

        return match ($scale) {
            Scale::Angle => number_format($value, 2) . '°',
            Scale::Stopwatch => rtrim(rtrim(number_format($value, 2), '0'), '.') . "\u{00A0}s",
            default => $this->units->show($value, $scale),
        };
    }
}

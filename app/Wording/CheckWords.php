<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Car\CheckCard;
use Skivo\Core\Car\CheckItem;
use Skivo\Core\Car\Tolerances;
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
            return 'If not, mend it.';
        }
        $show = fn(float $value): string => $this->show($value, $item);
        $good = match (true) {
            $tolerance->goodFrom !== null && $tolerance->goodTo !== null => "from {$show($tolerance->goodFrom)} to {$show($tolerance->goodTo)}",
            $tolerance->goodFrom !== null => "from {$show($tolerance->goodFrom)}",
            default => 'up to ' . $show($tolerance->goodTo ?? 0.0),
        };
        $fix = array_filter([
            $tolerance->fixBelow === null ? null : "below {$show($tolerance->fixBelow)}",
            $tolerance->fixAbove === null ? null : "above {$show($tolerance->fixAbove)}",
        ]);

        return "Good {$good}" . ($fix === [] ? '.' : '; mend it ' . implode(' or ', $fix) . '.');
    }

    /** What was found, where it is not what was typed: an angle, a drift for the distance. */
    public function value(CheckCard $card, CheckItem $item): string
    {
        $value = $card->value($item);

        return $value === null || !in_array($item, [CheckItem::Parallel, CheckItem::Drift], true) ? '' : $this->show($value, $item);
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

<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Run;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\UnitSystem;

/** A run in a few words. */
final readonly class RunWords
{
    /** As in "Cleat, try 3, 318 cm". Needs car.group loaded. */
    public static function summary(Run $run, UnitSystem $units): string
    {
        $parts = [$run->car->group->name, "try {$run->try}"];
        if ($run->distance !== null) {
            $parts[] = $units->show($run->distance->quantity->si(), Scale::Distance);
        }
        if ($run->time !== null) {
            $parts[] = $units->show($run->time->quantity->si(), Scale::Stopwatch);
        }
        if ($run->drift !== null) {
            $parts[] = self::drift($run, $units);
        }
        if ($run->load !== null) {
            $parts[] = 'carrying ' . $units->show($run->load->quantity->si(), Scale::Weight);
        }
        if ($run->void_reason !== null) {
            $parts[] = "void: {$run->void_reason->value}";
        }

        return implode(', ', $parts);
    }

    /** As in "30 cm left"; empty where it was not measured. */
    public static function drift(Run $run, UnitSystem $units): string
    {
        return $run->drift === null ? '' : trim($units->show($run->drift->quantity->si(), Scale::Distance) . ' ' . $run->drift_side?->value);
    }

    /**
     * What differs between two records of a run, as in "distance 318 cm → 381 cm".
     *
     * @param array<string, string|int|null> $before
     * @param array<string, string|int|null> $after
     *
     * @return list<string>
     */
    public static function differences(array $before, array $after): array
    {
        $said = [];
        foreach (['group', 'version', 'try', 'distance', 'time', 'total time', 'limp mark', 'drift', 'load', 'balloon', 'lane', 'void', 'note'] as $field) {
            $old = $before[$field] ?? null;
            $value = $after[$field] ?? null;
            if ($old !== $value) {
                $said[] = "{$field} " . ($old ?? 'none') . ' → ' . ($value ?? 'none');
            }
        }

        return $said;
    }
}

<?php

declare(strict_types=1);

namespace App\Wording;

use App\Models\Act;
use App\Models\Run;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

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

    /** The question whether two people typed one run. */
    public static function twin(Act $twin, UnitSystem $units): string
    {
        $run = $twin->run ?? throw new \LogicException('A logged act has its run.');
        $what = $run->distance === null ? "void: {$run->void_reason?->value}" : $units->show($run->distance->quantity->si(), Scale::Distance);

        return ucfirst($twin->by()) . " logged {$what} for this car a moment ago. Is this the same run?";
    }

    /**
     * What is on record of a run, as in "distance 318 cm".
     *
     * @param array<string, string|int|float|bool|null> $held as Run::onRecord() has it
     *
     * @return list<string>
     */
    public static function onRecord(array $held): array
    {
        return self::differences([], $held, static fn(string $field, ?string $old, ?string $value): string => "{$field} {$value}");
    }

    /**
     * What differs between two records of a run, as in "distance 318 cm → 381 cm".
     *
     * @param array<string, string|int|float|bool|null> $before
     * @param array<string, string|int|float|bool|null> $after
     * @param (\Closure(string, ?string, ?string): string)|null $say
     *
     * @return list<string>
     */
    public static function differences(array $before, array $after, ?\Closure $say = null): array
    {
        $say ??= static fn(string $field, ?string $old, ?string $value): string => "{$field} " . ($old ?? 'none') . ' → ' . ($value ?? 'none');
        $said = [];
        [$before, $after] = [self::byField($before), self::byField($after)];
        foreach (['group', 'try', 'distance', 'time', 'whole run', 'limp mark', 'off the line', 'load', 'balloon', 'lane', 'void', 'note'] as $field) {
            $old = $before[$field] ?? null;
            $value = $after[$field] ?? null;
            if ($old !== $value) {
                $said[] = $say($field, $old, $value);
            }
        }

        return $said;
    }

    /**
     * @param array<string, string|int|float|bool|null> $held
     *
     * @return array<string, string|null> as typed
     */
    private static function byField(array $held): array
    {
        $text = static fn(string $column): ?string => isset($held[$column]) ? (string) $held[$column] : null;
        $together = static fn(?string ...$parts): ?string => ($said = trim(implode(' ', array_filter($parts, static fn(?string $part): bool => $part !== null)))) === '' ? null : $said;
        // Older records hold what was typed by the name of the field.
        $old = ['group' => $text('group'), 'distance' => $text('distance'), 'time' => $text('time'), 'whole run' => $text('total time'), 'limp mark' => $text('limp mark'),
            'off the line' => $text('drift'), 'load' => $text('load'), 'balloon' => $text('balloon'), 'void' => $text('void')];

        return ['try' => $text('try'), 'lane' => $text('lane'), 'note' => $text('note')] + (isset($held['car_id']) ? [
            'distance' => $text('distance_entered'),
            'time' => $text('time_entered'),
            'whole run' => $text('total_time_entered'),
            'limp mark' => $text('limp_entered'),
            'off the line' => $together($text('drift_entered'), $text('drift_side')),
            'load' => $text('load_entered'),
            'balloon' => $together($text('inflation_kind'), $text('inflation_size_entered'), $text('inflation_strokes')),
            'void' => $text('void_reason'),
        ] : $old);
    }
}

<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Act;
use App\Models\Run;
use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\UnitSystem;

/** A run in a few words. */
final readonly class RunWords
{
    /** As in "Cleat, try 3, 318 cm". Needs car.group loaded. */
    public static function summary(Run $run, UnitSystem $units): string
    {
        $parts = [$run->car->group->name, self::number($run)];
        if ($run->distance !== null) {
            $distance = $units->show($run->distance->quantity->si(), Scale::Distance);
            $parts[] = $run->past_end
                ? Text::of($run->hit_wall ? 'run.run_words.the_far_wall_at' : 'run.run_words.past_the_end_at', ['distance' => $distance])
                : $distance;
        }
        if ($run->time !== null) {
            $parts[] = $units->show($run->time->quantity->si(), Scale::Stopwatch);
        }
        if ($run->drift !== null) {
            $parts[] = self::drift($run, $units);
        }
        if ($run->load !== null) {
            $parts[] = Text::of('run.run_words.carrying', ['si' => $units->show($run->load->quantity->si(), Scale::Weight)]);
        }
        if ($run->surface !== null) {
            $parts[] = Text::of('run.run_words.on', ['surface' => $run->surface]);
        }
        if ($run->ramp !== null) {
            $parts[] = Text::of('run.run_words.from_a_ramp', ['height' => $units->show($run->ramp->quantity->si(), Scale::Distance)]);
        }
        if ($run->void_reason !== null) {
            $parts[] = Text::of('run.run_words.void', ['void_reason' => Label::of($run->void_reason)]);
        }

        return implode(', ', $parts);
    }

    /** As in "try 3", or "practice 1". */
    public static function number(Run $run): string
    {
        return Text::of(match ($run->kind) {
            RunKind::Try => 'run.run_words.try', RunKind::Practice => 'run.run_words.practice', RunKind::Heat => 'run.run_words.heat',
            RunKind::Timed => 'run.run_words.timed',
        }, ['try' => $run->try]);
    }

    /** As in "30 cm left"; empty where it was not measured. */
    public static function drift(Run $run, UnitSystem $units): string
    {
        return $run->drift === null
            ? ''
            : trim(
                $units->show($run->drift->quantity->si(), Scale::Distance) . ' ' . (
                    $run->drift_side === null ? '' : Label::of($run->drift_side)
                ),
            );
    }

    /** The question whether two people typed one run. */
    public static function twin(Act $twin, UnitSystem $units): string
    {
        $run = $twin->run ?? throw new \LogicException('A logged act has its run.');
        $what = $run->distance === null
            ? Text::of('run.run_words.void', ['void_reason' => $run->void_reason === null ? '' : Label::of($run->void_reason)])
            : $units->show($run->distance->quantity->si(), Scale::Distance);

        return Text::of('run.run_words.logged_for_this_car_a_moment', ['by' => ucfirst($twin->by()), 'what' => $what]);
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
        $said = [];
        foreach (array_filter(self::byField($held), static fn(?string $value): bool => $value !== null) as $field => $value) {
            $said[] = Text::of('run.on_record', ['field' => Text::of("run.field.{$field}"), 'value' => $value]);
        }

        return $said;
    }

    /**
     * What differs between two records of a run, as in "distance 318 cm → 381 cm".
     *
     * @param array<string, string|int|float|bool|null> $before
     * @param array<string, string|int|float|bool|null> $after
     *
     * @return list<string>
     */
    public static function differences(array $before, array $after): array
    {
        $said = [];
        [$before, $after] = [self::byField($before), self::byField($after)];
        foreach ($after as $field => $value) {
            if ($before[$field] !== $value) {
                $said[] = Text::of('run.differs', [
                    'field' => Text::of("run.field.{$field}"),
                    'old' => $before[$field] ?? Text::of('run.no_value'),
                    'new' => $value ?? Text::of('run.no_value'),
                ]);
            }
        }

        return $said;
    }

    /**
     * @param array<string, string|int|float|bool|null> $held
     *
     * @return array<string, string|null> as typed, by the field
     */
    private static function byField(array $held): array
    {
        $text = static fn(string $column): ?string => isset($held[$column]) ? (string) $held[$column] : null;
        $together = static fn(?string ...$parts): ?string => (
            $said = trim(implode(' ', array_filter($parts, static fn(?string $part): bool => $part !== null)))
        ) === '' ? null : $said;
        $isNew = isset($held['car_id']);
        $side = Side::tryFrom($text('drift_side') ?? '');
        $void = VoidReason::tryFrom($text($isNew ? 'void_reason' : 'void') ?? '');

        // Older records hold what was typed by the name that the field had.
        return [
            'group' => $isNew ? null : $text('group'),
            'try' => $text('try'),
            'distance' => $text($isNew ? 'distance_entered' : 'distance'),
            'time' => $text($isNew ? 'time_entered' : 'time'),
            'total_time' => $text($isNew ? 'total_time_entered' : 'total time'),
            'limp' => $text($isNew ? 'limp_entered' : 'limp mark'),
            'drift' => $isNew ? $together($text('drift_entered'), $side === null ? null : Label::of($side)) : $text('drift'),
            'load' => $text($isNew ? 'load_entered' : 'load'),
            'balloon' => $isNew
                ? $together($text('inflation_kind'), $text('inflation_size_entered'), $text('inflation_strokes'))
                : $text('balloon'),
            'lane' => $text('lane'),
            'filled_by' => ($by = FilledBy::tryFrom($text('filled_by') ?? '')) === null ? null : Label::of($by),
            'past_end' => ($held['past_end'] ?? false) === true ? Text::of('run.run_words.yes') : null,
            'far_wall' => ($held['hit_wall'] ?? false) === true ? Text::of('run.run_words.yes') : null,
            'kind' => ($kind = RunKind::tryFrom($text('kind') ?? '')) === null || $kind === RunKind::Try ? null : Label::of($kind),
            'surface' => $text('surface'),
            'ramp' => $text('ramp_entered'),
            'void' => $void === null ? null : Label::of($void),
            'note' => $text('note'),
        ];
    }
}

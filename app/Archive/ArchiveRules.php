<?php

declare(strict_types=1);

namespace App\Archive;

use App\Models\BenchReading;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\CheckReading;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\MaterialLine;
use App\Models\OwnPart;
use App\Models\Plan;
use App\Models\Prediction;
use App\Models\PumpReading;
use App\Models\Race;
use App\Models\RaceEvent;
use App\Models\Run;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use BackedEnum;
use JsonException;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Challenge\Limits;

/** What an archive may bring is what could have been typed: the forms' own limits hold for it, and every page can show it. */
final readonly class ArchiveRules
{
    /** No quantity of a class, in SI, and no count is beyond this. */
    private const GREATEST = 1e5;
    private const DEEPEST = 32;

    /** Balloons, across or around (m); sizes to cut (m); pauses and tries of a plan. */
    private const BALLOON = [0.005, 2.0];
    private const CUT = [0.0, 2.0];
    private const DISTANCE = [0.0, Limits::LONGEST_DISTANCE_M];
    private const TIME = [Limits::SHORTEST_TIME_S, Limits::LONGEST_TIME_S];
    private const STRETCH = [Limits::SHORTEST_STRETCH_M, Limits::LONGEST_DISTANCE_M];
    private const STROKES = [1, 500];
    private const LANES = [1, Limits::MOST_LANES];

    /** Least and greatest, both inclusive, in the unit that the column's name says. */
    private const RANGES = [
        'runs.distance_m' => self::DISTANCE, 'runs.limp_m' => self::DISTANCE, 'runs.drift_m' => self::DISTANCE, 'runs.time_s' => self::TIME,
        'runs.total_time_s' => self::TIME, 'runs.load_kg' => [0.0, Limits::HEAVIEST_LOAD_KG],
        'runs.ramp_m' => [0.0, Limits::HIGHEST_RAMP_M],
        'runs.inflation_size_m' => self::BALLOON, 'runs.inflation_strokes' => self::STROKES, 'runs.lane' => self::LANES,
        'runs.try' => [1, Limits::MOST_RUNS_A_CAR],
        'cars.version' => [1, Limits::MOST_VERSIONS],
        'predictions.distance_m' => self::DISTANCE, 'predictions.try' => [1, Limits::MOST_RUNS_A_CAR],
        'pump_readings.size_m' => self::BALLOON, 'pump_readings.strokes' => self::STROKES,
        'races.length_m' => self::STRETCH, 'races.lanes' => self::LANES, 'races.repair_min' => [0, 60],
        'challenges.lane_length_m' => [Limits::SHORTEST_LANE_M, Limits::LONGEST_DISTANCE_M], 'challenges.timed_length_m' => self::STRETCH,
        'challenges.mark_distance_m' => self::STRETCH, 'challenges.load_length_m' => self::STRETCH, 'challenges.lanes' => self::LANES,
        'challenges.tries' => [1, Limits::MOST_TRIES], 'challenges.practice_runs' => [0, Limits::MOST_PRACTICE_RUNS],
        'challenges.air_temperature_c' => [-10, 45],
        'plans.chassis_width_m' => self::CUT, 'plans.wheel_thickness_m' => self::CUT, 'plans.end_play_m' => self::CUT,
        'plans.overhang_m' => self::CUT,
        'plans.side_gap_m' => self::CUT, 'plans.straw_length_m' => self::CUT, 'plans.skewer_length_m' => self::CUT,
        'plans.kerf_m' => self::CUT,
        'plans.nozzle_length_m' => self::CUT, 'plans.session_min' => [10, 1440], 'plans.learners' => [1, 480],
        'plans.fill_m' => self::BALLOON,
        'material_counts.count' => [0, 100_000], 'readings.lane' => self::LANES,
    ];

    /** Characters. */
    private const LENGTHS = [
        'runs.note' => Limits::NOTE_CHARACTERS, 'cars.note' => Limits::NOTE_CHARACTERS, 'cars.reason' => Limits::NOTE_CHARACTERS,
        'check_readings.note' => Limits::NOTE_CHARACTERS, 'allowances.reason' => Limits::NOTE_CHARACTERS,
    ];

    /** Whose casts say which words a column takes. */
    private const MODELS = [
        'challenges' => Challenge::class, 'plans' => Plan::class, 'own_parts' => OwnPart::class, 'material_lines' => MaterialLine::class,
        'devices' => Device::class, 'groups' => Group::class,
        'races' => Race::class, 'runs' => Run::class, 'check_readings' => CheckReading::class, 'bench_readings' => BenchReading::class,
        'pump_readings' => PumpReading::class, 'predictions' => Prediction::class, 'entries' => Entry::class,
        'race_events' => RaceEvent::class,
    ];

    /**
     * @param array<string, mixed> $row as it stands in the archive
     * @param array<string, array{type: string, nullable: bool}> $columns
     *
     * @throws UnreadableArchiveException naming the first cell that could not have been typed
     */
    public static function ofRow(string $table, array $row, array $columns): void
    {
        foreach ($row as $column => $cell) {
            if (
                $cell !== null
                && !(
                    self::isOfItsType((string) $cell, $columns[$column]['type'])
                    && self::couldBeTyped($table, $column, (string) $cell, $row)
                )
            ) {
                throw UnreadableArchiveException::cell($table, (string) $row[ArchiveTables::key($table)], $column, (string) $cell);
            }
        }
    }

    /** @throws \Throwable where something stored has no page: drawn once before it stays */
    public static function hold(Challenge $challenge): void
    {
        $record = ClassRecord::of($challenge);
        $plan = ClassPlan::of($challenge);
        $plan->materials()->cost();
        $plan->timetable(max(1, $record->groups->count()));
        $plan->steps();
        ClassFindings::of($record);
        app(DrawsAClass::class)($challenge);
        foreach (
            Car::query()->with('checkReadings')
                ->whereHas('group', static fn($groups) => $groups->withTrashed()->where('challenge_id', $challenge->id))
                ->get() as $car
        ) {
            $car->checkCard($challenge->checkTolerances());
        }
    }

    private static function isOfItsType(string $cell, string $type): bool
    {
        return match ($type) {
            'double precision', 'numeric', 'real', 'smallint' => is_numeric($cell) && abs((float) $cell) <= self::GREATEST,
            'json', 'jsonb' => self::areSmall(self::json($cell)),
            default => true,
        };
    }

    /** @param array<string, mixed> $row */
    private static function couldBeTyped(string $table, string $column, string $cell, array $row): bool
    {
        $name = "{$table}.{$column}";
        [$least, $greatest] = self::RANGES[$name] ?? [-INF, INF];
        if (
            is_numeric($cell)
            && ((float) $cell < $least || (float) $cell > $greatest)
            || mb_strlen($cell) > (self::LENGTHS[$name] ?? PHP_INT_MAX)
        ) {
            return false;
        }
        $takes = isset(self::MODELS[$table]) ? (new (self::MODELS[$table])())->getCasts()[$column] ?? null : null;
        if (is_string($takes) && is_a($takes, BackedEnum::class, true)) {
            return $takes::tryFrom($cell) !== null;
        }

        return match (true) {
            $name === 'cars.choices' => self::areChoices(self::json($cell)),
            $name === 'challenges.tolerances' => self::areTolerances(self::json($cell)),
            $table === 'check_readings'
                && str_ends_with($column, '_si') => (float) $cell <= (CheckItem::tryFrom((string) $row['item'])?->greatest() ?? 0.0),
            $table === 'bench_readings'
                && str_ends_with($column, '_si') => self::isOfTheBench((string) $row['test'], $column, (float) $cell),
            default => true,
        };
    }

    private static function isOfTheBench(string $test, string $column, float $si): bool
    {
        $field = BenchTest::tryFrom($test)?->fields()[['first_si' => 0, 'second_si' => 1, 'third_si' => 2][$column]] ?? null;

        return $field !== null && $si >= $field->least && $si <= $field->greatest;
    }

    private static function areChoices(mixed $choices): bool
    {
        if (!is_array($choices)) {
            return false;
        }
        foreach ($choices as $key => $choice) {
            $attribute = CarAttribute::tryFrom((string) $key);
            $value = is_array($choice) ? $choice['si'] ?? null : $choice;
            $fits = $attribute !== null && match (true) {
                $attribute->isKind() || is_string($value) => is_string($value) && mb_strlen($value) <= Limits::KIND_CHARACTERS,
                $attribute->facts()->range === null => is_int($value) || is_float($value),
                default => (is_int($value) || is_float($value)) && $attribute->complaint((float) $value) === null,
            };
            if (!$fits) {
                return false;
            }
        }

        return true;
    }

    private static function areTolerances(mixed $tolerances): bool
    {
        foreach (is_array($tolerances) ? $tolerances : ['no list' => null] as $key => $limits) {
            if (
                CheckItem::tryFrom((string) $key) === null
                || !is_array($limits)
                || array_diff(array_keys($limits), ['goodFrom', 'goodTo', 'fixBelow', 'fixAbove']) !== []
            ) {
                return false;
            }
        }

        return true;
    }

    /** What the cell holds; INF, which nothing takes, where it is no JSON. */
    private static function json(string $cell): mixed
    {
        try {
            return json_decode($cell, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            return INF;
        }
    }

    private static function areSmall(mixed $value): bool
    {
        return match (true) {
            is_array($value) => array_filter($value, static fn(mixed $each): bool => !self::areSmall($each)) === [],
            is_int($value) => abs($value) < PHP_INT_MAX,
            is_float($value) => is_finite($value) && abs($value) <= self::GREATEST,
            default => true,
        };
    }
}

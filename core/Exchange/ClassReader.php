<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Bench\BenchField;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\ClassTries;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Leeway;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Findings\ClassData;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Forecast\CheckShifts;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Statistics\Estimate;

/** Reads what a class has on record from the JSON of docs/class.schema.json. Whatever is not exactly that is named. */
final readonly class ClassReader
{
    /** Attributes that go by a plainer name than the one that they are stored under. */
    private const ALSO = ['chassis_kind' => CarAttribute::Chassis, 'balloon_filled' => CarAttribute::BalloonSize];

    private const LONGEST_RUN_M = 100.0;
    private const LONGEST_TIME_S = 600.0;
    private const GREATEST_SEED = 2_147_483_647;
    private const GREATEST_SHIFT = 1.5;
    private const CHECKS = [
        'spin_s' => CheckItem::Spin, 'end_play_m' => CheckItem::EndPlay, 'wobble_m' => CheckItem::Wobble,
        'parallel_m' => CheckItem::Parallel, 'drift_m' => CheckItem::Drift, 'airtight_m' => CheckItem::Airtight,
    ];
    private const RUN = [
        'distance_m', 'time_s', 'drift_m', 'limp_m', 'total_time_s', 'load_kg', 'fill_diameter_m', 'turns', 'past_end', 'kind', 'apart',
        'void',
    ];

    /**
     * @throws JsonFaultException where it is not JSON, or has unknown or missing keys or wrong types
     * @throws OutOfRangeException where a number lies outside its range
     */
    public static function read(string $json): ClassData
    {
        $class = JsonObject::parse($json, 'a class', [
            'question', 'rule', 'tries', 'void_tries', 'no_start', 'lane_length_m', 'timed_length_m', 'surface', 'temperature_c', 'award',
            'seed', 'check_shifts', 'limits', 'cars',
        ]);
        $allowed = (int) self::within($class->at('tries'), $class->whole('tries', 3), 1, 50);
        $retried = $class->oneOf('void_tries', ['again' => true, 'lost' => false], 'again');
        $zero = $class->oneOf('no_start', ['void' => false, 'zero' => true], 'void');
        $lane = self::length($class, 'lane_length_m');
        $given = $runs = [];
        foreach (
            $class->objects('cars', ['id', 'group', 'version', 'is_in', 'attributes', 'bench', 'checks', 'failed_checks', 'runs']) as $car
        ) {
            $id = $car->text('id');
            if (isset($given[$id])) {
                throw JsonFaultException::wrongType($car->at('id'), "its own: there are two cars \"{$id}\"");
            }
            $given[$id] = $car;
            $runs[$id] = self::runs($car, $lane);
        }
        $tries = ClassTries::of($runs, static fn(array $own, ?float $scatter): Tries => $scatter === null
            ? new Tries($own, $allowed, $retried, $zero)
            : new Tries($own, $allowed, $retried, $zero, $scatter));
        $cars = $newest = [];
        foreach ($given as $id => $car) {
            $group = $car->text('group');
            $newest[$group] = $car->whole('version', ($newest[$group] ?? 0) + 1);
            $choices = self::choices($car->object('attributes', null, isOptional: true));
            $cars[] = new RecordedCar(
                (string) $id,
                $group,
                $newest[$group],
                $choices,
                $tries[$id],
                self::bench($car),
                isIn: !$car->has('is_in') || $car->yes('is_in'),
                failed: self::failed($car, $choices->number(CarAttribute::Track)),
                lostM: self::lost($car),
            );
        }

        return new ClassData(
            $cars,
            $class->has('question') ? self::question($class) : null,
            $class->has('award') ? self::award($class) : new Award(Goal::Farthest),
            scoring: $class->oneOf('rule', self::byValue(Scoring::cases()), Scoring::Mean->value),
            catalogue: Catalogue::standard(),
            surface: $class->has('surface') ? $class->text('surface') : null,
            temperatureC: $class->numberOrNull('temperature_c'),
            timedLengthM: self::length($class, 'timed_length_m'),
            leeway: self::leeway($class->object('limits', ['vary', 'most', 'names'], isOptional: true)),
            seed: (int) self::within($class->at('seed'), $class->whole('seed', 1), 1, self::GREATEST_SEED),
            shifts: self::shifts($class->object('check_shifts', array_map(self::checkKey(...), CheckShifts::LOOKED_AT), isOptional: true)),
        );
    }

    /** The name of a check in such a class. */
    public static function checkKey(CheckItem $item): string
    {
        return str_replace('-', '_', $item->value);
    }

    private static function leeway(JsonObject $limits): Leeway
    {
        $attribute = static fn(JsonObject $of, string $key): CarAttribute => self::attributes()[$key]
            ?? throw JsonFaultException::unknownKey($of->at($key), 'a car');
        $most = $names = [];
        $given = $limits->object('most', null, isOptional: true);
        foreach ($given->keys() as $key) {
            $most[$attribute($given, $key)->value] = $given->number($key);
        }
        $given = $limits->object('names', null, isOptional: true);
        foreach ($given->keys() as $key) {
            $names[$attribute($given, $key)->value] = $given->texts($key);
        }

        return new Leeway($limits->has('vary') ? $limits->several('vary', self::byValue(Step::cases())) : null, $most, $names);
    }

    private static function shifts(JsonObject $shifts): CheckShifts
    {
        $known = [];
        foreach (CheckShifts::LOOKED_AT as $item) {
            $key = self::checkKey($item);
            if ($shifts->has($key)) {
                $known[$item->value] = new Estimate(
                    self::within($shifts->at($key), $shifts->number($key), -self::GREATEST_SHIFT, self::GREATEST_SHIFT),
                    0.0,
                );
            }
        }

        return new CheckShifts($known, $known === [] ? 0 : 1);
    }

    /** @return list<CheckItem>|null what it failed, as said or by the usual limits of its readings; null where it was not checked */
    private static function failed(JsonObject $car, ?float $trackM): ?array
    {
        $checks = $car->object('checks', array_keys(self::CHECKS), isOptional: true);
        $readings = [];
        foreach ($checks->keys() as $key) {
            $si = self::within($checks->at($key), $checks->number($key), 0.0, self::LONGEST_TIME_S);
            $item = self::CHECKS[$key];
            $entry = static fn(float $value): Entry => new Entry(Quantity::fromSi($value, $item->dimension()), (string) $value);
            $readings[$item->value] = $item === CheckItem::Parallel
                ? new Reading($item, $entry(0.0), $entry($si))
                : new Reading($item, $entry($si));
        }
        if ($car->has('failed_checks')) {
            return $car->several(
                'failed_checks',
                array_combine(array_map(self::checkKey(...), CheckShifts::LOOKED_AT), CheckShifts::LOOKED_AT),
            );
        }

        unset($readings[CheckItem::Airtight->value]);

        return $readings === [] ? null : (new CheckCard($readings, trackM: $trackM))->failed(CheckShifts::LOOKED_AT);
    }

    /** What its balloon loses of its size in ten seconds (m); null where that was not checked. */
    private static function lost(JsonObject $car): ?float
    {
        $checks = $car->object('checks', array_keys(self::CHECKS), isOptional: true);

        return $checks->has('airtight_m') ? $checks->number('airtight_m') : null;
    }

    private static function award(JsonObject $class): Award
    {
        $award = $class->object('award', ['goal', 'length_m']);

        return new Award($award->oneOf('goal', self::byValue(Goal::cases())), self::length($award, 'length_m'));
    }

    private static function question(JsonObject $class): Question
    {
        $question = $class->object('question', ['attribute', 'outcome', 'from', 'to']);
        $known = self::attributes();
        $attribute = $question->oneOf('attribute', $known);
        $isOfKinds = !$attribute->explainsAsNumber();
        if ($isOfKinds !== $question->has('from') || $isOfKinds !== $question->has('to')) {
            throw $isOfKinds
                ? JsonFaultException::missingKey($question->at($question->has('from') ? 'to' : 'from'))
                : JsonFaultException::unknownKey($question->at($question->has('from') ? 'from' : 'to'), 'a question about a number');
        }
        $outcome = $question->oneOf('outcome', self::byValue(Outcome::cases()), Outcome::Distance->value);
        $kinds = $isOfKinds ? [$question->text('from'), $question->text('to')] : [];

        return new Question($attribute, $outcome, ...$kinds);
    }

    private static function choices(JsonObject $attributes): Car
    {
        $quantities = $counts = $kinds = [];
        $known = self::attributes();
        foreach ($attributes->keys() as $key) {
            $attribute = $known[$key] ?? throw JsonFaultException::unknownKey($attributes->at($key), 'a car');
            if ($attribute->isKind()) {
                $kinds[$attribute->value] = $attribute->options() === []
                    ? $attributes->text($key)
                    : (string) $attributes->oneOf($key, self::byValue($attribute->options()))->value;
                continue;
            }
            $value = $attribute->isCount() ? (float) $attributes->whole($key) : $attributes->number($key);
            [$least, $greatest] = $attribute->range();
            self::within($attributes->at($key), $value, $least, $greatest);
            if ($attribute->isCount()) {
                $counts[$attribute->value] = (int) $value;
            } else {
                $quantities[$attribute->value] = new Entry(Quantity::fromSi($value, $attribute->dimension()), (string) $value);
            }
        }

        return new Car($quantities, $counts, $kinds, isset($quantities[CarAttribute::BalloonSize->value]) ? SizeMeasure::Diameter : null);
    }

    /** @return list<Run> */
    private static function runs(JsonObject $car, ?float $lane): array
    {
        $runs = [];
        foreach ($car->objects('runs', self::RUN) as $index => $run) {
            $void = $run->has('void') ? $run->oneOf('void', self::voids()) : null;
            $pastEnd = $run->yes('past_end');
            $distance = self::length($run, 'distance_m', 0.0) ?? ($pastEnd ? $lane : null);
            if ($distance === null && $void === null) {
                throw JsonFaultException::missingKey($run->at('distance_m'));
            }
            $runs[] = new Run(
                $run->at(''),
                $index + 1,
                $distance,
                self::seconds($run, 'time_s'),
                $void,
                $run->has('drift_m')
                    ? self::within($run->at('drift_m'), $run->number('drift_m'), -self::LONGEST_RUN_M, self::LONGEST_RUN_M)
                    : null,
                $run->has('load_kg') ? self::within($run->at('load_kg'), $run->number('load_kg'), 0.0, 20.0) : null,
                self::length($run, 'limp_m', 0.0),
                self::seconds($run, 'total_time_s'),
                $pastEnd,
                $run->has('fill_diameter_m') ? self::within($run->at('fill_diameter_m'), $run->number('fill_diameter_m'), 0.02, 0.6) : null,
                $run->oneOf('kind', self::byValue(RunKind::cases()), RunKind::Try->value),
                $run->yes('apart'),
                $run->has('turns') ? self::within($run->at('turns'), $run->number('turns'), 0.25, 500.0) : null,
            );
        }

        return $runs;
    }

    /** @return array<string, non-empty-list<list<float>>> */
    private static function bench(JsonObject $car): array
    {
        $keys = ['test'];
        foreach (BenchTest::cases() as $test) {
            array_push($keys, ...array_map(static fn(BenchField $field): string => self::fieldKey($test, $field), $test->fields()));
        }
        $tests = [];
        foreach (BenchTest::cases() as $test) {
            $tests[self::testKey($test)] = $test;
        }
        $readings = [];
        foreach ($car->objects('bench', array_values(array_unique($keys)), isOptional: true) as $reading) {
            $test = $reading->oneOf('test', $tests);
            $own = array_map(static fn(BenchField $field): string => self::fieldKey($test, $field), $test->fields());
            foreach (array_diff($reading->keys(), ['test'], $own) as $other) {
                throw JsonFaultException::unknownKey($reading->at($other), 'the test ' . self::testKey($test));
            }
            $readings[$test->value][] = array_map(static fn(BenchField $field): float => self::within(
                $reading->at(self::fieldKey($test, $field)),
                $reading->number(self::fieldKey($test, $field)),
                $field->least,
                $field->greatest,
            ), $test->fields());
        }

        return $readings;
    }

    /** As in "ramp_roll_out". */
    public static function testKey(BenchTest $test): string
    {
        return $test === BenchTest::Ramp ? 'ramp_roll_out' : str_replace('-', '_', $test->value);
    }

    /** As in "release_height_m". */
    public static function fieldKey(BenchTest $test, BenchField $field): string
    {
        $name = $test === BenchTest::Ramp && $field->key === 'roll_out' ? 'distance' : $field->key;

        return $name . match ($field->dimension()) {
            Dimension::Mass => '_kg',
            Dimension::Time => '_s',
            Dimension::Turns => '',
            default => '_m',
        };
    }

    /** The key of an attribute in this JSON. */
    public static function keyOf(CarAttribute $attribute): string
    {
        $also = array_search($attribute, self::ALSO, true);

        return $also === false ? $attribute->value : $also;
    }

    /** @return array<string, CarAttribute> what may be said of a car, by its key */
    public static function attributes(): array
    {
        return self::byValue(CarAttribute::recorded()) + self::ALSO;
    }

    /** @return array<string, VoidReason> */
    private static function voids(): array
    {
        $voids = [];
        foreach (VoidReason::cases() as $reason) {
            $voids[str_replace(' ', '_', $reason->value)] = $reason;
        }

        return $voids;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param list<T> $cases
     *
     * @return array<string, T>
     */
    private static function byValue(array $cases): array
    {
        $byValue = [];
        foreach ($cases as $case) {
            $byValue[(string) $case->value] = $case;
        }

        return $byValue;
    }

    private static function length(JsonObject $of, string $key, float $least = 0.1): ?float
    {
        return $of->has($key) ? self::within($of->at($key), $of->number($key), $least, self::LONGEST_RUN_M) : null;
    }

    private static function seconds(JsonObject $of, string $key): ?float
    {
        return $of->has($key) ? self::within($of->at($key), $of->number($key), 0.0, self::LONGEST_TIME_S) : null;
    }

    private static function within(string $path, float $value, float $least, float $greatest): float
    {
        return OutOfRangeException::check($path, $value, $least, $greatest);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Leeway;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\ClassData;
use Skivo\Core\Forecast\CheckShifts;

/**
 * What a class has on record as the JSON of docs/class.schema.json, for whoever analyses it with tools of their own. Parts that
 * a class added to the list, and its pump's readings, have no place in it.
 */
final readonly class ClassWriter
{
    /** On one line, as bin/skivo findings reads it. */
    public static function write(ClassData $class, ?float $laneLengthM = null): string
    {
        $question = $class->question;
        $tries = $class->cars[0]->tries ?? new Tries([], 3);

        return json_encode(array_filter([
            'question' => $question === null ? null : array_filter([
                'attribute' => ClassReader::keyOf($question->attribute),
                'outcome' => $question->outcome->value,
                'from' => $question->from,
                'to' => $question->to,
            ], static fn(?string $value): bool => $value !== null),
            'rule' => $class->scoring->value,
            'tries' => $tries->allowed,
            'void_tries' => $tries->voidIsRetried ? 'again' : 'lost',
            'lane_length_m' => $laneLengthM,
            'timed_length_m' => $class->timedLengthM,
            'surface' => $class->surface,
            'temperature_c' => $class->temperatureC,
            'award' => $class->award->goal === Goal::Farthest ? null : array_filter(
                ['goal' => $class->award->goal->value, 'length_m' => $class->award->lengthM],
                static fn(float|string|null $value): bool => $value !== null,
            ),
            'seed' => $class->seed === 1 ? null : $class->seed,
            'check_shifts' => self::shifts($class->shifts),
            'limits' => self::limits($class->leeway),
            'cars' => array_map(self::car(...), $class->cars),
        ], static fn(mixed $value): bool => $value !== null), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE);
    }

    /** @return array<string, mixed>|null what groups may change on their cars; null where anything goes */
    private static function limits(Leeway $leeway): ?array
    {
        $keyed = static fn(array $by): array => array_combine(
            array_map(static fn(string $key): string => ClassReader::keyOf(CarAttribute::from($key)), array_keys($by)),
            $by,
        );
        $limits = array_filter([
            'vary' => $leeway->vary === null ? null : array_column($leeway->vary, 'value'),
            'most' => $leeway->most === [] ? null : $keyed($leeway->most),
            'names' => $leeway->names === [] ? null : $keyed($leeway->names),
        ], static fn(?array $each): bool => $each !== null);

        return $limits === [] ? null : $limits;
    }

    /** @return array<string, mixed> */
    private static function car(RecordedCar $car): array
    {
        $attributes = [];
        foreach (CarAttribute::recorded() as $attribute) {
            // However it was measured, it is read back as a diameter.
            $value = $attribute === CarAttribute::BalloonSize
                ? $car->choices->balloonDiameterM()
                : $car->choices->number($attribute) ?? $car->choices->kind($attribute);
            if ($value !== null) {
                $attributes[ClassReader::keyOf($attribute)] = $attribute->isCount() ? (int) $value : $value;
            }
        }

        return array_filter([
            'id' => $car->id,
            'group' => $car->group,
            'version' => $car->version,
            'is_in' => $car->isIn ? null : false,
            'attributes' => $attributes === [] ? null : $attributes,
            'bench' => self::bench($car),
            'checks' => $car->lostM === null ? null : ['airtight_m' => $car->lostM],
            'failed_checks' => $car->failed === null ? null : array_map(ClassReader::checkKey(...), $car->failed),
            'runs' => self::runs($car->tries),
        ], static fn(mixed $value): bool => $value !== null);
    }

    /** @return array<string, float>|null by the name of the check */
    private static function shifts(CheckShifts $shifts): ?array
    {
        $known = [];
        foreach (CheckShifts::LOOKED_AT as $item) {
            if (isset($shifts->shifts[$item->value])) {
                $known[ClassReader::checkKey($item)] = $shifts->shifts[$item->value]->value;
            }
        }

        return $known === [] ? null : $known;
    }

    /** @return list<array<string, float|string>>|null */
    private static function bench(RecordedCar $car): ?array
    {
        $readings = [];
        foreach ($car->bench as $key => $repeats) {
            $test = BenchTest::from($key);
            foreach ($repeats as $repeat) {
                $reading = ['test' => ClassReader::testKey($test)];
                foreach ($test->fields() as $index => $field) {
                    $reading[ClassReader::fieldKey($test, $field)] = $repeat[$index];
                }
                $readings[] = $reading;
            }
        }

        return $readings === [] ? null : $readings;
    }

    /** @return list<array<string, mixed>> in the order of their tries, void ones last: they count for nothing */
    private static function runs(Tries $tries): array
    {
        return array_map(static fn(Run $run): array => array_filter([
            'distance_m' => $run->distanceM,
            'time_s' => $run->timeS,
            'drift_m' => $run->driftM,
            'limp_m' => $run->limpM,
            'total_time_s' => $run->totalTimeS,
            'load_kg' => $run->loadKg,
            'fill_diameter_m' => $run->fillDiameterM,
            'turns' => $run->turns,
            'past_end' => $run->pastEnd ? true : null,
            'kind' => $run->kind === RunKind::Try ? null : $run->kind->value,
            'apart' => $run->isApart ? true : null,
            'void' => $run->void === null ? null : str_replace(' ', '_', $run->void->value),
        ], static fn(mixed $value): bool => $value !== null), [
            ...$tries->counted, ...$tries->extra, ...$tries->void, ...$tries->practice, ...$tries->heats, ...$tries->apart,
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\ModeratedScatter;

/**
 * The next fair test: which groups should change what, and to which value, so that the class learns what it asked. A rebuilt car is
 * compared with itself. It takes as few groups as can be expected to show what model and class together expect of the change; where
 * three can't, none is proposed.
 */
final readonly class NextTest
{
    private const MOST_GROUPS = 3;

    /** Whoever changes these makes another car, and does so only where the class asks about them. */
    private const ANOTHER_CAR = [
        CarAttribute::Chassis, CarAttribute::ChassisLength, CarAttribute::ChassisWidth, CarAttribute::Wheelbase, CarAttribute::Track,
        CarAttribute::BalloonNominal, CarAttribute::NozzleHeight, CarAttribute::Bearing,
    ];

    /** Rebuilding a car changes how far it goes by so much of it (standard deviation). From memory. */
    private const OF_REBUILDING = 0.04;

    /** What the model says is off by so much at least (ln). From memory. */
    private const MODEL_LEAST = 0.1;

    /** An effect of so many standard errors is seen at 95 % in four classes of five: z₀.₉₇₅ + z₀.₈. */
    private const SEEN = 2.8;

    /**
     * @param non-empty-list<Change> $changes
     * @param float $expectsM by how much farther they are expected to go then, on average; below zero: less far
     * @param float $showsM an effect of so much will then show in four classes of five (m)
     */
    private function __construct(
        public CarAttribute $factor,
        public array $changes,
        public float $expectsM,
        public float $showsM,
    ) {}

    /**
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects what the class already says of distances
     * @param Question|null $question of the class
     * @param \Closure(ComparedCar, CarAttribute, float|string): bool $mayBe whether a car may be changed so
     * @param \Closure(ComparedCar, CarAttribute, float|string): ?float $model ln of the factor on its distance, by the run model; null
     * where it has none
     * @param ModeratedScatter|null $scatter of the tries
     *
     * @return self|null null where no such test can be expected to show anything
     */
    public static function propose(
        array $cars,
        array $effects,
        Claims $claims,
        ?Question $question,
        \Closure $mayBe,
        \Closure $model,
        ?ModeratedScatter $scatter = null,
    ): ?self {
        $settled = array_filter($effects, static fn(Effect $effect): bool => $effect->outcome === Outcome::Distance
            && $claims->verdict($effect)->isTold());
        $open = array_filter(
            $effects,
            static fn(Effect $effect): bool => $effect->outcome === Outcome::Distance
                && array_filter($settled, static fn(Effect $each): bool => $each->factor->goesWith($effect->factor)) === []
                && ($question?->attribute === $effect->factor || !in_array($effect->factor, self::ANOTHER_CAR, true)),
        );
        $found = [];
        foreach ($open as $effect) {
            $test = self::of($effect, ComparedCar::newest($cars), $mayBe, $model, $scatter);
            if ($test !== null && $test->showsM > 0.0) {
                // The class's own question is finished before another is opened.
                $found[] = [$question?->isOf($effect) === true ? 0 : 1, -abs($test->expectsM) / $test->showsM, $test];
            }
        }
        usort($found, static fn(array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);

        return $found[0][2] ?? null;
    }

    /**
     * @param list<ComparedCar> $newest
     * @param \Closure(ComparedCar, CarAttribute, float|string): bool $mayBe
     * @param \Closure(ComparedCar, CarAttribute, float|string): ?float $model
     */
    private static function of(Effect $effect, array $newest, \Closure $mayBe, \Closure $model, ?ModeratedScatter $scatter): ?self
    {
        $changes = self::changes($effect, $newest, $mayBe, $model);
        $taken = [];
        foreach (array_slice($changes, 0, self::MOST_GROUPS) as $change) {
            $taken[] = $change;
            $test = self::with($effect, $taken, $scatter);
            if ($test !== null && abs($test->expectsM) >= $test->showsM) {
                return $test;
            }
        }

        return null;
    }

    /**
     * Each group's newest car with the end of the span from which it is farthest, groups that have not changed it first, and from one
     * end and the other in turn: so the test tells the change from having been rebuilt.
     *
     * @param list<ComparedCar> $newest
     * @param \Closure(ComparedCar, CarAttribute, float|string): bool $mayBe
     * @param \Closure(ComparedCar, CarAttribute, float|string): ?float $model
     *
     * @return list<Change>
     */
    private static function changes(Effect $effect, array $newest, \Closure $mayBe, \Closure $model): array
    {
        $rebuilt = array_map(static fn(array $pair): string => $pair[0]->car->group, $effect->rebuilt());
        $sides = [[], []];
        foreach ($newest as $car) {
            $from = $car->choices->explanation($effect->factor);
            $x = $effect->placeOf($from);
            if ($from === null || $x === null || in_array($car->group, $rebuilt, true)) {
                continue;
            }
            $to = $effect->valueAt($x <= 0.0 ? 1 : 0);
            $span = ($effect->placeOf($to) ?? 0.0) - $x;
            if (!Difference::isSame($effect->factor, $from, $to) && $mayBe($car, $effect->factor, $to)) {
                $sides[$x <= 0.0 ? 0 : 1][] = new Change($car, $from, $to, $span, $model($car, $effect->factor, $to));
            }
        }
        foreach ($sides as &$side) {
            usort($side, static fn(Change $a, Change $b): int => abs($b->span) <=> abs($a->span));
        }
        [$one, $other] = count($sides[0]) >= count($sides[1]) ? $sides : array_reverse($sides);
        $changes = [];
        for ($i = 0; $i < max(count($one), count($other)); $i++) {
            array_push($changes, ...array_slice($one, $i, 1), ...array_slice($other, $i, 1));
        }

        return $changes;
    }

    /** @param non-empty-list<Change> $changes */
    private static function with(Effect $effect, array $changes, ?ModeratedScatter $scatter): ?self
    {
        [$known, $error] = $effect->slope() ?? [0.0, INF];
        $precision = $weighted = 0.0;
        foreach (array_filter($changes, static fn(Change $change): bool => $change->byModel !== null) as $change) {
            $slope = $change->byModel / $change->span;
            $variance = (Comparison::OFF * $slope) ** 2 + self::MODEL_LEAST ** 2;
            // What the model says of one car it says of all: together they are one opinion.
            $precision += 1.0 / $variance / count($changes);
            $weighted += $slope / $variance / count($changes);
        }
        $all = 1.0 / $error ** 2 + $precision;
        if ($all <= 0.0) {
            return null;
        }
        $expected = ($known / $error ** 2 + $weighted) / $all;
        $squares = array_sum(array_map(static fn(Change $change): float => $change->span ** 2, $changes));
        $spans = array_sum(array_map(static fn(Change $change): float => $change->span, $changes));
        $relative = $scatter === null ? 0.08 ** 2 : $scatter->priorVariance;
        $own = 2.0 * $relative / $changes[0]->car->sample->n + self::OF_REBUILDING ** 2;
        // Least squares through nothing, with what all rebuilt cars share.
        $variance = $own / $squares + (Comparison::PRACTICE * $spans / $squares) ** 2;
        $after = 1.0 / (1.0 / $error ** 2 + 1.0 / $variance);
        $distance = array_sum(array_map(static fn(Change $change): float => $change->car->sample->mean(), $changes)) / count($changes);
        $span = abs($changes[0]->span);
        $direction = $changes[0]->span <=> 0.0;

        return new self(
            $effect->factor,
            $changes,
            $distance * 2.0 * sinh($direction * $expected * $span / 2),
            $distance * 2.0 * sinh(self::SEEN * sqrt($after) * $span / 2),
        );
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\StudentT;

/**
 * Who gets which certificate: the first three of each award, and what else a group was best at. None contradicts the
 * standings: whom the tries can't tell from the first shares the first place, equal scores share theirs, and a strength that
 * is an award already is none besides. Strengths tell what happened; that a car improved is claimed only beyond what its
 * tries scatter, so that a class in which nothing changed is told of an improvement at most 1 time in 20.
 */
final readonly class Certificates
{
    private const PLACES = 3;

    /** Fewer tries lie close together by chance. */
    private const FEWEST_STEADY = 3;

    /** Fewer groups are no field to be best of. */
    private const FEWEST_GROUPS = 2;

    /** How often somebody is said to have improved where nobody did. */
    private const ERROR = 0.05;

    /** Values that agree so far are equal. */
    private const TIE = 1e-9;

    /** What breaks and can be repaired. */
    private const BREAKS = [
        VoidReason::WheelOff, VoidReason::BalloonOff, VoidReason::Burst, VoidReason::BandOff, VoidReason::NoStart, VoidReason::WheelsSpun,
    ];

    /**
     * @param non-empty-list<Standings> $standings of every award, the main one first
     * @param list<HonouredCar> $cars
     *
     * @return list<Certificate> places by award first, then strengths
     */
    public static function of(array $standings, array $cars): array
    {
        $certificates = array_merge(...array_map(self::places(...), $standings));
        $goals = array_map(static fn(Standings $each): Goal => $each->award->goal, $standings);
        $strengths = [
            in_array(Goal::Straightest, $goals, true)
                ? []
                : self::best(
                    Honour::Straightest,
                    $cars,
                    static fn(HonouredCar $car): ?float => (new Award(Goal::Straightest))->measure($car->standing())?->mean(),
                    false,
                ),
            self::best(Honour::Steadiest, $cars, self::spread(...), false),
            self::best(
                Honour::BestGuess,
                array_values(array_filter($cars, static fn(HonouredCar $car): bool => $car->foresight !== null)),
                static fn(HonouredCar $car): ?float => $car->foresight?->typicalMiss(),
                false,
                1,
            ),
            self::improved($standings[0], $cars),
            self::repaired($cars),
        ];
        $certificates = [...$certificates, ...array_merge(...$strengths)];
        // Whoever has none yet and lost no try has done that.
        $held = array_map(static fn(Certificate $certificate): string => $certificate->group, $certificates);
        foreach ($cars as $car) {
            $tries = $car->standing();
            if (!in_array($car->id, $held, true) && $tries->areComplete() && $tries->void === [] && $tries->counted !== []) {
                $certificates[] = new Certificate(Honour::EveryTry, $car->id, value: (float) count($tries->counted));
            }
        }

        return $certificates;
    }

    /** @return list<Certificate> */
    private static function places(Standings $standings): array
    {
        $ranked = array_values(array_filter($standings->places, static fn(Standing $place): bool => $place->rank !== null));
        $leading = array_values(
            array_filter(
                $ranked,
                static fn(Standing $place): bool => $place->rank === 1 || in_array($place, $standings->tooCloseToLeader(), true),
            ),
        );
        $certificates = [];
        foreach ($ranked as $place) {
            $isLeading = in_array($place, $leading, true);
            if ($place->rank === null || $place->rank > self::PLACES && !$isLeading) {
                continue;
            }
            $shared = array_filter(
                $isLeading ? $leading : $ranked,
                static fn(Standing $other): bool => $other !== $place && ($isLeading || $other->rank === $place->rank),
            );
            $certificates[] = new Certificate(
                Honour::Place,
                $place->entrant->id,
                $standings->award,
                $isLeading ? 1 : $place->rank,
                array_values(array_map(static fn(Standing $other): string => $other->entrant->id, $shared)),
                $place->reach?->value,
            );
        }

        return $certificates;
    }

    /**
     * @param list<HonouredCar> $cars
     * @param callable(HonouredCar): ?float $measure null where a car has none
     *
     * @return list<Certificate> of whoever has most of it, or least; equals share
     */
    private static function best(Honour $honour, array $cars, callable $measure, bool $isMost, int $fewest = self::FEWEST_GROUPS): array
    {
        $values = [];
        foreach ($cars as $car) {
            $value = $measure($car);
            if ($value !== null) {
                $values[$car->id] = $value;
            }
        }
        if ($values === [] || count($values) < $fewest) {
            return [];
        }
        $best = $isMost ? max($values) : min($values);
        $first = array_map(
            strval(...),
            array_keys(array_filter($values, static fn(float $value): bool => abs($value - $best) <= self::TIE * max(1.0, abs($best)))),
        );

        // Where all are equal nobody is best.
        return count($first) === count($values) && count($values) > 1 ? [] : array_map(
            static fn(string $id): Certificate => new Certificate(
                $honour,
                $id,
                beside: array_values(array_diff($first, [$id])),
                value: $values[$id],
            ),
            $first,
        );
    }

    /** How far apart a car's tries lay, over how far it went; null for few, and where one passed the end. */
    private static function spread(HonouredCar $car): ?float
    {
        $tries = $car->standing();
        $distances = $tries->passedTheEnd() ? null : $tries->each(static fn(Run $run): ?float => $run->distanceM);

        return $distances === null || $distances->n < self::FEWEST_STEADY || $distances->mean() <= 0.0
            ? null
            : $distances->range() / $distances->mean();
    }

    /**
     * @param list<HonouredCar> $cars
     *
     * @return list<Certificate>
     */
    private static function improved(Standings $standings, array $cars): array
    {
        $award = $standings->award;
        $pairs = [];
        foreach ($cars as $car) {
            $samples = array_values(
                array_filter(array_map($award->measure(...), $car->versions), static fn(?Sample $sample): bool => $sample !== null),
            );
            if (count($samples) > 1 && $award->measure($car->standing()) !== null) {
                $pairs[$car->id] = [$samples[0], $samples[count($samples) - 1]];
            }
        }
        if ($pairs === [] || $standings->scatter === null) {
            return [];
        }
        $sign = $award->goal->moreIsBetter() ? 1.0 : -1.0;
        $gains = [];
        foreach ($pairs as $id => [$before, $after]) {
            $gain = $sign * ($after->mean() - $before->mean());
            if ($gain > self::margin($standings->scatter, $before, $after, self::ERROR / count($pairs))) {
                $gains[$id] = $gain;
            }
        }
        if ($gains === []) {
            return [];
        }
        $first = array_map(strval(...), array_keys(array_filter($gains, static fn(float $gain): bool => $gain >= max($gains) - self::TIE)));

        return array_map(static fn(string $id): Certificate => new Certificate(
            Honour::MostImproved,
            $id,
            $award,
            beside: array_values(array_diff($first, [$id])),
            value: $pairs[$id][1]->mean(),
            from: $pairs[$id][0]->mean(),
        ), $first);
    }

    /** What a gain must exceed so that chance alone does so as seldom as said (Bonferroni over those that rebuilt). */
    private static function margin(ModeratedScatter $scatter, Sample $before, Sample $after, float $error): float
    {
        $degrees = min($scatter->degreesOfFreedom($before), $scatter->degreesOfFreedom($after));

        return (new StudentT($degrees))->quantile(1.0 - $error) * sqrt(
            $scatter->standardError($before) ** 2 + $scatter->standardError($after) ** 2,
        );
    }

    /**
     * @param list<HonouredCar> $cars
     *
     * @return list<Certificate> of the car that ran best after it was repaired, for what it does on average
     */
    private static function repaired(array $cars): array
    {
        $after = [];
        foreach ($cars as $car) {
            $tries = $car->standing();
            $mean = $tries->distances()?->mean() ?? 0.0;
            foreach ($tries->void as $void) {
                $next = array_values(
                    array_filter($tries->counted, static fn(Run $run): bool => $run->try >= $void->try && $run->distanceM !== null),
                )[0] ?? null;
                if (in_array($void->void, self::BREAKS, true) && $next !== null && $mean > 0.0) {
                    $share = $next->distanceM / $mean;
                    if (!isset($after[$car->id]) || $share > $after[$car->id][0]) {
                        $after[$car->id] = [$share, $next->distanceM, $void->void];
                    }
                }
            }
        }
        if ($after === []) {
            return [];
        }
        $best = max(array_column($after, 0));
        $first = array_map(strval(...), array_keys(array_filter($after, static fn(array $of): bool => $of[0] >= $best - self::TIE)));

        return array_map(static fn(string $id): Certificate => new Certificate(
            Honour::BestRepair,
            $id,
            beside: array_values(array_diff($first, [$id])),
            value: $after[$id][1],
            broke: $after[$id][2],
        ), $first);
    }
}

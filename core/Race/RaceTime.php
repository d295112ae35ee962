<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** How long a race takes, before anybody agrees to it. */
final readonly class RaceTime
{
    /** Heats of a pair that runs best of three, on the average of equal cars: two, and a third every other time. */
    private const HEATS_OF_THREE = 2.5;

    private function __construct(
        /** Pairs that meet. */
        public int $pairs,
        /** Runs of two cars, about. */
        public float $heats,
        public float $minutes,
    ) {}

    /**
     * @param float $heatMin of one heat, from calling the two to the next two (min)
     */
    public static function of(RaceKind $kind, int $entrants, int $bestOf, int $lanes, float $heatMin, float $repairMin): self
    {
        $pairs = match ($kind) {
            RaceKind::SideBySide => 1,
            RaceKind::RoundRobin => intdiv($entrants * ($entrants - 1), 2),
            RaceKind::Knockout, RaceKind::StaysOn => $entrants - 1,
        };
        $each = $bestOf === 1 ? 1.0 : self::HEATS_OF_THREE;
        $atOnce = max(1, intdiv($lanes, 2));
        // Two cars on one lane run one after the other.
        $heat = $heatMin * ($lanes === 1 ? 2.0 : 1.0);
        $minutes = 0.0;
        foreach (self::rounds($kind, $entrants) as $of) {
            // In a round the heats fill the lanes; the two of the next round need their time to mend.
            $minutes += max(
                ceil($of / $atOnce) * $each * $heat,
                $of === 1 && $kind !== RaceKind::SideBySide ? $each * $heat + ($kind === RaceKind::RoundRobin ? 0.0 : $repairMin) : 0.0,
            );
        }

        return new self($pairs, $pairs * $each, $minutes);
    }

    /** The greatest number of cars for which there is time; 0 where there is none for two. */
    public static function mostFor(RaceKind $kind, int $bestOf, int $lanes, float $heatMin, float $repairMin, float $minutes): int
    {
        for ($entrants = RacePlan::MOST; $entrants >= RacePlan::FEWEST; $entrants--) {
            if (self::of($kind, $entrants, $bestOf, $lanes, $heatMin, $repairMin)->minutes <= $minutes) {
                return $entrants;
            }
        }

        return 0;
    }

    /** @return list<int> pairs of each round */
    private static function rounds(RaceKind $kind, int $entrants): array
    {
        if ($kind === RaceKind::RoundRobin) {
            return array_map(count(...), RoundRobin::rounds($entrants));
        }
        if ($kind !== RaceKind::Knockout) {
            return array_fill(0, max(1, $kind === RaceKind::SideBySide ? 1 : $entrants - 1), 1);
        }
        $rounds = [count(array_filter(Bracket::firstRound($entrants), static fn(array $pair): bool => $pair[1] !== null))];
        for ($left = 2 ** (Bracket::rounds($entrants) - 1); $left > 1; $left = intdiv($left, 2)) {
            $rounds[] = intdiv($left, 2);
        }

        return $rounds;
    }
}

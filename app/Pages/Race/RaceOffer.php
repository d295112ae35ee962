<?php

declare(strict_types=1);

namespace App\Pages\Race;

use App\Models\Group;
use App\Record\ClassRecord;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Race\Lot;
use Skivo\Core\Race\RaceChances;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RacePlan;
use Skivo\Core\Race\RaceTime;

/** What a race of so many cars would take, and what it can't show, before anybody agrees to it. */
final readonly class RaceOffer
{
    /** So many classes as this one may be, over which chances are taken. */
    private const DRAWS = 200;

    /** Over so much (m) a class races where nothing else is known, and over no less than that. Common practice, no source. */
    private const USUAL_M = 3.0;
    private const SHORTEST_M = 0.5;

    private const KEEP_SECONDS = 86_400;

    public function __construct(
        public int $cars,
        public int $lanes,
        public float $heatMin,
        public float $repairMin,
        public float $minutes,
    ) {}

    /**
     * Who stands best first; those without a place after them, in the order of the class.
     *
     * @param list<int> $cars ids of groups
     *
     * @return list<string>
     */
    public static function bySeed(ClassRecord $record, array $cars): array
    {
        $standing = array_map(
            static fn($place): string => $place->entrant->id,
            array_values(array_filter($record->standings()->places, static fn($place): bool => $place->sample !== null)),
        );
        $others = array_diff($record->groups->map(static fn(Group $group): string => (string) $group->id)->all(), $standing);

        return array_values(array_filter([...$standing, ...$others], static fn(string $id): bool => in_array((int) $id, $cars, true)));
    }

    /**
     * @param list<int> $cars ids of groups
     *
     * @return list<string> drawn from the order of their numbers, so that the lot alone says what comes out
     */
    public static function byLot(array $cars, int $lot): array
    {
        sort($cars);

        return Lot::order(array_map(strval(...), $cars), $lot);
    }

    /** @return list<array{RaceKind, int, RaceTime}> every way to race these cars: how, best of how many, and what it takes */
    public function ways(): array
    {
        $ways = [];
        foreach (RaceKind::cases() as $kind) {
            if ($this->cars < RacePlan::FEWEST || $kind === RaceKind::SideBySide && $this->cars !== 2) {
                continue;
            }
            foreach ([1, 3] as $bestOf) {
                $ways[] = [$kind, $bestOf, RaceTime::of($kind, $this->cars, $bestOf, $this->lanes, $this->heatMin, $this->repairMin)];
            }
        }

        return $ways;
    }

    /** How many cars there is time for, all against all. */
    public function mostForAll(): int
    {
        return RaceTime::mostFor(RaceKind::RoundRobin, 1, $this->lanes, $this->heatMin, $this->repairMin, $this->minutes);
    }

    /** @return array<int, float> how far each car goes by the mean of its tries (m), by the id of its group, those that ran alone */
    public static function means(ClassRecord $record): array
    {
        $means = [];
        foreach ($record->groups as $group) {
            $sample = $group->is_withdrawn ? null : $record->tries($group->currentCar())->distances();
            if ($sample !== null) {
                $means[$group->id] = $sample->mean();
            }
        }

        return $means;
    }

    /**
     * A length that every car reaches by its mean (m): the timed length of the class where that is one; null where nobody goes so far that
     * racing across a line is a race.
     */
    public static function lengthM(ClassRecord $record): ?float
    {
        $challenge = $record->challenge;
        $usual = $challenge->timed_length?->quantity->si() ?? min(self::USUAL_M, $challenge->lane_length->quantity->si());
        $means = self::means($record);
        $least = $means === [] ? $usual : min($means);
        if ($least >= $usual) {
            return $usual;
        }
        $step = $challenge->units === UnitSystem::Metric ? 0.1 : 0.3048 / 2;
        $length = floor($least / $step + 1e-9) * $step;

        return $length < self::SHORTEST_M ? null : $length;
    }

    /** How far a race is from the truth in this class; null before its tries show how they scatter. */
    public static function chances(ClassRecord $record): ?RaceChances
    {
        $found = Cache::remember(
            "race-chances:{$record->challenge->id}:{$record->revision}:" . config('skivo.build'),
            self::KEEP_SECONDS,
            static function () use ($record): array {
                $fastest = $record->challenge->timed_length === null
                    ? null
                    : $record->standingsFor($record->challenge->award(Goal::Fastest));
                $truths = $fastest === null ? [] : ChanceOfFirst::truths($fastest, self::DRAWS, $record->challenge->id);
                // Where few cars were timed, how far they go has to do.
                if (count($truths[0] ?? []) < RacePlan::FEWEST) {
                    $truths = ChanceOfFirst::truths(
                        $record->standingsFor($record->challenge->award(Goal::Farthest)),
                        self::DRAWS,
                        $record->challenge->id,
                    );
                }

                return [RaceChances::of($truths, $record->challenge->tries, $record->challenge->id)];
            },
        );

        return $found[0] ?? null;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\StudentT;

/**
 * One source of energy over a class: how far and how fast its cars went, what was put into them and how much of that moved them.
 * Each group speaks once for each source, by its newest car that has it. Figures with intervals, and no claim: which source is
 * better for a goal is the class's question, judged as any other.
 */
final readonly class SourceUse
{
    /** With a car of one group alone, groups are taken to differ by so much (standard deviation of the logarithm). From memory. */
    private const BETWEEN_GROUPS = 0.3;

    /**
     * @param list<array{ComparedCar, EnergyUse|null}> $cars one of each group
     * @param Likely $distanceM mean over groups
     * @param Likely|null $timeS over the set length; null where nobody was timed
     * @param Likely|null $putInJ null where the model can say nothing of any of its cars; so with the rest
     */
    private function __construct(
        public EnergySource $source,
        public array $cars,
        public Likely $distanceM,
        public ?Likely $timeS,
        public ?Likely $putInJ,
        public ?Likely $share,
        public ?Likely $perJouleM,
    ) {}

    /**
     * @param list<ComparedCar> $cars every version with a distance
     *
     * @return list<self> of every source that the class's cars have, in the order of EnergySource; none where they all have one
     */
    public static function all(array $cars, ClassForecast $forecast): array
    {
        $bySource = [];
        foreach ($cars as $car) {
            $bySource[($car->choices->source() ?? EnergySource::Balloon)->value][] = $car;
        }
        $all = [];
        foreach (count($bySource) < 2 ? [] : EnergySource::cases() as $source) {
            $own = ComparedCar::newest($bySource[$source->value] ?? []);
            if ($own !== []) {
                $all[] = self::of($source, $own, $forecast);
            }
        }

        return $all;
    }

    /** Energy for each metre (J/m); null where the model can't say. */
    public function perMetreJ(): ?Likely
    {
        return $this->perJouleM === null
            ? null
            : new Likely(1.0 / $this->perJouleM->value, 1.0 / $this->perJouleM->high, 1.0 / $this->perJouleM->low);
    }

    /** @param non-empty-list<ComparedCar> $cars */
    private static function of(EnergySource $source, array $cars, ClassForecast $forecast): self
    {
        $uses = array_map(static fn(ComparedCar $car): ?EnergyUse => self::use($car, $forecast), $cars);
        $known = array_values(array_filter($uses, static fn(?EnergyUse $use): bool => $use !== null));
        $times = array_values(
            array_filter(
                array_map(static fn(ComparedCar $car): ?float => $car->of(Outcome::Time)?->mean(), $cars),
                static fn(?float $time): bool => $time !== null,
            ),
        );
        // What a class's balloons or bands are like goes for all its cars alike, so that many cars make it no surer.
        /** @param callable(EnergyUse): Likely $of */
        $mean = static function (callable $of) use ($known): ?Likely {
            /** @var list<Likely> $likely */
            $likely = array_map($of, $known);

            return $likely === [] ? null : self::over(
                array_map(static fn(Likely $each): float => $each->value, $likely),
                array_sum(array_map(static fn(Likely $each): float => $each->relative(), $likely)) / count($likely),
            );
        };

        return new self(
            $source,
            array_map(static fn(ComparedCar $car, ?EnergyUse $use): array => [$car, $use], $cars, $uses),
            self::over(array_map(static fn(ComparedCar $car): float => $car->sample->mean(), $cars)) ?? new Likely(0.0, 0.0, 0.0),
            self::over($times),
            $mean(static fn(EnergyUse $use): Likely => $use->putInJ),
            $mean(static fn(EnergyUse $use): Likely => $use->share),
            $mean(static fn(EnergyUse $use): Likely => $use->perJouleM),
        );
    }

    private static function use(ComparedCar $car, ClassForecast $forecast): ?EnergyUse
    {
        $settings = $forecast->modelOf($car->id)?->settings;
        $state = $forecast->states[$car->id] ?? null;

        return $settings instanceof Settings && $state !== null ? EnergyUse::of($settings, $state, $car->sample->mean()) : null;
    }

    /**
     * The geometric mean over groups, with Student's interval of it and what all of them share.
     *
     * @param list<float> $values one of each group
     * @param float $shared standard uncertainty of the logarithm that goes for all of them alike
     */
    private static function over(array $values, float $shared = 0.0): ?Likely
    {
        $logs = array_map(static fn(float $value): float => log(max(1e-9, $value)), $values);
        if ($logs === []) {
            return null;
        }
        $sample = new Sample($logs);
        $half = count($logs) === 1
            ? 1.96 * self::BETWEEN_GROUPS
            : (new StudentT(count($logs) - 1))->intervalFactor() * ($sample->standardError() ?? 0.0);
        $half = hypot($half, 1.96 * $shared);

        return new Likely(exp($sample->mean()), exp($sample->mean() - $half), exp($sample->mean() + $half));
    }
}

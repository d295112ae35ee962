<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/** How every outcome goes with every attribute over a class, whatever else changes together with it: one car a group. */
final readonly class Trends
{
    /**
     * @param array<string, array<string, Trend>> $of each, by outcome and attribute
     * @param array<string, array<string, float>> $pValues of no such trend, likewise
     */
    private function __construct(
        public array $of,
        public array $pValues,
    ) {}

    /** @param list<ComparedCar> $cars */
    public static function among(array $cars): self
    {
        $trends = $pValues = [];
        foreach (self::outcomes($cars) as $outcome) {
            $newest = ComparedCar::newest(
                array_values(array_filter($cars, static fn(ComparedCar $car): bool => $car->of($outcome) !== null)),
            );
            $ofOutcome = $pOfOutcome = [];
            foreach (CarAttribute::explaining() as $factor) {
                $points = [];
                foreach ($newest as $car) {
                    $x = $car->choices->explanation($factor);
                    if ($x !== null) {
                        $points[] = new Point($car->id, $x, $car->of($outcome)?->mean() ?? 0.0);
                    }
                }
                $relation = $factor->explainsAsNumber() ? new NumberRelation($points) : new CategoryRelation($points);
                $p = $relation->pValue();
                if ($p !== null) {
                    $pOfOutcome[$factor->value] = $p;
                    $ofOutcome[$factor->value] = $relation->trend;
                }
            }
            if ($ofOutcome !== []) {
                [$trends[$outcome->value], $pValues[$outcome->value]] = [$ofOutcome, $pOfOutcome];
            }
        }

        return new self($trends, $pValues);
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return list<Outcome> those that at least two cars have
     */
    public static function outcomes(array $cars): array
    {
        return array_values(array_filter(
            Outcome::cases(),
            static fn(Outcome $outcome): bool => count(
                array_filter($cars, static fn(ComparedCar $car): bool => $car->of($outcome) !== null),
            ) > 1,
        ));
    }
}

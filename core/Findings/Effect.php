<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\Interval;

/** What one attribute did to one outcome, from all sets of like cars. */
final readonly class Effect
{
    /**
     * @param string|null $from of two kinds, the one; null for a number
     * @param string|null $to the other
     * @param float $least of it that a compared car has (SI); 0 for the one of two kinds
     * @param float $most of it that one has; 1 for the other
     * @param float $mean by how much the outcome differs between the two
     * @param Interval|null $interval of that, at 95 %; null where two cars speak alone
     * @param float|null $pValue of no effect at all, likewise
     * @param list<LikeCars> $sets of like cars behind it
     * @param list<LikeCars> $rebuilt versions of one group each, whether they speak in the effect or one of them alone could not
     * @param list<ComparedCar> $left cars that have an outcome, and that no set could take
     */
    private function __construct(
        public CarAttribute $factor,
        public Outcome $outcome,
        public ?string $from,
        public ?string $to,
        public float $least,
        public float $most,
        public float $mean,
        public ?Interval $interval,
        public ?float $pValue,
        public array $sets,
        private array $rebuilt,
        public array $left,
        private Slope $slope,
    ) {}

    /**
     * Every attribute that some set of like cars speaks of, the surest first.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<self>
     */
    public static function all(array $cars, Adjustment $adjustment = new NoAdjustment(), Outcome $outcome = Outcome::Distance): array
    {
        $effects = [];
        foreach (Difference::compared() as $attribute) {
            foreach ($attribute->explainsAsNumber() ? [null] : self::pairsOfKinds($cars, $attribute) as $kinds) {
                $effect = self::of($cars, $attribute, $outcome, $kinds, $adjustment);
                if ($effect !== null) {
                    $effects[] = $effect;
                }
            }
        }
        usort($effects, static fn(self $a, self $b): int => ($a->pValue ?? 2.0) <=> ($b->pValue ?? 2.0));

        return $effects;
    }

    /**
     * @param list<ComparedCar> $cars
     * @param array{string, string}|null $kinds the two that are compared; null for a number
     */
    public static function of(array $cars, CarAttribute $attribute, Outcome $outcome, ?array $kinds, Adjustment $adjustment): ?self
    {
        [$sets, $left] = LikeCars::among(
            $cars,
            $attribute,
            $outcome,
            $kinds === null ? null : [mb_strtolower(trim($kinds[0])), mb_strtolower(trim($kinds[1]))],
            $adjustment,
        );
        $slope = $sets === [] ? null : Slope::of($sets);
        if ($slope === null) {
            return null;
        }
        [$least, $most] = $kinds === null ? self::ends($slope->sets) : [0.0, 1.0];
        $span = $most - $least;
        $interval = $slope->interval();

        return new self(
            $attribute,
            $outcome,
            $kinds[0] ?? null,
            $kinds[1] ?? null,
            $least,
            $most,
            $span * $slope->slope,
            $interval === null ? null : new Interval($span * $interval->low, $span * $interval->high),
            $slope->pValue(),
            $slope->sets,
            array_values(array_filter($sets, static fn(LikeCars $set): bool => $set->group !== null)),
            $left,
            $slope,
        );
    }

    /**
     * @param list<LikeCars> $sets
     *
     * @return array{float, float}
     */
    private static function ends(array $sets): array
    {
        [$least, $most] = [INF, -INF];
        foreach ($sets as $set) {
            foreach ($set->cars as $alike) {
                [$least, $most] = [min($least, $alike->x), max($most, $alike->x)];
            }
        }

        return [$least, $most];
    }

    /** For each unit of it (SI); of two kinds, the difference. */
    public function perUnit(): float
    {
        return $this->slope->slope;
    }

    public function perUnitInterval(): ?Interval
    {
        return $this->slope->interval();
    }

    /** Standard error for each unit; null where two cars speak alone. */
    public function error(): ?float
    {
        return $this->slope->error;
    }

    /** Its degrees of freedom, likewise. */
    public function degrees(): ?float
    {
        return $this->slope->degrees;
    }

    /** Over the span, at another confidence. */
    public function intervalAt(float $confidence): ?Interval
    {
        $interval = $this->slope->interval($confidence);

        $span = $this->most - $this->least;

        return $interval === null ? null : new Interval($span * $interval->low, $span * $interval->high, $confidence);
    }

    /** Whether it rests on more than two cars: only then can anybody say how sure it is. */
    public function isPooled(): bool
    {
        return $this->interval !== null;
    }

    /** Whether it is apart from nothing, by itself. */
    public function isClear(): bool
    {
        return $this->interval?->contains(0.0) === false;
    }

    /** @return non-empty-list<string> the ids of the cars behind it */
    public function cars(): array
    {
        $ids = [];
        foreach ($this->sets as $set) {
            foreach ($set->cars as $alike) {
                $ids[] = $alike->car->id;
            }
        }

        return array_values(array_unique($ids)) ?: throw new \LogicException('An effect has cars.');
    }

    /** How many groups speak. */
    public function groups(): int
    {
        $groups = [];
        foreach ($this->sets as $set) {
            foreach ($set->cars as $alike) {
                $groups[$alike->car->group] = true;
            }
        }

        return count($groups);
    }

    /**
     * The groups that rebuilt their car for it: of each the version that has least of it and the one that has most.
     *
     * @return list<array{Alike, Alike}>
     */
    public function rebuilt(): array
    {
        $pairs = [];
        foreach ($this->rebuilt as $set) {
            $cars = $set->cars;
            usort($cars, static fn(Alike $a, Alike $b): int => $a->x <=> $b->x);
            $pairs[] = [$cars[0], $cars[count($cars) - 1]];
        }

        return $pairs;
    }

    /** Under which it is told from other effects. */
    public function key(): string
    {
        return "{$this->outcome->value} {$this->factor->value} {$this->from} {$this->to}";
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return list<array{string, string}> every two kinds of it that cars have, in the order of the alphabet
     */
    private static function pairsOfKinds(array $cars, CarAttribute $attribute): array
    {
        $kinds = [];
        foreach ($cars as $car) {
            $kind = $car->choices->explanation($attribute);
            if (is_string($kind)) {
                $kinds[mb_strtolower(trim($kind))] ??= trim($kind);
            }
        }
        ksort($kinds);
        $kinds = array_values($kinds);
        $pairs = [];
        foreach ($kinds as $i => $one) {
            foreach (array_slice($kinds, $i + 1) as $other) {
                $pairs[] = [$one, $other];
            }
        }

        return $pairs;
    }
}

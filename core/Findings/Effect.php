<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Normal;
use Skivo\Core\Statistics\Spearman;

/** What one attribute did to one outcome over a class, all else allowed for. */
final readonly class Effect
{
    /** Fewer groups than this have no say about others, unless two of them rebuilt their cars. */
    private const FEWEST_GROUPS = 4;
    private const FEWEST_REBUILT = 2;

    /** Of the attribute that a compared car has (SI); 0 for the one of two kinds. */
    public float $least;

    /** 1 for the other. */
    public float $most;

    /** By how much the outcome differs between the two. */
    public float $mean;

    /** Of that, at 95 %; null where too few groups speak. */
    public ?Interval $interval;

    /** Of no effect at all, likewise. */
    public ?float $pValue;

    /** @var list<FittedCar> the cars behind it */
    public array $fitted;

    /** @var list<ComparedCar> cars that have an outcome and no value of it, or that the model can't compute with */
    public array $left;

    /** @var list<AllowedFor> what else differs, what makes most first */
    public array $allowed;

    /**
     * @param string|null $from of two kinds, the one; null for a number
     * @param string|null $to the other
     */
    private function __construct(
        public CarAttribute $factor,
        public Outcome $outcome,
        public ?string $from,
        public ?string $to,
        private Fit $fit,
    ) {
        [$this->least, $this->most] = [$fit->span->least, $fit->span->most];
        [$this->mean, $this->interval, $this->pValue] = [$fit->difference($fit->slope), $fit->interval(), $fit->model?->pValue()];
        [$this->fitted, $this->left, $this->allowed] = [$fit->cars, $fit->left, $fit->allowed()];
    }

    /**
     * Every attribute in which cars differ, the surest first.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<self>
     */
    public static function all(
        array $cars,
        Contributions $contributions = new Contributions(),
        Outcome $outcome = Outcome::Distance,
        ?Question $question = null,
    ): array {
        $effects = [];
        $class = new Comparison($cars, $outcome, $contributions);
        foreach (Difference::compared() as $attribute) {
            foreach ($attribute->explainsAsNumber() ? [null] : self::pairsOfKinds($cars, $attribute) as $kinds) {
                $isAsked = $question?->attribute === $attribute && $question->outcome === $outcome;
                $effect = self::among($class, $attribute, $kinds, $isAsked);
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
    public static function of(
        array $cars,
        CarAttribute $attribute,
        Outcome $outcome = Outcome::Distance,
        ?array $kinds = null,
        Contributions $contributions = new Contributions(),
    ): ?self {
        return self::among(new Comparison($cars, $outcome, $contributions), $attribute, $kinds, true);
    }

    /** @param array{string, string}|null $kinds */
    private static function among(Comparison $class, CarAttribute $attribute, ?array $kinds, bool $isAsked): ?self
    {
        $fit = $class->fit($attribute, $kinds, $isAsked);
        if ($fit === null) {
            return null;
        }
        return new self(
            $attribute,
            $class->outcome,
            $kinds[0] ?? null,
            $kinds[1] ?? null,
            self::areEnough($attribute, $fit->cars) ? $fit : $fit->unsaid(),
        );
    }

    /**
     * Groups are witnesses, not cars: four of them, or two that compared a car of theirs with itself.
     *
     * @param list<FittedCar> $cars
     */
    private static function areEnough(CarAttribute $factor, array $cars): bool
    {
        $values = self::byGroup($cars);
        $rebuilt = count(array_filter($values, static fn(array $own): bool => min($own) !== max($own)));

        return $rebuilt >= self::FEWEST_REBUILT || (count($values) >= self::FEWEST_GROUPS && !self::hangOnOne($factor, $values));
    }

    /**
     * @param list<FittedCar> $cars
     *
     * @return array<array-key, non-empty-list<float>> the values of each group's cars
     */
    private static function byGroup(array $cars): array
    {
        $values = [];
        foreach ($cars as $each) {
            $values[$each->car->group][] = $each->x;
        }

        return $values;
    }

    /**
     * Without one of the groups all others have the same: what it does can't be told from that group's hands.
     *
     * @param array<array-key, non-empty-list<float>> $values
     */
    private static function hangOnOne(CarAttribute $factor, array $values): bool
    {
        foreach (array_keys($values) as $group) {
            $others = array_merge(...array_values(array_diff_key($values, [$group => true])) ?: [[]]);
            // Hand-made parts that nobody could tell apart are the same; 0 and 1 of two kinds are not.
            if ($others === [] || Difference::isSame($factor, min($others), max($others))) {
                return true;
            }
        }

        return false;
    }

    /** Whether only one group has another value than all the rest. */
    public function hangsOnOneGroup(): bool
    {
        return self::hangOnOne($this->factor, self::byGroup($this->fitted));
    }

    /** For each unit of it (SI), on average over the span; of two kinds, the difference. */
    public function perUnit(): float
    {
        return $this->mean / ($this->most - $this->least);
    }

    public function perUnitInterval(): ?Interval
    {
        $span = $this->most - $this->least;

        return $this->interval === null ? null : new Interval($this->interval->low / $span, $this->interval->high / $span);
    }

    /** Standard error for each unit, as a normal interval of that width would have it; null where too few groups speak. */
    public function error(): ?float
    {
        $interval = $this->perUnitInterval();

        return $interval === null ? null : ($interval->high - $interval->low) / 2 / Normal::quantile(0.975);
    }

    /** Over the span, at another confidence. */
    public function intervalAt(float $confidence): ?Interval
    {
        return $this->fit->interval($confidence);
    }

    /**
     * Of an outcome by the fit, for a car that is in the middle of the class in all else, with so much of the attribute (SI, or 0 and 1).
     */
    public function at(float $x): float
    {
        return $this->fit->at($x);
    }

    /** In which that lies, for the class's typical car, 95 times in a hundred; the outcome of another car lies about it. */
    public function bandAt(float $x): ?Interval
    {
        return $this->fit->bandAt($x);
    }

    /** @return array{float, float}|null over the span, of ln of the outcome (or in its own unit): the mean and its standard error; null where too few speak */
    public function slope(): ?array
    {
        return $this->fit->model === null ? null : [$this->fit->slope, $this->fit->model->deviation()];
    }

    /** Where a value lies along the span, from −½ to ½; null where it is none of the compared. */
    public function placeOf(float|string|null $value): ?float
    {
        return match (true) {
            $value === null => null,
            is_float($value) => $this->from === null ? $this->fit->span->place($value) : null,
            Difference::isSame($this->factor, $value, $this->from) => -0.5,
            Difference::isSame($this->factor, $value, $this->to) => 0.5,
            default => null,
        };
    }

    /** The value at one end of the span: 0 the least or the one kind, 1 the most or the other. */
    public function valueAt(int $end): float|string
    {
        return $end === 0 ? $this->from ?? $this->least : $this->to ?? $this->most;
    }

    /** Whether enough groups speak: only then can anybody say how sure it is. */
    public function isPooled(): bool
    {
        return $this->interval !== null;
    }

    /** Whether it is apart from nothing, by itself. */
    public function isClear(): bool
    {
        return $this->interval?->contains(0.0) === false;
    }

    /** What each thing makes of what lies between the cars at both ends; null where too few groups speak, or it does not multiply. */
    public function shares(): ?Shares
    {
        return $this->fit->model === null ? null : $this->fit->shares();
    }

    /** @return list<AllowedFor> what changed together with it, so that the effect rests on what the run model says of that */
    public function together(): array
    {
        return array_values(array_filter($this->allowed, static fn(AllowedFor $each): bool => $each->rSquared >= AllowedFor::SAID_FROM));
    }

    /** Whether a car behind it is only known to have gone at least so far. */
    public function isBounded(): bool
    {
        return $this->outcome === Outcome::Distance
            && array_filter($this->fitted, static fn(FittedCar $each): bool => $each->car->isPastEnd) !== [];
    }

    /**
     * Which way the cars go, one of each group, whatever else changed together with it: 1 up, −1 down, 0 neither clearly, by exact ranks.
     */
    public function looks(float $level = Claims::LEVEL): int
    {
        $newest = ComparedCar::newest(array_map(static fn(FittedCar $each): ComparedCar => $each->car, $this->fitted));
        $ids = array_map(static fn(ComparedCar $car): string => $car->id, $newest);
        $one = array_values(array_filter($this->fitted, static fn(FittedCar $each): bool => in_array($each->car->id, $ids, true)));
        $ranks = Spearman::of(
            array_map(static fn(FittedCar $each): float => $each->x, $one),
            array_map(static fn(FittedCar $each): float => $each->y, $one),
        );

        return $ranks !== null && ($ranks->pValue ?? 1.0) < $level ? $ranks->rho <=> 0.0 : 0;
    }

    /** @return non-empty-list<string> the ids of the cars behind it */
    public function cars(): array
    {
        return array_map(static fn(FittedCar $each): string => $each->car->id, $this->fitted)
            ?: throw new \LogicException('An effect has cars.');
    }

    /** How many groups speak. */
    public function groups(): int
    {
        return count(array_unique(array_map(static fn(FittedCar $each): string => $each->car->group, $this->fitted)));
    }

    /**
     * The groups that rebuilt their car for it: of each the version that has least of it and the one that has most.
     *
     * @return list<array{FittedCar, FittedCar}>
     */
    public function rebuilt(): array
    {
        $ofGroup = [];
        foreach ($this->fitted as $each) {
            $ofGroup[$each->car->group][] = $each;
        }
        $pairs = [];
        foreach ($ofGroup as $own) {
            usort($own, static fn(FittedCar $a, FittedCar $b): int => $a->x <=> $b->x);
            if ($own[0]->x !== $own[count($own) - 1]->x) {
                $pairs[] = [$own[0], $own[count($own) - 1]];
            }
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

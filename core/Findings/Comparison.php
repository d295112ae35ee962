<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Statistics\Censored;
use Skivo\Core\Statistics\MixedModel;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;

/**
 * The one analysis of every class: the cars of a class with one outcome, each version an observation, its groups for witnesses.
 *
 * What else differs than the tested attribute is allowed for by the run model, whose share is uncertain by half of itself, the same
 * half for all cars. What the model knows nothing of is a random part for each kind. Practice (a step for having been rebuilt) and
 * wear (a slope from try to try, learnt within all cars) are random parts for all cars alike. By statistics.md's rules, the sizes
 * of these parts from there and from trial.
 */
final readonly class Comparison
{
    /**
     * The model's share of an attribute is off by so much of itself; an unknown kind by so much (ln); a size that the model doesn't know by
     * so much from the middle of the class to its end.
     */
    public const OFF = 0.5;
    private const KIND = 0.1;
    private const UNKNOWN_SIZE = 0.1;

    /** Steps of the build whose parts make friction. */
    private const THAT_RUB = [Step::Axles, Step::Wheels, Step::Floor];

    /** Having been rebuilt makes all cars better or worse by so much (ln). */
    public const PRACTICE = 0.06;

    /** Tries scatter by so much of the mean where no car has two. Common practice, no source. */
    private const USUAL_SCATTER = 0.08;
    private const LEAST_ERROR = 0.005;

    /** A distance of nothing enters as so much of the class's middle, which it is at most. */
    private const AS_GOOD_AS_NOTHING = 0.05;

    /** How often what is only known to be more, or less, is brought to what it can be expected to be. */
    private const ROUNDS = 5;

    /** @var list<ComparedCar> */
    public array $cars;

    /** @var list<float> ln of the mean, or the mean in units, of each car */
    private array $y;

    /** @var list<float> of the error of that */
    private array $variances;

    /** @var list<int<-1, 1>> 1 where it is only known to be more, −1 where it is only known to be less, 0 else */
    private array $bounds;

    /** @var list<float> what is not known of what its tries lost by coming late, as a standard deviation */
    private array $wear;

    private ?float $unit;

    /** @param list<ComparedCar> $cars of a class, every version */
    public function __construct(array $cars, public Outcome $outcome, private Contributions $contributions)
    {
        $this->cars = array_values(array_filter($cars, static fn(ComparedCar $car): bool => $car->of($outcome) !== null));
        $samples = array_map(
            static fn(ComparedCar $car): Sample => $car->of($outcome) ?? throw new \LogicException('It has one.'),
            $this->cars,
        );
        $scatter = ModeratedScatter::of($samples, $outcome->goal()->resolution(), $outcome->goal()->scattersInProportion());
        $typical = $samples === []
            ? 1.0
            : max(1e-9, (new Sample(array_map(static fn(Sample $each): float => $each->mean(), $samples)))->median());
        $this->unit = $outcome->isByFactors() ? null : $typical;
        $y = $variances = $bounds = [];
        foreach ($samples as $i => $sample) {
            $mean = $sample->mean();
            $nothing = self::AS_GOOD_AS_NOTHING * $typical;
            $isNothing = $this->unit === null && $mean <= $nothing;
            $scale = $this->unit ?? max($nothing, $mean);
            $y[] = $this->unit === null ? log($scale) : $mean / $scale;
            $error = $scatter === null ? self::USUAL_SCATTER / sqrt($sample->n) : $scatter->standardError($sample) / $scale;
            $variances[] = max(self::LEAST_ERROR, $error) ** 2;
            $bounds[] = match (true) {
                $isNothing => -1,
                $outcome === Outcome::Distance && $this->cars[$i]->isPastEnd => 1,
                default => 0,
            };
        }
        [$this->bounds, $this->variances] = [$bounds, $variances];
        // What adds up wears out in no such way.
        $wear = $this->unit === null ? Wear::among($this->cars, $samples, $variances, $bounds) : null;
        $this->y = $wear === null ? $y : array_map(static fn(float $own, float $off): float => $own - $off, $y, $wear->makes);
        $this->wear = $wear->unsure ?? array_fill(0, count($y), 0.0);
    }

    /**
     * @param array{string, string}|null $kinds the two that are compared; null for a number
     *
     * @return Fit|null null where no two cars differ in it
     */
    public function fit(CarAttribute $tested, ?array $kinds, bool $isAsked = true): ?Fit
    {
        $taken = $x = $left = [];
        foreach ($this->cars as $i => $car) {
            $ofPart = $kinds === null ? $this->contributions->ofParts[$tested->value][$car->id] ?? null : null;
            $own = self::x($car, $tested, $kinds) ?? $ofPart;
            if ($own === null || in_array($car->id, $this->contributions->beyond, true)) {
                $left[] = $car;
            } else {
                [$taken[], $x[]] = [$i, $own];
            }
        }
        if ($x === [] || ($kinds === null ? Difference::isSame($tested, min($x), max($x)) : min($x) === max($x))) {
            return null;
        }
        $span = new Span(min($x), max($x), $kinds === null && $tested->range()[0] > 0.0);
        $place = array_map($span->place(...), $x);
        // What acts through friction would vanish with what a bench measured of it.
        $rubs = in_array($tested->step(), self::THAT_RUB, true) ? [CarAttribute::Workmanship] : [];
        $belongs = [$tested, ...$tested->entailed(), ...$rubs];
        $beside = $this->outcome->isByFactors() ? $this->contributions->beside($belongs) : [];
        [$columns, $evened, $variances] = $this->allowing($taken, $beside, array_slice($belongs, 1));
        $random = [...$columns, ...$this->ofKinds($taken, $belongs), ...$this->ofHistory($taken)];
        [$y, $model] = $this->solved($taken, $place, $random, $evened, $variances);
        $slope = $model?->fixed[1] ?? self::lone($place, $y);
        // The cars at both ends of the span, as near to it as nobody could tell apart.
        $ends = array_map(static fn(float $end): array => array_keys(array_filter(
            $x,
            static fn(float $own): bool => $kinds === null ? Difference::isSame($tested, $own, $end) : $own === $end,
        )), [$span->least, $span->most]);
        $made = $this->made($place, $ends, $beside, $columns, $model);
        $fitted = [];
        foreach ($taken as $at => $i) {
            $mean = $this->cars[$i]->of($this->outcome)?->mean() ?? 0.0;
            $fitted[] = new FittedCar($this->cars[$i], $x[$at], $mean, $this->unit === null ? exp($y[$at] - $made['of'][$at]) : $mean);
        }

        return new Fit(
            $fitted,
            $left,
            $span,
            $slope,
            $model?->fixed[0] ?? array_sum($y) / count($y),
            $this->unit,
            $model,
            $made['over'],
            array_map(
                static fn(array $at): float => array_sum(array_map(static fn(int $i): float => $fitted[$i]->y, $at)) / count($at),
                $ends,
            ),
        );
    }

    /**
     * What the model makes of all else, taken out of each car's outcome; and how unsure that is: one column for each attribute.
     *
     * @param list<int> $taken
     * @param list<CarAttribute> $beside
     * @param list<CarAttribute> $entailed by the tested one, of which an unrecorded size is in doubt as well: an error in x
     *
     * @return array{list<list<float>>, array<int, float>, array<int, float>} columns, outcomes and their variances
     */
    private function allowing(array $taken, array $beside, array $entailed): array
    {
        $y = array_map(fn(int $i): float => $this->y[$i], $taken);
        $variances = array_map(fn(int $i): float => $this->variances[$i], $taken);
        $columns = [];
        foreach ($beside as $attribute) {
            $column = [];
            foreach ($taken as $at => $i) {
                $makes = $this->contributions->log($attribute, $this->cars[$i]->id);
                $y[$at] -= $makes;
                $column[] = self::OFF * $makes;
            }
            $columns[] = $column;
        }
        foreach ($this->contributions->doubts as $key => $doubts) {
            if ($this->outcome->isByFactors() && !in_array(CarAttribute::from($key), $entailed, true)) {
                foreach ($taken as $at => $i) {
                    $variances[$at] += ($doubts[$this->cars[$i]->id] ?? 0.0) ** 2;
                }
            }
        }

        return [$columns, $y, $variances];
    }

    /**
     * @param list<int> $taken
     * @param list<CarAttribute> $belongs
     *
     * @return list<list<float>> a column for each kind that the model knows nothing of, and for each such size
     */
    private function ofKinds(array $taken, array $belongs): array
    {
        $columns = [];
        foreach (Difference::compared() as $attribute) {
            if (in_array($attribute, $belongs, true) || isset($this->contributions->logs[$attribute->value])) {
                continue;
            }
            $values = array_map(fn(int $i): float|string|null => $this->cars[$i]->choices->explanation($attribute), $taken);
            if ($attribute->explainsAsNumber()) {
                $columns[] = self::ofUnknownSize($attribute, $values);

                continue;
            }
            $said = array_map(static fn(float|string|null $value): string => mb_strtolower(trim((string) $value)), $values);
            $names = array_unique(array_filter($said, static fn(string $name): bool => $name !== ''));
            foreach (count($names) > 1 ? $names : [] as $name) {
                $columns[] = array_map(static fn(string $own): float => $own === $name ? self::KIND : 0.0, $said);
            }
        }

        return array_values(array_filter($columns, static fn(array $column): bool => array_filter($column) !== []));
    }

    /**
     * @param list<float|string|null> $values
     *
     * @return list<float>
     */
    private static function ofUnknownSize(CarAttribute $attribute, array $values): array
    {
        $known = array_map(
            floatval(...),
            array_values(array_filter($values, static fn(float|string|null $value): bool => $value !== null)),
        );
        if ($known === [] || Difference::isSame($attribute, min($known), max($known)) || $attribute->facts()->ruler !== null) {
            return [];
        }
        $middle = (min($known) + max($known)) / 2;
        $half = (max($known) - min($known)) / 2;

        return array_map(
            static fn(float|string|null $value): float => $value === null ? 0.0 : self::UNKNOWN_SIZE * ((float) $value - $middle) / $half,
            $values,
        );
    }

    /**
     * @param list<int> $taken
     *
     * @return list<list<float>> having been rebuilt, and what is not known of wear
     */
    private function ofHistory(array $taken): array
    {
        $rebuilt = array_map(fn(int $i): float => $this->cars[$i]->version > 1 ? self::PRACTICE : 0.0, $taken);
        $wear = array_map(fn(int $i): float => $this->wear[$i], $taken);

        return array_values(array_filter([$rebuilt, $wear], static fn(array $column): bool => array_filter($column) !== []));
    }

    /**
     * @param list<int> $taken
     * @param list<float> $place
     * @param list<list<float>> $columns of the random parts
     * @param array<int, float> $y
     * @param array<int, float> $variances
     *
     * @return array{array<int, float>, MixedModel|null} what is only a bound brought to what it can be expected to be, and the fit
     */
    private function solved(array $taken, array $place, array $columns, array $y, array $variances): array
    {
        $fixed = array_map(static fn(float $at): array => [1.0, $at], $place);
        $random = array_map(static fn(int $at): array => array_column($columns, $at), array_keys($y));
        $groups = array_map(fn(int $i): string => $this->cars[$i]->group, $taken);
        $rebuilt = array_map(fn(int $i): bool => $this->cars[$i]->version > 1, $taken);
        $bounds = array_filter(array_map(fn(int $i): int => $this->bounds[$i], $taken), static fn(int $bound): bool => $bound !== 0);
        [$moved, $wider] = [$y, $variances];
        if (count($bounds) === count($y)) {
            // Nothing but bounds: nobody knows how far any of them goes.
            return [$y, null];
        }
        for ($round = 0; ; $round++) {
            $model = MixedModel::fit($fixed, $random, $moved, $wider, $groups, $rebuilt);
            if ($model === null || $round === self::ROUNDS || $bounds === []) {
                return [$moved, $model];
            }
            foreach ($bounds as $at => $bound) {
                $expected = $model->fixed[0] + $model->fixed[1] * $place[$at]
                    + array_sum(array_map(static fn(float $z, float $u): float => $z * $u, $random[$at], $model->random));
                $deviation = sqrt($model->ofGroups ** 2 + $variances[$at]);
                [$moved[$at], $variance] = Censored::beyond($y[$at], $bound, $expected, $deviation);
                $wider[$at] = $variances[$at] + $variance;
            }
        }
    }

    /**
     * What each attribute that was allowed for makes, by model and class together.
     *
     * @param list<float> $place
     * @param array{list<int>, list<int>} $ends which cars have the least and the most of the tested attribute
     * @param list<CarAttribute> $beside
     * @param list<list<float>> $columns
     *
     * @return array{of: array<int, float>, over: array<string, array{float, float}>} of each car beyond what the model took out, and between the ends
     */
    private function made(array $place, array $ends, array $beside, array $columns, ?MixedModel $model): array
    {
        $of = array_fill(0, count($place), 0.0);
        $over = [];
        foreach ($beside as $k => $attribute) {
            $off = $model->random[$k] ?? 0.0;
            $makes = [];
            foreach ($columns[$k] as $at => $half) {
                $makes[] = $half / self::OFF + $off * $half;
                $of[$at] += $off * $half;
            }
            if (array_filter($columns[$k]) !== []) {
                $between = self::meanOf($makes, $ends[1]) - self::meanOf($makes, $ends[0]);
                $over[$attribute->value] = [self::along($place, $columns[$k])[0], $between];
            }
        }

        return ['of' => $of, 'over' => $over];
    }

    /**
     * @param list<float> $values
     * @param list<int> $at
     */
    private static function meanOf(array $values, array $at): float
    {
        return array_sum(array_map(static fn(int $i): float => $values[$i], $at)) / count($at);
    }

    /**
     * @param list<float> $x
     * @param array<int, float> $y
     *
     * @return array{float, float} r², and the slope
     */
    private static function along(array $x, array $y): array
    {
        $n = count($x);
        [$meanX, $meanY] = [array_sum($x) / $n, array_sum($y) / $n];
        $xx = $yy = $xy = 0.0;
        foreach ($x as $i => $each) {
            $xx += ($each - $meanX) ** 2;
            $yy += ($y[$i] - $meanY) ** 2;
            $xy += ($each - $meanX) * ($y[$i] - $meanY);
        }

        return $xx > 0.0 && $yy > 0.0 ? [$xy ** 2 / ($xx * $yy), $xy / $xx] : [0.0, 0.0];
    }

    /**
     * Of cars too few to be fitted.
     *
     * @param list<float> $place
     * @param array<int, float> $y
     */
    private static function lone(array $place, array $y): float
    {
        return self::along($place, $y)[1];
    }

    /** @param array{string, string}|null $kinds */
    private static function x(ComparedCar $car, CarAttribute $tested, ?array $kinds): ?float
    {
        $value = $car->choices->explanation($tested);
        if ($kinds === null) {
            return is_float($value) ? $value : null;
        }
        $place = is_string($value)
            ? array_search(
                mb_strtolower(trim($value)),
                array_map(static fn(string $kind): string => mb_strtolower(trim($kind)), $kinds),
                true,
            )
            : false;

        return $place === false ? null : (float) $place;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\StudentT;

/**
 * The next fair test: which car should change what, and to which value, so that the class learns most. The class's own
 * question is finished before another is opened, by a group that has not yet rebuilt its car for it.
 *
 * A rebuilt car is compared with itself. Among all that would be one for the choice in question, the one is proposed
 * that adds most of what the other choice does not account for: the squares of the choice about its fit on the other,
 * after the new car less before. One over them is the variance of the choice's slope. A number is changed by half at most,
 * where that can be: more than that makes another car of it.
 */
final readonly class NextTest
{
    private const BY_AT_MOST = 1.6;

    /** Whoever changes these makes another car, and does so only where the class asks about them. */
    private const ANOTHER_CAR = [
        CarAttribute::Chassis, CarAttribute::ChassisLength, CarAttribute::ChassisWidth, CarAttribute::Wheelbase, CarAttribute::Track,
        CarAttribute::BalloonNominal, CarAttribute::NozzleHeight, CarAttribute::Bearing,
    ];

    /** Rebuilding a car changes how far it goes by so much of it (standard deviation), and a version makes so many tries. From memory. */
    private const OF_REBUILDING = 0.04;
    private const TRIES = 3;

    private function __construct(
        public CarAttribute $factor,
        public ComparedCar $car,
        public float|string $from,
        public float|string $to,
        /** The choice that changes together with it now; null where none does. */
        public ?CarAttribute $confoundedWith,
        /** An effect of so much (m) between the two will then show in four classes of five; null before two groups have rebuilt for it. */
        public ?float $showsM = null,
    ) {}

    /**
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects what like cars already say
     * @param list<Confounding> $confounded
     * @param Claims|null $claims which of that holds; what is clear by itself where null
     * @param Question|null $question of the class
     * @param \Closure(ComparedCar, CarAttribute, float|string): bool|null $mayBe whether a car may be changed so; any where null
     * @param ModeratedScatter|null $scatter of the tries
     *
     * @return self|null null where no two cars differ in anything that may be changed
     */
    public static function propose(
        array $cars,
        array $effects,
        array $confounded,
        ?Claims $claims = null,
        ?Question $question = null,
        ?\Closure $mayBe = null,
        ?ModeratedScatter $scatter = null,
    ): ?self {
        foreach (self::questions($cars, $effects, $confounded, $claims, $question) as [$factor, $other]) {
            $found = self::test($cars, $factor, $other, $mayBe ?? static fn(): bool => true);
            if ($found !== null) {
                return $found->showing(self::rebuiltFor($effects, $factor), $scatter);
            }
        }

        return null;
    }

    /**
     * @param list<ComparedCar> $cars
     * @param \Closure(ComparedCar, CarAttribute, float|string): bool $mayBe
     */
    private static function test(array $cars, CarAttribute $factor, ?CarAttribute $other, \Closure $mayBe): ?self
    {
        // The newest version of each group's car is the one that can be rebuilt.
        $newest = ComparedCar::newest($cars);
        $values = $tried = [];
        foreach ($cars as $car) {
            $value = $car->choices->explanation($factor);
            if ($value !== null) {
                $values[(string) $value] = $value;
                $tried[$car->group][(string) $value] = true;
            }
        }
        $before = self::apart($cars, $factor, $other, null);
        $best = null;
        $most = [false, false, -INF];
        foreach ($newest as $car) {
            $own = $car->choices->explanation($factor);
            if ($own === null) {
                continue;
            }
            foreach ($values as $value) {
                if (Difference::isSame($factor, $own, $value) || !$mayBe($car, $factor, $value)) {
                    continue;
                }
                // That group has run a car of this kind: it need not build it again.
                if (is_string($value) && isset($tried[$car->group][$value])) {
                    continue;
                }
                $near = !is_float($own)
                    || !is_float($value)
                    || ($own > 0.0 && $value > 0.0 && max($own / $value, $value / $own) <= self::BY_AT_MOST + 1e-9);
                $gain = [count($tried[$car->group]) === 1, $near, round(self::apart($cars, $factor, $other, [$car, $value]) - $before, 12)];
                if ($gain > $most) {
                    [$most, $best] = [$gain, new self($factor, $car, $own, $value, $other)];
                }
            }
        }

        return $best;
    }

    /**
     * How many groups have rebuilt their car for it and nothing else.
     *
     * @param list<Effect> $effects
     */
    private static function rebuiltFor(array $effects, CarAttribute $factor): int
    {
        foreach ($effects as $effect) {
            if ($effect->factor === $factor && $effect->outcome === Outcome::Distance) {
                return count($effect->rebuilt());
            }
        }

        return 0;
    }

    /**
     * The same, with what it will tell: (t₀.₉₇₅ + t₀.₈)·√2·σ/√m, for m rebuilt cars whose versions differ by σ: what is left of
     * the tries' scatter in a mean of three, and what rebuilding itself changes.
     */
    private function showing(int $rebuilt, ?ModeratedScatter $scatter): self
    {
        $groups = $rebuilt + 1;
        if ($scatter === null || $groups < 2) {
            return $this;
        }
        $mean = $this->car->sample->mean();
        $deviation = hypot(sqrt($scatter->priorVariance / self::TRIES), self::OF_REBUILDING) * $mean;
        $t = new StudentT($groups - 1);

        return new self(
            $this->factor,
            $this->car,
            $this->from,
            $this->to,
            $this->confoundedWith,
            ($t->quantile(0.975) + $t->quantile(0.8)) * M_SQRT2 * $deviation / sqrt($groups),
        );
    }

    /**
     * What the class should ask next: its own question until that is clear; then a confounded pair; then the choice that
     * varies and that like cars say least of.
     *
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects
     * @param list<Confounding> $confounded
     * @param Claims|null $claims which of what like cars say holds
     *
     * @return list<array{CarAttribute, CarAttribute|null}> each with what goes along with it, the first to be asked first
     */
    private static function questions(array $cars, array $effects, array $confounded, ?Claims $claims, ?Question $question): array
    {
        $asked = $settled = [];
        foreach ($effects as $effect) {
            if ($effect->outcome === ($question->outcome ?? Outcome::Distance)) {
                $isSettled = $claims === null
                    ? $effect->isClear()
                    : !in_array($claims->verdict($effect), [Answer::CannotTell, Answer::Hint], true);
                $settled[$effect->factor->value] = ($settled[$effect->factor->value] ?? false) || $isSettled;
            }
        }
        if ($question !== null && !($settled[$question->attribute->value] ?? false)) {
            $with = array_values(array_filter(
                array_map(static fn(Confounding $pair): ?CarAttribute => $pair->besides($question->attribute), $confounded),
                static fn(?CarAttribute $other): bool => $other !== null,
            ));
            $asked[] = [$question->attribute, $with[0] ?? null];
        }
        foreach ($confounded as $pair) {
            if (!($settled[$pair->one->value] ?? false)) {
                $asked[] = [$pair->one, $pair->other];
            } elseif (!($settled[$pair->other->value] ?? false)) {
                $asked[] = [$pair->other, $pair->one];
            }
        }
        $varying = Confounding::varying($cars);
        // What no like cars speaks of comes before what they leave open.
        foreach ([null, false] as $open) {
            foreach ($varying as $factor) {
                if (($settled[$factor->value] ?? null) === $open) {
                    $asked[] = [$factor, null];
                }
            }
        }

        return array_values(array_filter(
            $asked,
            static fn(array $test): bool => $test[0] === $question?->attribute || !in_array($test[0], self::ANOTHER_CAR, true),
        ));
    }

    /**
     * The squares of a choice about what another accounts for: about a straight fit on a number, within the kinds of a
     * kind. A choice that is itself a kind counts as whether it is the rebuilt car's.
     *
     * @param list<ComparedCar> $cars
     * @param array{ComparedCar, float|string}|null $rebuilt a car, and what it would have
     */
    private static function apart(array $cars, CarAttribute $factor, ?CarAttribute $other, ?array $rebuilt): float
    {
        $value = $rebuilt === null ? null : $rebuilt[1];
        $points = [];
        foreach ($cars as $car) {
            $points[] = [$car->choices->explanation($factor), ($other === null ? null : $car->choices->explanation($other))];
        }
        if ($rebuilt !== null) {
            $points[] = [$value, ($other === null ? null : $rebuilt[0]->choices->explanation($other))];
        }
        $kinds = $x = $y = [];
        foreach ($points as [$held, $beside]) {
            if ($held === null || ($other !== null && $beside === null)) {
                continue;
            }
            $number = is_float($held) ? $held : (float) ($held === $value);
            $y[] = $number;
            $x[] = is_float($beside) ? $beside : 0.0;
            $kinds[is_string($beside) ? $beside : ''][] = $number;
        }
        if ($y === []) {
            return 0.0;
        }

        return $other?->explainsAsNumber() === true
            ? self::squares($y) * (1.0 - (LeastSquares::fit($x, $y)->rSquared ?? 0.0))
            : array_sum(array_map(self::squares(...), $kinds));
    }

    /** @param non-empty-list<float> $values */
    private static function squares(array $values): float
    {
        $mean = array_sum($values) / count($values);

        return array_sum(array_map(static fn(float $each): float => ($each - $mean) ** 2, $values));
    }
}

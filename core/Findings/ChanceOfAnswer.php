<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Statistics\Normal;
use Skivo\Core\Statistics\Sample;

/**
 * Whether a class will get an answer from a plan: how often simulated classes of that plan are told what is true, or wrongly, or
 * can't tell, by the very function that answers. Their truth is the run model with what it says off by N(0, 0.5²) of itself, with
 * hands, rebuilding, practice and wear as classes have them; not the world that the estimator assumes.
 */
final readonly class ChanceOfAnswer
{
    /** Groups' cars of one design differ by so much (ln), a rebuilt one by so much from itself, tries by so much. From memory. */
    private const HANDS = 0.2;
    private const REBUILDING = 0.04;
    private const TRIES = 0.08;
    private const PRACTICE = 0.06;
    private const WEAR = 0.01;
    private const MODEL_OFF = 0.5;

    /** In free designs what else differs makes so much of how far a car goes (ln), as far as the run model knows it. From memory. */
    private const ELSE_IN_FREE_DESIGNS = 0.3;

    /** The two that are compared stand as bores of these (m): which attribute it is makes no difference to the arithmetic. */
    private const ONE = 0.006;
    private const OTHER = 0.008;

    /** Within a tenth it hardly matters. */
    private const HARDLY = Answer::HARDLY;

    private const SEED = 20261201;

    /**
     * @param int $classes that were simulated
     * @param int $right how many were told what is true
     * @param int $wrong how many something else
     */
    private function __construct(public int $classes, public int $right, public int $wrong) {}

    /**
     * @param float $effect ln of the factor on the outcome from the one value to the other, by the run model
     * @param PlannedClass $plan of groups and tries
     * @param int $classes to simulate; the same draws for every plan, so that two plans differ by what they are
     * @param int $from how many were simulated before: each class has a seed of its own
     */
    public static function of(float $effect, PlannedClass $plan, int $classes, int $from = 0): self
    {
        $right = $wrong = 0;
        for ($class = $from; $class < $from + $classes; $class++) {
            $chance = new Randomizer(new Xoshiro256StarStar(self::SEED + $class));
            $true = $effect * (1.0 + self::MODEL_OFF * self::normal($chance));
            [$cars, $contributions] = self::cars($chance, $true, $plan);
            $answer = Answer::of(Effect::of($cars, CarAttribute::NozzleBore, contributions: $contributions), 1.0);
            $truth = abs(exp($true) - 1.0) < self::HARDLY ? Answer::HardlyMatters : ($true > 0.0 ? Answer::More : Answer::Less);
            // A small effect that is told with its direction is told right.
            $isRight = $answer === $truth || ($answer->isTold() && $answer->agrees($true <=> 0.0) === true);
            $right += (int) $isRight;
            $wrong += (int) ($answer->isTold() && !$isRight);
        }

        return new self($classes, $right, $wrong);
    }

    /** With as many more classes. */
    public function and(self $more): self
    {
        return new self($this->classes + $more->classes, $this->right + $more->right, $this->wrong + $more->wrong);
    }

    public function chanceOfRight(): float
    {
        return $this->right / $this->classes;
    }

    public function chanceOfWrong(): float
    {
        return $this->wrong / $this->classes;
    }

    /** Whether another plan gains more than two standard errors on it. */
    public function isBeatenBy(self $other): bool
    {
        $share = ($this->right + $other->right) / ($this->classes + $other->classes);

        return $other->chanceOfRight() - $this->chanceOfRight() > 2.0 * sqrt(2.0 * $share * (1.0 - $share) / $this->classes);
    }

    /**
     * Of one simulated class, the asked thing standing as a bore, and what goes along with it as a mass.
     *
     * @return array{list<ComparedCar>, Contributions}
     */
    private static function cars(Randomizer $chance, float $true, PlannedClass $plan): array
    {
        $cars = $besides = [];
        $practice = self::PRACTICE * self::normal($chance);
        $wear = self::WEAR * self::normal($chance);
        $massOff = 1.0 + self::MODEL_OFF * self::normal($chance);
        $begins = Design::draw($plan->groups, $chance);
        for ($group = 0; $group < $plan->groups; $group++) {
            $hands = self::HANDS * self::normal($chance);
            $anything = [self::normal($chance), self::normal($chance)];
            $draws = array_map(static fn(): float => self::normal($chance), range(0, PlannedClass::MOST_TRIES * 2 + 1));
            $made = 0;
            foreach ($plan->versions() as $version => $tries) {
                $isOther = $begins[$group] !== ($version === 1);
                $share = $plan->design->isDivided() ? (float) $isOther : Normal::cumulative($anything[0]);
                $else = $plan->design->isDivided() ? $share * $plan->goesAlong : self::ELSE_IN_FREE_DESIGNS * $anything[1];
                $mean = $hands + $share * $true + $else * $massOff
                    + ($version > 0 ? $practice + self::REBUILDING * $draws[0] : 0.0);
                $values = [];
                for ($try = 0; $try < $tries; $try++) {
                    $values[] = exp($mean + $wear * $made + self::TRIES * $draws[1 + $version * PlannedClass::MOST_TRIES + $try]);
                    $made++;
                }
                $id = "{$group}-{$version}";
                $besides[$id] = $else;
                $cars[] = new ComparedCar($id, (string) $group, $version + 1, self::car($share), new Sample($values));
            }
        }
        $middle = array_sum($besides) / max(1, count($besides));
        $differs = array_filter($besides, static fn(float $log): bool => abs($log - $middle) > 1e-12) !== [];

        return [$cars, new Contributions($differs
            ? [CarAttribute::Mass->value => array_map(static fn(float $log): float => $log - $middle, $besides)]
            : [])];
    }

    /** @param float $share of the way from the one to the other */
    private static function car(float $share): Car
    {
        $bore = self::ONE + $share * (self::OTHER - self::ONE);

        return new Car([CarAttribute::NozzleBore->value => new Entry(CarAttribute::NozzleBore->quantity($bore), (string) $bore)]);
    }

    private static function normal(Randomizer $chance): float
    {
        return Normal::quantile(($chance->getInt(0, 999_999_999) + 0.5) / 1e9);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
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
     */
    public static function of(float $effect, PlannedClass $plan, int $classes): self
    {
        $right = $wrong = 0;
        for ($class = 0; $class < $classes; $class++) {
            $chance = new Randomizer(new Xoshiro256StarStar(self::SEED + $class));
            $true = $effect * (1.0 + self::MODEL_OFF * self::normal($chance));
            $answer = Answer::of(Effect::of(self::cars($chance, $true, $plan), CarAttribute::NozzleBore), 1.0);
            $truth = abs(exp($true) - 1.0) < self::HARDLY ? Answer::HardlyMatters : ($true > 0.0 ? Answer::More : Answer::Less);
            // A small effect that is told with its direction is told right.
            $isRight = $answer === $truth || ($answer->isTold() && $answer->agrees($true <=> 0.0) === true);
            $right += (int) $isRight;
            $wrong += (int) ($answer->isTold() && !$isRight);
        }

        return new self($classes, $right, $wrong);
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

    /** @return list<ComparedCar> of one simulated class, the asked thing standing as a bore of one or the other size */
    private static function cars(Randomizer $chance, float $true, PlannedClass $plan): array
    {
        $cars = [];
        $practice = self::PRACTICE * self::normal($chance);
        $wear = self::WEAR * self::normal($chance);
        for ($group = 0; $group < $plan->groups; $group++) {
            $hands = self::HANDS * self::normal($chance);
            $draws = array_map(static fn(): float => self::normal($chance), range(0, PlannedClass::MOST_TRIES * 2 + 1));
            $made = 0;
            foreach ($plan->versions($group) as $version => $tries) {
                $has = $plan->hasOther($group, $version);
                $mean = $hands + ($has ? $true : 0.0) + ($version > 0 ? $practice + self::REBUILDING * $draws[0] : 0.0);
                $values = [];
                for ($try = 0; $try < $tries; $try++) {
                    $values[] = exp($mean + $wear * $made + self::TRIES * $draws[1 + $version * PlannedClass::MOST_TRIES + $try]);
                    $made++;
                }
                $cars[] = new ComparedCar("{$group}-{$version}", (string) $group, $version + 1, self::car($has), new Sample($values));
            }
        }

        return $cars;
    }

    private static function car(bool $hasOther): Car
    {
        $bore = $hasOther ? 0.008 : 0.006;

        return new Car([CarAttribute::NozzleBore->value => new Entry(CarAttribute::NozzleBore->quantity($bore), (string) $bore)]);
    }

    private static function normal(Randomizer $chance): float
    {
        return Normal::quantile(($chance->getInt(0, 999_999_999) + 0.5) / 1e9);
    }
}

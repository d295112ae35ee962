<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;

/**
 * What a class says about one school, and by what: fair pairs if they are clear; else, where the choices of the class can
 * be told apart, the regression over all cars; else it can't tell, and says why.
 */
final readonly class Ruling
{
    /** By so much the model turns a choice to hear which way it goes. */
    private const TURN = 1.15;

    /** Below this share of the distance the model calls it no difference. */
    private const HARDLY = 0.01;

    /**
     * @param bool|null $isSupported null where the class can't tell
     * @param Effect|null $effect the fair pairs that speak of it, clear or not
     * @param bool $byRegression whether the verdict rests on the regression, which is weaker than fair pairs
     * @param CarAttribute|null $confoundedWith what goes along with it here
     * @param bool $varies whether the class has more than one value of it at all
     * @param int<-1, 1>|null $modelSays 1 where the model agrees with the claim for a typical car here, −1 where it does not, 0 where it makes no difference; null where the model has no opinion
     */
    private function __construct(
        public School $school,
        public ?bool $isSupported,
        public ?Effect $effect,
        public bool $byRegression,
        public ?CarAttribute $confoundedWith,
        public bool $varies,
        public ?int $modelSays,
    ) {}

    /**
     * One for every school.
     *
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects
     * @param list<Confounding> $confounded
     * @param Claims $claims which of what is found holds
     * @param Settings|null $typical a typical car of the class
     *
     * @return list<self>
     */
    public static function all(array $cars, array $effects, array $confounded, SeveralFactors $several, Claims $claims, ?Settings $typical): array
    {
        return array_map(
            static fn(School $school): self => self::of($school, $cars, $effects, $confounded, $several, $claims, $typical),
            School::cases(),
        );
    }

    /**
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects
     * @param list<Confounding> $confounded
     */
    private static function of(
        School $school,
        array $cars,
        array $effects,
        array $confounded,
        SeveralFactors $several,
        Claims $claims,
        ?Settings $typical,
    ): self {
        $factors = $school->factors();
        $own = array_values(array_filter($effects, static fn(Effect $effect): bool => in_array($effect->factor, $factors, true)));
        $clear = array_values(array_filter($own, $claims->effect(...)));
        $effect = $clear[0] ?? $own[0] ?? null;
        $slope = null;
        foreach ($clear === [] ? $factors : [] as $factor) {
            $slope ??= $claims->slope($factor) ? self::slope($several, $factor) : null;
        }
        $sign = $clear === [] ? ($slope ?? 0) : $effect?->mean <=> 0.0;
        $with = null;
        foreach ($confounded as $pair) {
            $with ??= in_array($pair->one, $factors, true) ? $pair->other : (in_array($pair->other, $factors, true) ? $pair->one : null);
        }
        $varies = array_filter(
            $factors,
            static fn(CarAttribute $factor): bool => count(
                array_unique(
                    array_filter(
                        array_map(static fn(ComparedCar $car): string => (string) $car->choices->explanation($factor), $cars),
                        static fn(string $value): bool => $value !== '',
                    ),
                ),
            ) > 1,
        );

        return new self(
            $school,
            $sign === 0 ? null : ($school->direction() === 0 || $sign === $school->direction()),
            $effect,
            $clear === [] && $sign !== 0,
            $with,
            $varies !== [],
            $typical === null ? null : self::opinion($school, $typical),
        );
    }

    /** The direction of a clear slope in the regression; null where it has none. */
    private static function slope(SeveralFactors $several, CarAttribute $factor): ?int
    {
        $index = array_search($factor, $several->factors, true);
        if ($index === false || !$several->isSeparable() || $several->intervals[$index]->contains(0.0)) {
            return null;
        }

        return $several->slopes[$index] <=> 0.0;
    }

    /** @return int<-1, 1>|null */
    private static function opinion(School $school, Settings $typical): ?int
    {
        $setting = $school->factor();
        $ruler = $setting->facts()->ruler;
        if ($ruler === null) {
            return null;
        }
        [$least, $greatest] = [$ruler->least, $ruler->greatest];
        $at = $typical->get($setting);
        [$less, $more] = match ($school) {
            School::TurningAxle => [0.0, 1.0],
            School::MoreOutlets => [$at, $at + 1.0],
            School::NozzleDown => [0.0, 10.0],
            default => [$at / self::TURN, $at * self::TURN],
        };
        try {
            $distance = static fn(float $value): float => Simulator::run(
                $typical->with($setting, max($least, min($greatest, $value)))->design(),
                1e-4,
            )->distanceM;
            $difference = $distance($more) - $distance($less);
        } catch (OutOfRangeException) {
            return null;
        }
        $typicalDistance = $distance($at);

        return abs($difference) <= self::HARDLY * max($typicalDistance, 1e-6)
            ? 0
            : (($difference > 0.0) === ($school->direction() > 0) ? 1 : -1);
    }
}

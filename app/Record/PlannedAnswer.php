<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Findings\ChanceOfAnswer;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\PlannedClass;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\StrengthPrior;
use Skivo\Core\Forecast\Workmanship;
use Skivo\Core\Measurement\OutOfRangeException;

/** Whether a class will get an answer from its plan, by simulated classes of that very plan; and what would help most. */
final readonly class PlannedAnswer
{
    /** Classes are simulated in so many slices of so many. */
    public const SLICES = 4;
    private const CLASSES = 50;

    /** Tries of a car lie so far from each other (share). Common practice, no source. */
    private const SCATTER = 0.08;

    /**
     * @param bool $isWhole whether all of its classes are simulated
     * @param string|null $best what would help most, as PlannedClass::alternatives() has it, or "farther"; null where nothing gains more
     * than chance, and before all is simulated
     */
    private function __construct(
        public Contrast $contrast,
        public PlannedClass $plan,
        public ChanceOfAnswer $chance,
        public bool $isWhole,
        public ?string $best = null,
        public ?ChanceOfAnswer $ofBest = null,
    ) {}

    /**
     * Null where the class asks nothing that the run model can compute for its kit.
     *
     * @param int $slices of its classes; what was simulated before is not simulated again
     */
    public static function of(ClassPlan $class, int $slices = self::SLICES): ?self
    {
        $effects = self::effects($class);
        $slices = min(self::SLICES, max(1, $slices));

        return $effects === null ? null : new self(
            $effects['contrast'],
            $effects['plan'],
            self::chance($effects['effect'], $effects['plan'], $slices),
            $slices === self::SLICES,
        );
    }

    /** The same, if it was worked out before. */
    public static function known(ClassPlan $class): ?self
    {
        $known = self::canBe($class->challenge) ? WorkedOut::known('planned-answer', self::from($class)) : null;

        return $known instanceof self ? $known : null;
    }

    /** All of it, with what would help most; kept. */
    public static function whole(ClassPlan $class): ?self
    {
        return self::canBe($class->challenge)
            ? WorkedOut::from('planned-answer', self::from($class), static function () use ($class): ?self {
                $effects = self::effects($class);

                return $effects === null ? null : self::advised($effects);
            })
            : null;
    }

    /** Whether the class asks what can be worked out at all. */
    public static function canBe(Challenge $challenge): bool
    {
        return $challenge->asked()?->outcome === Outcome::Distance;
    }

    /** @param array{contrast: Contrast, plan: PlannedClass, effect: float, farther: float|null} $effects */
    private static function advised(array $effects): self
    {
        ['contrast' => $contrast, 'plan' => $plan, 'effect' => $effect, 'farther' => $farther] = $effects;
        $chance = self::chance($effect, $plan, self::SLICES);
        $better = [];
        foreach ($plan->alternatives() as $name => $alternative) {
            $better[$name] = self::chance($effect, $alternative, self::SLICES);
        }
        if ($farther !== null) {
            $better['farther'] = self::chance($farther, $plan, self::SLICES);
        }
        $best = $ofBest = null;
        foreach ($better as $name => $of) {
            if ($chance->isBeatenBy($of) && ($ofBest === null || $of->right > $ofBest->right)) {
                [$best, $ofBest] = [$name, $of];
            }
        }

        return new self($contrast, $plan, $chance, true, $best, $ofBest);
    }

    private static function chance(float $effect, PlannedClass $plan, int $slices): ChanceOfAnswer
    {
        $chance = null;
        for ($slice = 0; $slice < $slices; $slice++) {
            $of = WorkedOut::from(
                'planned-slice',
                [$effect, $plan, $slice],
                static fn(): ChanceOfAnswer => ChanceOfAnswer::of($effect, $plan, self::CLASSES, self::CLASSES * $slice),
            ) ?? throw new \LogicException('A slice has its classes.');
            $chance = $chance?->and($of) ?? $of;
        }

        return $chance ?? throw new \LogicException('There is at least one slice.');
    }

    /** @return array{contrast: Contrast, plan: PlannedClass, effect: float, farther: float|null}|null what the run model says of the plan */
    private static function effects(ClassPlan $class): ?array
    {
        $contrast = self::canBe($class->challenge) ? $class->design->compared() : null;
        if ($contrast === null) {
            return null;
        }
        $effect = self::effect($class, $contrast);
        if ($effect === null) {
            return null;
        }
        $challenge = $class->challenge;
        $mass = $challenge->is_mass_even || !$challenge->way()->isDivided() ? 0.0 : $class->design->heavierByKg();
        $kit = $class->kitCar();
        $own = $kit->number(CarAttribute::Mass) ?? CarAttribute::Mass->ruler()->typical;
        $heavy = abs($mass) < 1e-6 ? null : [
            self::distance($challenge, $kit->with(CarAttribute::Mass, $own)),
            self::distance($challenge, $kit->with(CarAttribute::Mass, max(0.3 * $own, $own + $mass))),
        ];
        $farther = $contrast->farther();

        return [
            'contrast' => $contrast,
            'plan' => new PlannedClass(
                $challenge->way(),
                max(1, $class->plan->groups),
                max(1, $challenge->tries),
                $challenge->way()->isRebuilt() ? max(1, $class->plan->tries_again ?: $challenge->tries) : 0,
                $heavy === null || $heavy[0] === null || $heavy[1] === null ? 0.0 : log($heavy[1] / $heavy[0]),
            ),
            'effect' => $effect,
            'farther' => $farther === null ? null : self::effect($class, $farther),
        ];
    }

    /** @return array<array-key, mixed> all that it rests on */
    private static function from(ClassPlan $class): array
    {
        $challenge = $class->challenge;

        return [
            $challenge->asked(), $class->design->compared(), $class->kitCar(), $challenge->way(), $challenge->is_mass_even,
            $class->plan->groups, $challenge->tries, $class->plan->tries_again, $challenge->surface, $challenge->air_temperature_c,
        ];
    }

    /** Ln of the factor on the distance from the one to the other, both as heavy. */
    private static function effect(ClassPlan $class, Contrast $contrast): ?float
    {
        $distance = static function (bool $isOther) use ($class, $contrast): ?float {
            $kit = $contrast->kit($isOther)->car($class->challenge->units, $class->sizes)->over($class->kitCar());
            $car = $contrast->carOf($kit, $isOther);

            return self::distance($class->challenge, $car->completedBy((new Car())->with(
                CarAttribute::Mass,
                CarAttribute::Mass->ruler()->typical,
            )));
        };
        [$one, $other] = [$distance(false), $distance(true)];

        // What the model knows nothing of makes no difference to it.
        return $one === null || $other === null || $one === $other ? null : log($other / $one);
    }

    /** Of a car as usual hands build it, by the run model (m); null where that can't say. */
    private static function distance(Challenge $challenge, Car $car): ?float
    {
        $model = DesignForecast::model($challenge, $car);
        if ($model === null) {
            return null;
        }
        $state = (new Workmanship([], StrengthPrior::of($car->source() ?? EnergySource::Balloon)))->usual(self::SCATTER);
        try {
            $distance = Prediction::begin($model->settings, $state)->run(1e-3)->distanceM;
        } catch (OutOfRangeException) {
            return null;
        }

        return $distance > 0.0 ? $distance : null;
    }
}

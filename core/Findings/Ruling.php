<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Simulation\Settings;

/** What a class says about one belief, for one outcome, or why it can't tell. */
final readonly class Ruling
{
    /** By so much the model turns a choice to hear which way it goes. */
    private const TURN = 1.15;

    /** Below this share of the distance the model calls it no difference. */
    private const HARDLY = 0.01;

    /**
     * @param bool|null $isSupported null where the class can't tell
     * @param Effect|null $effect what its cars say, clear or not
     * @param bool $varies whether the class has more than one value of it at all
     * @param int<-1, 1>|null $modelSays 1 where the model agrees with the claim for a typical car here, −1 where it does not, 0 where it makes no difference; null where the model has no opinion
     */
    private function __construct(
        public Belief $belief,
        public Outcome $outcome,
        public ?bool $isSupported,
        public Answer $answer,
        public ?Effect $effect,
        public bool $varies,
        public ?int $modelSays,
    ) {}

    /**
     * One for every belief, and for every outcome that it is held of and that the class measured.
     *
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects
     * @param Claims $claims which of what is found holds
     * @param ByModel $model of the class
     * @param string|null $typical the id of a typical car of the class
     *
     * @return list<self>
     */
    public static function all(
        array $cars,
        array $effects,
        Claims $claims,
        ByModel $model,
        ?string $typical,
    ): array {
        $settings = $typical === null ? null : $model->settingsOf($typical);
        $opinion = static fn(Belief $belief): ?int => $typical === null || $settings === null
            ? null
            : self::opinion($belief, $model, $typical, $settings);
        $rulings = [];
        $sources = array_values(
            array_unique(
                array_map(static fn(ComparedCar $car): EnergySource => $car->choices->source() ?? EnergySource::Balloon, $cars),
                SORT_REGULAR,
            ),
        );
        foreach (
            array_filter(Belief::cases(), static fn(Belief $belief): bool => $sources === [] || $belief->concerns($sources)) as $belief
        ) {
            foreach ($belief->outcomes() as $outcome) {
                if (
                    $outcome === $belief->outcomes()[0]
                    || array_filter($cars, static fn(ComparedCar $car): bool => $car->of($outcome) !== null) !== []
                ) {
                    $says = $outcome === Outcome::Distance ? $opinion($belief) : null;
                    $rulings[] = self::of($belief, $outcome, $cars, $effects, $claims, $says);
                }
            }
        }

        return $rulings;
    }

    /**
     * @param list<ComparedCar> $cars
     * @param list<Effect> $effects
     * @param int<-1, 1>|null $modelSays
     */
    private static function of(
        Belief $belief,
        Outcome $outcome,
        array $cars,
        array $effects,
        Claims $claims,
        ?int $modelSays,
    ): self {
        $factors = $belief->factors();
        $own = array_values(array_filter(
            $effects,
            static fn(Effect $effect): bool => $effect->outcome === $outcome && in_array($effect->factor, $factors, true),
        ));
        $told = array_values(array_filter($own, static fn(Effect $effect): bool => $claims->verdict($effect)->isTold()));
        $effect = $told[0] ?? $own[0] ?? null;
        $answer = $effect === null ? Answer::CannotTell : $claims->verdict($effect);
        // A better car takes less time, and strays less.
        $better = $outcome === Outcome::Distance ? $belief->direction() : -$belief->direction();
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
            $belief,
            $outcome,
            match (true) {
                $told !== [] && $better === 0 => $answer !== Answer::HardlyMatters,
                $told !== [] => $answer->agrees($better),
                default => null,
            },
            $answer,
            $effect,
            $varies !== [],
            $modelSays,
        );
    }

    /** @return int<-1, 1>|null */
    private static function opinion(Belief $belief, ByModel $model, string $typical, Settings $settings): ?int
    {
        $setting = $belief->factor();
        $ruler = $setting->facts()->ruler;
        if ($ruler === null || $belief->direction() === 0 || !$setting->belongsTo($settings->source)) {
            return null;
        }
        $at = $settings->get($setting);
        [$less, $more] = match ($belief) {
            Belief::TurningAxle => [0.0, 1.0],
            Belief::MoreOutlets, Belief::TwoBalloons => [$at, $at + 1.0],
            Belief::NozzleDown => [0.0, 10.0],
            default => [$at / self::TURN, $at * self::TURN],
        };
        $distance = static fn(float $value): ?float => $model->distanceM(
            $typical,
            [$setting->value => max($ruler->least, min($ruler->greatest, $value))],
        );
        [$ofLess, $ofMore, $now] = [$distance($less), $distance($more), $model->distanceM($typical)];
        if ($ofLess === null || $ofMore === null || $now === null) {
            return null;
        }
        $difference = $ofMore - $ofLess;

        return abs($difference) <= self::HARDLY * max($now, 1e-6)
            ? 0
            : (($difference > 0.0) === ($belief->direction() > 0) ? 1 : -1);
    }
}

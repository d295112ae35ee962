<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;

/**
 * Cars that can be compared for one attribute: the versions of one group, or one car of each group, in which all kinds but
 * the tested one are the same. Sizes that differ among them are adjusted for: each outcome is brought to the set's median car
 * by the run model. A car that would need too much of that is left out, and so is one of which something is not recorded
 * that most of the others have.
 */
final readonly class LikeCars
{
    /** More adjustment than this and a car is another car. */
    private const MOST_ADJUSTED = 0.15;

    /**
     * What the model can't adjust for may differ from the set's median by so much; end plays by so much (m). Common practice, no source.
     */
    private const MOST_APART = 0.10;
    private const END_PLAYS_APART_M = 0.001;

    /** A rebuild that changed more sizes than this, beside the tested one, is no witness of one. */
    private const MOST_CHANGED = 2;

    /** What follows by necessity from the tested attribute, or says it in another way, and so is part of its effect. */
    private const FOLLOWS = [
        CarAttribute::NozzleBore->value => [CarAttribute::NozzleKind],
        CarAttribute::WiderBore->value => [CarAttribute::NozzleKind, CarAttribute::WidestBore],
        CarAttribute::WidestBore->value => [CarAttribute::NozzleKind, CarAttribute::WiderBore],
        CarAttribute::NozzleLength->value => [CarAttribute::NozzleKind],
        CarAttribute::NozzleOutlets->value => [CarAttribute::NozzleKind],
        CarAttribute::NozzleKind->value => [
            CarAttribute::NozzleBore, CarAttribute::WiderBore, CarAttribute::WidestBore, CarAttribute::NozzleOutlets,
            CarAttribute::NozzleLength,
        ],
        CarAttribute::WheelDiameter->value => [CarAttribute::WheelKind, CarAttribute::NozzleHeight],
        CarAttribute::WheelKind->value => [CarAttribute::WheelDiameter, CarAttribute::Track, CarAttribute::NozzleHeight],
        CarAttribute::BalloonSize->value => [CarAttribute::PumpStrokes],
        CarAttribute::PumpStrokes->value => [CarAttribute::BalloonSize],
        CarAttribute::Chassis->value => [
            CarAttribute::ChassisLength, CarAttribute::ChassisWidth, CarAttribute::Wheelbase, CarAttribute::Track,
        ],
        CarAttribute::ChassisLength->value => [CarAttribute::Wheelbase],
        CarAttribute::ChassisWidth->value => [CarAttribute::Track],
        CarAttribute::Joint->value => [CarAttribute::BandTurns],
        CarAttribute::BandsInChain->value => [CarAttribute::ChainLength],
        CarAttribute::ChainLength->value => [CarAttribute::BandsInChain],
        CarAttribute::Ballast->value => [CarAttribute::Mass],
    ];

    /** Without one of each of these on record there is no claim about anything else, of cars that have any such thing. */
    private const ESSENTIAL = [
        [CarAttribute::NozzleBore, CarAttribute::NozzleKind],
        [CarAttribute::BalloonSize, CarAttribute::PumpStrokes],
        [CarAttribute::ChainLength],
        [CarAttribute::TurnsWound],
        [CarAttribute::RampHeight],
        [CarAttribute::Mass],
        [CarAttribute::WheelKind, CarAttribute::WheelDiameter],
    ];

    /**
     * @param string|null $group whose versions these are; null where each is another group's
     * @param non-empty-list<Alike> $cars at least two that differ in the tested attribute
     */
    private function __construct(
        public ?string $group,
        public array $cars,
    ) {}

    /**
     * Every set of a class for one attribute and one outcome.
     *
     * @param list<ComparedCar> $cars
     * @param array{string, string}|null $kinds the two that are compared, in lower case; null for a number
     *
     * @return array{list<self>, list<ComparedCar>} the sets, and the cars that no set could take
     */
    public static function among(array $cars, CarAttribute $tested, Outcome $outcome, ?array $kinds, Adjustment $adjustment): array
    {
        $able = array_values(array_filter(
            $cars,
            static fn(ComparedCar $car): bool => $car->of($outcome) !== null && self::x($car, $tested, $kinds) !== null,
        ));
        $beside = self::beside($tested);
        if (self::unrecorded($able, $tested) !== []) {
            return [[], []];
        }
        $all = $beside;
        [$able, $beside] = self::complete($able, $beside, $tested);
        $sets = $taken = [];
        foreach (
            self::candidates(
                $able,
                $beside,
                array_values(
                    array_udiff($all, $beside, static fn(CarAttribute $one, CarAttribute $other): int => $one->value <=> $other->value),
                ),
            ) as [$group, $members]
        ) {
            $set = self::of($group, $members, $tested, $outcome, $kinds, $beside, $adjustment);
            if ($set !== null) {
                $sets[] = $set;
                foreach ($set->cars as $alike) {
                    $taken[$alike->car->id] = true;
                }
            }
        }
        $left = array_values(
            array_filter($cars, static fn(ComparedCar $car): bool => !isset($taken[$car->id]) && $car->of($outcome) !== null),
        );

        return [$sets, $left];
    }

    /**
     * What must be known of cars to say anything of them, and nobody has recorded: nozzle, balloon, mass or wheels.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<CarAttribute>
     */
    public static function unrecorded(array $cars, CarAttribute $tested): array
    {
        $missing = [];
        foreach (self::ESSENTIAL as $family) {
            $isKnown = in_array($tested, $family, true) || array_filter(
                $cars,
                static fn(ComparedCar $car): bool => self::hasOneOf($car, $family),
            ) !== [];
            if (!$isKnown) {
                $missing[] = $family[0];
            }
        }

        return $missing;
    }

    /** @param array{string, string}|null $kinds */
    private static function x(ComparedCar $car, CarAttribute $tested, ?array $kinds): ?float
    {
        $value = $car->choices->explanation($tested);
        if ($kinds === null) {
            return is_float($value) ? $value : null;
        }
        $place = is_string($value) ? array_search(mb_strtolower(trim($value)), $kinds, true) : false;

        return $place === false ? null : (float) $place;
    }

    /** @return list<CarAttribute> in which cars that are compared must agree, or be adjusted */
    private static function beside(CarAttribute $tested): array
    {
        // Another source of energy brings its own drive along.
        $follows = $tested === CarAttribute::EnergySource
            ? array_filter(CarAttribute::cases(), static fn(CarAttribute $each): bool => $each->isOfTheDrive())
            : self::FOLLOWS[$tested->value] ?? [];

        return array_values(array_filter(
            Difference::compared(),
            static fn(CarAttribute $each): bool => $each !== $tested && !in_array($each, $follows, true),
        ));
    }

    /**
     * The cars of which enough is known, and what of it is looked at: what most have, the others must have too; what fewer have
     * is as good as not recorded.
     *
     * @param list<ComparedCar> $cars
     * @param list<CarAttribute> $beside
     *
     * @return array{list<ComparedCar>, list<CarAttribute>}
     */
    private static function complete(array $cars, array $beside, CarAttribute $tested): array
    {
        foreach (self::ESSENTIAL as $family) {
            if (!in_array($tested, $family, true)) {
                $cars = array_values(array_filter($cars, static fn(ComparedCar $car): bool => self::hasOneOf($car, $family)));
            }
        }
        $looked = [];
        foreach ($beside as $attribute) {
            $asked = array_filter($cars, static fn(ComparedCar $car): bool => self::isAskedOf($car, $attribute));
            $known = array_filter($asked, static fn(ComparedCar $car): bool => self::value($car, $attribute) !== null);
            if (2 * count($known) > count($asked)) {
                $looked[] = $attribute;
            }
        }
        // Strokes say no more of cars whose balloons were measured.
        if (in_array(CarAttribute::BalloonSize, $looked, true)) {
            $looked = array_values(array_filter($looked, static fn(CarAttribute $each): bool => $each !== CarAttribute::PumpStrokes));
        }

        return [
            array_values(array_filter($cars, static fn(ComparedCar $car): bool => array_filter(
                $looked,
                static fn(CarAttribute $each): bool => self::value($car, $each) === null && self::isAskedOf($car, $each),
            ) === [])),
            $looked,
        ];
    }

    private static function value(ComparedCar $car, CarAttribute $attribute): float|string|null
    {
        return $car->choices->explanation($attribute) ?? $attribute->facts()->unsaid;
    }

    /** Whether it means anything of a car that is driven as this one. */
    private static function isAskedOf(ComparedCar $car, CarAttribute $attribute): bool
    {
        return $attribute->belongsTo($car->choices->source() ?? EnergySource::Balloon);
    }

    /**
     * Whether one of them is on record, or none of them is asked of such a car.
     *
     * @param non-empty-list<CarAttribute> $family
     */
    private static function hasOneOf(ComparedCar $car, array $family): bool
    {
        return !self::isAskedOf($car, $family[0])
            || array_filter($family, static fn(CarAttribute $each): bool => $car->choices->explanation($each) !== null) !== [];
    }

    /**
     * @param list<ComparedCar> $cars
     * @param list<CarAttribute> $beside
     * @param list<CarAttribute> $little what fewer have: cars that say something else of it are still no like cars
     *
     * @return list<array{string|null, list<ComparedCar>}> the versions of each group, then one car of each group, by their kinds
     */
    private static function candidates(array $cars, array $beside, array $little): array
    {
        $isKind = static fn(CarAttribute $each): bool => !$each->explainsAsNumber();
        $said = static fn(ComparedCar $car, CarAttribute $each): string => mb_strtolower(trim((string) self::value($car, $each)));
        $usual = [];
        foreach (array_filter($little, $isKind) as $each) {
            $counts = array_count_values(
                array_filter(
                    array_map(static fn(ComparedCar $car): string => $said($car, $each), $cars),
                    static fn(string $one): bool => $one !== '',
                ),
            );
            ksort($counts);
            arsort($counts);
            $usual[$each->value] = (string) array_key_first($counts);
        }
        $key = static fn(ComparedCar $car): string => implode("\n", array_map(
            static fn(CarAttribute $each): string => $said($car, $each) === ($usual[$each->value] ?? null) ? '' : $said($car, $each),
            array_values(array_filter([...$beside, ...$little], $isKind)),
        ));
        $versions = $newest = [];
        foreach ($cars as $car) {
            $versions["{$car->group}\n{$key($car)}"][] = $car;
        }
        foreach (ComparedCar::newest($cars) as $car) {
            $newest[$key($car)][] = $car;
        }

        return [
            ...array_map(static fn(array $set): array => [$set[0]->group, $set], array_values($versions)),
            ...array_map(static fn(array $set): array => [null, $set], array_values($newest)),
        ];
    }

    /**
     * @param list<ComparedCar> $cars
     * @param array{string, string}|null $kinds
     * @param list<CarAttribute> $beside
     */
    private static function of(
        ?string $group,
        array $cars,
        CarAttribute $tested,
        Outcome $outcome,
        ?array $kinds,
        array $beside,
        Adjustment $adjustment,
    ): ?self {
        $sizes = array_values(array_filter($beside, static fn(CarAttribute $each): bool => $each->explainsAsNumber()));
        if ($group !== null) {
            $cars = self::littleChanged($cars, $sizes);
        }
        // Whoever is left out moves the median, so the rest are looked at again.
        do {
            $before = count($cars);
            $medians = self::medians($cars, $sizes);
            $alike = [];
            foreach ($cars as $car) {
                $brought = self::brought($car, $tested, $outcome, $kinds, $medians, $adjustment);
                if ($brought !== null) {
                    $alike[] = $brought;
                }
            }
            $cars = array_map(static fn(Alike $each): ComparedCar => $each->car, $alike);
        } while (count($cars) < $before);
        $x = array_map(static fn(Alike $each): float => $each->x, $alike);

        return count($alike) < 2 || self::isOne($tested, $x, $kinds) ? null : new self($group, $alike);
    }

    /**
     * The versions that changed few sizes from the first.
     *
     * @param list<ComparedCar> $cars
     * @param list<CarAttribute> $sizes
     *
     * @return list<ComparedCar>
     */
    private static function littleChanged(array $cars, array $sizes): array
    {
        $first = $cars[0] ?? null;

        return array_values(array_filter($cars, static fn(ComparedCar $car): bool => $first === null || count(array_filter(
            $sizes,
            static fn(CarAttribute $each): bool => !Difference::isSame($each, self::value($first, $each), self::value($car, $each)),
        )) <= self::MOST_CHANGED));
    }

    /**
     * @param list<ComparedCar> $cars
     * @param list<CarAttribute> $sizes
     *
     * @return array<string, float>
     */
    private static function medians(array $cars, array $sizes): array
    {
        $medians = [];
        foreach ($cars === [] ? [] : $sizes as $size) {
            $values = array_map(static fn(ComparedCar $car): float => (float) self::value($car, $size), $cars);
            sort($values);
            $middle = intdiv(count($values), 2);
            $medians[$size->value] = count($values) % 2 === 1 ? $values[$middle] : ($values[$middle - 1] + $values[$middle]) / 2;
        }

        return $medians;
    }

    /**
     * @param array{string, string}|null $kinds
     * @param array<string, float> $medians
     */
    private static function brought(
        ComparedCar $car,
        CarAttribute $tested,
        Outcome $outcome,
        ?array $kinds,
        array $medians,
        Adjustment $adjustment,
    ): ?Alike {
        $moved = [];
        $areSame = true;
        foreach ($medians as $key => $median) {
            $attribute = CarAttribute::from($key);
            $own = (float) self::value($car, $attribute);
            // A little heavier comes of a larger part, and belongs to it.
            $isSame = Difference::isSame($attribute, $own, $median);
            if ($isSame && ($attribute === CarAttribute::Mass || !$adjustment->knows($attribute, $outcome))) {
                continue;
            }
            if ($adjustment->knows($attribute, $outcome)) {
                if (abs($own - $median) > 1e-9) {
                    $moved[$key] = $median;
                    $areSame = $areSame && $isSame;
                }
            } elseif (abs($own - $median) > self::mostApart($attribute, $own, $median)) {
                return null;
            }
        }
        $factor = $moved === [] ? 1.0 : $adjustment->factor($car->id, $moved, $outcome) ?? ($areSame ? 1.0 : null);
        $y = $car->of($outcome)?->mean();
        if ($factor === null || $y === null || abs($factor - 1.0) > self::MOST_ADJUSTED) {
            return null;
        }

        return new Alike($car, self::x($car, $tested, $kinds) ?? 0.0, $factor * $y, abs($factor - 1.0) * abs($y) / 2);
    }

    private static function mostApart(CarAttribute $attribute, float $own, float $median): float
    {
        return match ($attribute) {
            CarAttribute::EndPlay => self::END_PLAYS_APART_M,
            // How high above the floor it blows matters to nothing that is measured.
            CarAttribute::NozzleHeight => INF,
            default => self::MOST_APART * max(abs($own), abs($median)),
        };
    }

    /**
     * @param list<float> $x
     * @param array{string, string}|null $kinds
     */
    private static function isOne(CarAttribute $tested, array $x, ?array $kinds): bool
    {
        foreach ($x as $value) {
            if ($kinds === null ? !Difference::isSame($tested, $value, $x[0]) : $value !== $x[0]) {
                return false;
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Attribute\PartKind;

/**
 * The parts that a class's cars may be built of, with starting values for the run model.
 *
 * Where a value says "memory", it was recalled without a document at hand, and a bench test should replace
 * it; sizes are common practice, no source.
 */
final readonly class Catalogue
{
    /** Where values come from, by the key under which lang/ says it. */
    private const SIZE = 'sizes';
    private const LOSS = 'losses';
    private const STRAW = 'practice';
    private const MEMORY = 'memory';
    private const RUBBER = 'rubber';

    /** @var array<string, list<Part>> by the value of their kind */
    private array $byKind;

    /** @param list<Part> $parts */
    public function __construct(public array $parts)
    {
        $byKind = [];
        foreach ($parts as $part) {
            $byKind[$part->kind->value][] = $part;
        }
        $this->byKind = $byKind;
    }

    public static function standard(): self
    {
        /** @var self|null $standard */
        static $standard = null;

        return $standard ??= new self(
            [...self::balloons(), ...self::nozzles(), ...self::wheels(), ...self::bearings(), ...self::chassis(), ...self::surfaces()],
        );
    }

    /** @return list<Part> */
    private static function balloons(): array
    {
        return [
            self::balloon('round 30 cm', 0.30, 0.060, 0.00025, 0.015, self::RUBBER, '12 in round'),
            self::balloon('round 23 cm', 0.23, 0.050, 0.00025, 0.013, self::RUBBER, '9 in round'),
            self::balloon('round 13 cm', 0.13, 0.035, 0.00022, 0.010, self::MEMORY, '5 in round'),
        ];
    }

    /** @return list<Part> */
    private static function nozzles(): array
    {
        return [
            self::nozzle('drinking straw', 0.006, 0.15, [PartTrait::Straw, PartTrait::DrinkingStraw], ['straw'], outside: 0.0064),
            self::nozzle('wide straw', 0.008, 0.15, [PartTrait::Straw], outside: 0.0085),
            self::nozzle(
                'bundle of straws',
                0.006,
                0.12,
                [PartTrait::Straw, PartTrait::DrinkingStraw, PartTrait::Bundled],
                outside: 0.0064,
            ),
            self::nozzle(
                'stepped tubes',
                0.006,
                0.10,
                wider: [
                    CarAttribute::WiderBore->value => 0.009, CarAttribute::WiderOutside->value => 0.012,
                    CarAttribute::WidestBore->value => 0.012,
                ],
                outside: 0.009,
            ),
            self::nozzle('plastic tube', 0.009, 0.15, outside: 0.012),
            self::nozzle('baster tube', 0.006, 0.16, outside: 0.008),
            self::nozzle('balloon neck', 0.012, 0.03, [PartTrait::NoTube]),
        ];
    }

    /** @return list<Part> */
    private static function wheels(): array
    {
        $plastic = [PartTrait::PiercedByHand, PartTrait::PiercedPlastic, PartTrait::Collected];

        return [
            self::wheel('bottle caps', 0.030, 0.0025, 0.7, 0.006, 0.014, 0.0015, 0.30, $plastic, ['caps', 'milk-jug caps']),
            self::wheel('jar lids', 0.060, 0.010, 0.7, 0.006, 0.012, 0.001, 0.30, $plastic, ['lids', 'yoghurt lids']),
            self::wheel('card discs', 0.060, 0.003, 0.5, 0.012, 0.003, 0.003, 0.40, [PartTrait::PiercedByHand], ['card']),
            self::wheel(
                'optical discs',
                0.120,
                0.016,
                0.52,
                0.006,
                0.0012,
                0.0012,
                0.25,
                [PartTrait::WideHole, PartTrait::Collected, PartTrait::Shatters],
                ['discs', 'CD', 'CDs', 'DVD', 'DVDs', 'compact discs'],
            ),
            self::wheel('bought wheels', 0.035, 0.004, 0.6, 0.006, 0.010, 0.010, 0.35, [], ['wheel-and-axle set']),
            self::wheel('pulley wheels with rubber ring', 0.040, 0.006, 0.8, 0.015, 0.008, 0.008, 0.80, []),
        ];
    }

    /** @return list<Part> */
    private static function bearings(): array
    {
        $soft = [PartTrait::TurnsInStraw, PartTrait::CutByScissors];

        return [
            self::bearing('bamboo skewer in a plastic straw', 0.003, 0.30, 0.0008, 0.005, [PartTrait::TurnsInStraw, PartTrait::Skewer]),
            self::bearing('steel rod in a plastic straw', 0.003, 0.18, 0.006, 0.005, [PartTrait::TurnsInStraw]),
            self::bearing('coffee stirrer in a plastic straw', 0.004, 0.30, 0.0005, 0.006, $soft),
            self::bearing('thin straw in a wide straw', 0.006, 0.30, 0.0004, 0.008, $soft),
            self::bearing('plastic hub on steel', 0.002, 0.15, 0.003, 0.0022),
            self::bearing('brick-kit axle in its beam', 0.0048, 0.25, 0.001, 0.0049),
        ];
    }

    /** @return list<Part> */
    private static function chassis(): array
    {
        return [
            self::oneChassis('corrugated card', 0.15, 0.075, 0.004, also: ['card']),
            self::oneChassis('foam board', 0.13, 0.10, 0.005, [PartTrait::CutByKnife]),
            self::oneChassis('packing foam', 0.15, 0.075, 0.025, [PartTrait::CutByKnife, PartTrait::Collected], form: ChassisForm::Block),
            self::oneChassis('wooden block', 0.13, 0.075, 0.02, [PartTrait::Sawn], ['block'], form: ChassisForm::Block),
            self::oneChassis('folded paper plate', 0.18, 0.08, 0.012, also: ['paper plate'], form: ChassisForm::FoldedPlate),
            self::oneChassis('plastic bottle', 0.20, 0.065, 0.065, [PartTrait::Collected], ['bottle'], ChassisForm::Bottle),
            self::oneChassis('paper cup', 0.10, 0.08, 0.08, [PartTrait::Collected], form: ChassisForm::Cup),
            self::oneChassis('craft stick', 0.15, 0.02, 0.002, form: ChassisForm::Stick),
            self::oneChassis('brick kit', 0.128, 0.064, 0.0096, form: ChassisForm::BrickFrame),
        ];
    }

    /** @return list<Part> */
    private static function surfaces(): array
    {
        return [
            self::surface('varnished wood', 0.0, ['wood', 'gym floor']),
            self::surface('vinyl', 0.001, ['lino']),
            self::surface('tile', 0.001),
            self::surface('concrete', 0.004),
            self::surface('asphalt', 0.008),
            self::surface('short carpet', 0.04, ['carpet'], [PartTrait::Soft]),
        ];
    }

    private static function balloon(
        string $name,
        float $nominal,
        float $relaxed,
        float $film,
        float $neck,
        string $origin,
        string $also,
    ): Part {
        return new Part(
            PartKind::Balloon,
            $name,
            [
                CarAttribute::BalloonNominal->value => $nominal,
                CarAttribute::BalloonRelaxed->value => $relaxed,
                CarAttribute::BalloonFilm->value => $film,
                CarAttribute::NeckWidth->value => $neck,
            ],
            $origin,
            [$also],
        );
    }

    /**
     * @param list<PartTrait> $traits
     * @param list<string> $also
     * @param array<string, float> $wider
     */
    private static function nozzle(
        string $name,
        float $bore,
        float $length,
        array $traits = [],
        array $also = [],
        array $wider = [],
        ?float $outside = null,
    ): Part {
        return new Part(
            PartKind::Nozzle,
            $name,
            [
                CarAttribute::NozzleBore->value => $bore,
                CarAttribute::NozzleLength->value => $length,
            ] + ($outside === null ? [] : [CarAttribute::NozzleOutside->value => $outside]) + $wider,
            $wider === [] ? self::STRAW : 'stepped',
            $also,
            $traits,
        );
    }

    /**
     * @param list<PartTrait> $traits
     * @param list<string> $also
     */
    private static function wheel(
        string $name,
        float $diameter,
        float $mass,
        float $inertia,
        float $loss,
        float $rim,
        float $hub,
        float $grip,
        array $traits,
        array $also = [],
    ): Part {
        return new Part(
            PartKind::Wheel,
            $name,
            [
                CarAttribute::WheelDiameter->value => $diameter,
                CarAttribute::WheelMass->value => $mass,
                CarAttribute::WheelInertia->value => $inertia,
                CarAttribute::WheelLoss->value => $loss,
                CarAttribute::WheelThickness->value => $rim,
                CarAttribute::WheelHub->value => $hub,
                CarAttribute::Grip->value => $grip,
            ],
            self::LOSS,
            $also,
            $traits,
        );
    }

    /**
     * @param list<PartTrait> $traits
     */
    private static function bearing(string $name, float $axle, float $friction, float $mass, float $bore, array $traits = []): Part
    {
        return new Part(
            PartKind::Bearing,
            $name,
            [
                CarAttribute::AxleDiameter->value => $axle,
                CarAttribute::BearingFriction->value => $friction,
                CarAttribute::AxleMass->value => $mass,
                CarAttribute::BearingBore->value => $bore,
            ],
            'friction',
            [],
            $traits,
        );
    }

    /**
     * @param list<PartTrait> $traits
     * @param list<string> $also
     */
    private static function oneChassis(
        string $name,
        float $length,
        float $width,
        float $height,
        array $traits = [],
        array $also = [],
        ChassisForm $form = ChassisForm::Board,
    ): Part {
        return new Part(
            PartKind::Chassis,
            $name,
            [
                CarAttribute::ChassisLength->value => $length,
                CarAttribute::ChassisWidth->value => $width,
                CarAttribute::ChassisHeight->value => $height,
            ],
            self::SIZE,
            $also,
            $traits,
            $form,
        );
    }

    /**
     * @param list<PartTrait> $traits
     * @param list<string> $also
     */
    private static function surface(string $name, float $loss, array $also = [], array $traits = []): Part
    {
        return new Part(PartKind::Surface, $name, [CarAttribute::SurfaceLoss->value => $loss], self::MEMORY, $also, $traits);
    }

    /**
     * This catalogue with parts of the educator's own, which stand before those of the same name.
     *
     * @param list<Part> $own
     */
    public function with(array $own): self
    {
        return new self([...$own, ...array_values(array_filter($this->parts, static function (Part $part) use ($own): bool {
            foreach ($own as $mine) {
                if ($mine->kind === $part->kind && $mine->isCalled($part->name)) {
                    return false;
                }
            }

            return true;
        }))]);
    }

    /** @return list<Part> */
    public function of(PartKind $kind): array
    {
        return $this->byKind[$kind->value] ?? [];
    }

    /** The part that goes by a name, or null. */
    public function named(PartKind $kind, ?string $name): ?Part
    {
        foreach ($this->of($kind) as $part) {
            if ($name !== null && $part->isCalled($name)) {
                return $part;
            }
        }

        return null;
    }

    /** The part that goes by a name, or most likely does where it is spelt in another way; null where it is none of them. */
    public function likely(PartKind $kind, ?string $name): ?Part
    {
        $named = $this->named($kind, $name);
        if ($named !== null || $name === null) {
            return $named;
        }
        $likely = array_values(array_filter(
            $this->of($kind),
            static fn(Part $part): bool => PartName::among($name, [$part->name, ...$part->alsoCalled]) !== null,
        ));

        return count($likely) === 1 ? $likely[0] : null;
    }

    /**
     * The names that a build sheet offers for a kind; any other may be typed.
     *
     * @return list<string>
     */
    public function namesOf(CarAttribute $attribute): array
    {
        if ($attribute->options() !== []) {
            return array_map(static fn(\BackedEnum $each): string => (string) $each->value, $attribute->options());
        }
        if ($attribute === CarAttribute::Joint) {
            return array_column(Joint::cases(), 'value');
        }
        foreach (PartKind::cases() as $kind) {
            if ($kind->named() === $attribute && $attribute->isKind()) {
                return array_map(static fn(Part $part): string => $part->name, $this->of($kind));
            }
        }

        return [];
    }

    /** The part taken where nothing is known: the first of its kind. */
    public function usual(PartKind $kind): Part
    {
        return $this->of($kind)[0] ?? throw new \LogicException("The catalogue has no {$kind->value}.");
    }
}

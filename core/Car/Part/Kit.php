<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** The build that a challenge hands out a kit for: one kind of each part, by its name in the catalogue. */
final readonly class Kit
{
    /** A rubber band of a kit, lying flat (m), and how many of them make a chain. Common practice, no source. */
    private const BAND_M = ['length' => 0.06, 'width' => 0.001, 'thickness' => 0.0008];
    private const BANDS_IN_CHAIN = 2;

    public function __construct(
        public string $chassis = 'corrugated card',
        public string $wheels = 'bottle caps',
        public string $bearing = 'bamboo skewer in a plastic straw',
        public string $nozzle = 'drinking straw',
        public string $balloon = 'round 30 cm',
        public string $joint = Joint::ElasticBand->value,
        /** Where the parts are looked up by their names; the standard one where null. */
        private ?Catalogue $catalogue = null,
        /** What drives the cars; balloons where nobody said. */
        public EnergySource $source = EnergySource::Balloon,
    ) {}

    /** The name of the part of that kind; null for a kind that no kit holds. */
    public function name(PartKind $kind): ?string
    {
        return match ($kind) {
            PartKind::Chassis => $this->chassis,
            PartKind::Wheel => $this->wheels,
            PartKind::Bearing => $this->bearing,
            PartKind::Nozzle => $this->nozzle,
            PartKind::Balloon => $this->balloon,
            PartKind::Surface => null,
        };
    }

    /** The same with another part of that kind. */
    public function with(PartKind $kind, string $name): self
    {
        return new self(
            $kind === PartKind::Chassis ? $name : $this->chassis,
            $kind === PartKind::Wheel ? $name : $this->wheels,
            $kind === PartKind::Bearing ? $name : $this->bearing,
            $kind === PartKind::Nozzle ? $name : $this->nozzle,
            $kind === PartKind::Balloon ? $name : $this->balloon,
            $this->joint,
            $this->catalogue,
            $this->source,
        );
    }

    /** The same with another source of energy. */
    public function drivenBy(EnergySource $source): self
    {
        return new self(
            $this->chassis,
            $this->wheels,
            $this->bearing,
            $this->nozzle,
            $this->balloon,
            $this->joint,
            $this->catalogue,
            $source,
        );
    }

    /** What the catalogue knows of the kit's part of that kind, or of the usual one. */
    public function part(PartKind $kind): Part
    {
        return $this->catalogue()->named($kind, $this->name($kind)) ?? $this->catalogue()->usual($kind);
    }

    /** Whether the kit's part of that kind has a trait. A part that the catalogue does not know has none. */
    public function has(PartKind $kind, PartTrait $trait): bool
    {
        return $this->catalogue()->named($kind, $this->name($kind))?->is($trait) === true;
    }

    public function catalogue(): Catalogue
    {
        return $this->catalogue ?? Catalogue::standard();
    }

    /** Whether axles turn in pieces of drinking straw. */
    public function bearsOnStraws(): bool
    {
        return $this->has(PartKind::Bearing, PartTrait::TurnsInStraw);
    }

    /** Whether something of it is collected from households. */
    public function isCollected(): bool
    {
        return $this->has(PartKind::Wheel, PartTrait::Collected) || $this->has(PartKind::Chassis, PartTrait::Collected);
    }

    public function usesSkewers(): bool
    {
        return $this->has(PartKind::Bearing, PartTrait::Skewer);
    }

    public function blowsThroughStraws(): bool
    {
        return $this->source->blows() && $this->has(PartKind::Nozzle, PartTrait::Straw);
    }

    /** Whether nozzles are cut from the same straws as bearings: plain drinking straws, single or in a bundle. */
    public function nozzleIsOfBearingStraw(): bool
    {
        return $this->source->blows() && $this->has(PartKind::Nozzle, PartTrait::DrinkingStraw);
    }

    public function usesHotGlue(): bool
    {
        return $this->source->blows() && Joint::tryFrom(mb_strtolower($this->joint)) === Joint::HotGlue;
    }

    /**
     * What a car built of the kit is like before anything is measured: what a build sheet starts from.
     *
     * @param CutSizes|null $cuts as planned, for the lengths that are cut
     */
    public function car(UnitSystem $units, ?CutSizes $cuts = null): Car
    {
        $chassis = $this->part(PartKind::Chassis);
        $wheel = $this->part(PartKind::Wheel);
        $bearing = $this->part(PartKind::Bearing);
        $values = [
            [CarAttribute::ChassisLength, $chassis->value(CarAttribute::ChassisLength)],
            [CarAttribute::ChassisWidth, $cuts->chassisWidthM ?? $chassis->value(CarAttribute::ChassisWidth)],
            [CarAttribute::ChassisHeight, $chassis->value(CarAttribute::ChassisHeight)],
            [CarAttribute::Track, $cuts?->trackM()],
            [CarAttribute::AxleDiameter, $bearing->value(CarAttribute::AxleDiameter)],
            [CarAttribute::AxleLength, $cuts?->axleLengthM()],
            [CarAttribute::BearingBore, $bearing->value(CarAttribute::BearingBore)],
            [CarAttribute::BearingLength, $cuts?->bearingLengthM()],
            [CarAttribute::WheelDiameter, $wheel->value(CarAttribute::WheelDiameter)],
            [CarAttribute::WheelThickness, $cuts->wheelThicknessM ?? $wheel->value(CarAttribute::WheelThickness)],
            ...$this->ofTheDrive(),
        ];
        $quantities = [];
        foreach ($values as [$choice, $si]) {
            if ($si !== null) {
                $quantities[$choice->value] = self::entry($choice, $si, $units);
            }
        }

        $built = [
            CarAttribute::Chassis->value => $this->chassis,
            CarAttribute::Bearing->value => $this->bearing,
            CarAttribute::WheelKind->value => $this->wheels,
        ];

        return $this->source->blows()
            ? new Car($quantities, [CarAttribute::Balloons->value => 1, CarAttribute::NozzleOutlets->value => 1], $built + [
                CarAttribute::Joint->value => $this->joint, CarAttribute::NozzleKind->value => $this->nozzle,
            ])
            : new Car(
                $quantities,
                $this->source->winds()
                    ? [CarAttribute::BandsInChain->value => self::BANDS_IN_CHAIN, CarAttribute::BandsSideBySide->value => 1]
                    : [],
                $built + [CarAttribute::EnergySource->value => $this->source->value]
                    // Its steps put rubber on wheels that would spin on the spot.
                    + ($this->source->winds() ? [CarAttribute::Tyre->value => Tyre::RubberBand->value] : []),
            );
    }

    /** @return list<array{CarAttribute, float|null}> what balloon and nozzle give, or the bands of a chain */
    private function ofTheDrive(): array
    {
        if ($this->source->winds()) {
            return [
                [CarAttribute::BandLength, self::BAND_M['length']], [CarAttribute::BandWidth, self::BAND_M['width']],
                [CarAttribute::BandThickness, self::BAND_M['thickness']],
            ];
        }
        if (!$this->source->blows()) {
            return [];
        }
        $nozzle = $this->part(PartKind::Nozzle);

        return [
            [CarAttribute::BalloonNominal, $this->part(PartKind::Balloon)->value(CarAttribute::BalloonNominal)],
            [CarAttribute::NozzleBore, $nozzle->value(CarAttribute::NozzleBore)],
            [CarAttribute::WiderBore, $nozzle->find(CarAttribute::WiderBore)],
            [CarAttribute::WidestBore, $nozzle->find(CarAttribute::WidestBore)],
            [CarAttribute::NozzleLength, $nozzle->value(CarAttribute::NozzleLength)],
        ];
    }

    private static function entry(CarAttribute $choice, float $si, UnitSystem $units): Entry
    {
        $scale = $choice->scale() ?? Scale::Body;

        return new Entry(Quantity::fromSi($si, Dimension::Length), str_replace("\u{00A0}", ' ', $units->show($si, $scale)));
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** The build that a challenge hands out a kit for: one kind of each part, by its name in the catalogue. */
final readonly class Kit
{
    public function __construct(
        public string $chassis = 'corrugated card',
        public string $wheels = 'bottle caps',
        public string $bearing = 'bamboo skewer in a plastic straw',
        public string $nozzle = 'drinking straw',
        public string $balloon = 'round 30 cm',
        public string $joint = 'elastic band',
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

    /** What the catalogue knows of the kit's part of that kind, or of the usual one. */
    public function part(PartKind $kind, Catalogue $catalogue): Part
    {
        return $catalogue->named($kind, $this->name($kind)) ?? $catalogue->usual($kind);
    }

    /** Whether axles turn in pieces of drinking straw. */
    public function bearsOnStraws(): bool
    {
        return str_contains($this->bearing, 'straw');
    }

    public function usesSkewers(): bool
    {
        return str_contains($this->bearing, 'skewer');
    }

    public function blowsThroughStraws(): bool
    {
        return str_contains($this->nozzle, 'straw');
    }

    /** Whether nozzles are cut from the same straws as bearings: plain drinking straws, single or in a bundle. */
    public function nozzleIsOfBearingStraw(): bool
    {
        return in_array(mb_strtolower($this->nozzle), ['drinking straw', 'straw', 'bundle of straws'], true);
    }

    public function usesHotGlue(): bool
    {
        return str_contains($this->joint, 'glue');
    }

    /**
     * What a car built of the kit is like before anything is measured: what a build sheet starts from.
     *
     * @param CutSizes|null $cuts as planned, for the lengths that are cut
     */
    public function car(Catalogue $catalogue, UnitSystem $units, ?CutSizes $cuts = null): Car
    {
        $chassis = $this->part(PartKind::Chassis, $catalogue);
        $wheel = $this->part(PartKind::Wheel, $catalogue);
        $bearing = $this->part(PartKind::Bearing, $catalogue);
        $nozzle = $this->part(PartKind::Nozzle, $catalogue);
        $balloon = $this->part(PartKind::Balloon, $catalogue);
        $values = [
            [Choice::ChassisLength, $chassis->value('length_m')],
            [Choice::ChassisWidth, $cuts->chassisWidthM ?? $chassis->value('width_m')],
            [Choice::ChassisHeight, $chassis->value('height_m')],
            [Choice::Track, $cuts?->trackM()],
            [Choice::AxleDiameter, $bearing->value('axle_m')],
            [Choice::AxleLength, $cuts?->axleLengthM()],
            [Choice::BearingBore, $bearing->value('bore_m')],
            [Choice::BearingLength, $cuts?->bearingLengthM()],
            [Choice::WheelDiameter, $wheel->value('diameter_m')],
            [Choice::WheelThickness, $cuts->wheelThicknessM ?? $wheel->value('thickness_m')],
            [Choice::BalloonNominal, $balloon->value('nominal_m')],
            [Choice::NozzleBore, $nozzle->value('bore_m')],
            [Choice::NozzleLength, $nozzle->value('length_m')],
        ];
        $quantities = [];
        foreach ($values as [$choice, $si]) {
            if ($si !== null) {
                $quantities[$choice->value] = self::entry($choice, $si, $units);
            }
        }

        return new Car($quantities, [Choice::Balloons->value => 1, Choice::NozzleOutlets->value => 1], [
            Choice::Chassis->value => $this->chassis,
            Choice::Bearing->value => $this->bearing,
            Choice::WheelKind->value => $this->wheels,
            Choice::Joint->value => $this->joint,
            Choice::NozzleKind->value => $this->nozzle,
        ]);
    }

    private static function entry(Choice $choice, float $si, UnitSystem $units): Entry
    {
        $scale = $choice->scale() ?? Scale::Body;

        return new Entry(Quantity::fromSi($si, Dimension::Length), str_replace("\u{00A0}", ' ', $units->show($si, $scale)));
    }
}

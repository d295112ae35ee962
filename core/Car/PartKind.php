<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Measurement\Scale;

/** The kinds of parts in the catalogue, and what the run model needs to know of each. */
enum PartKind: string
{
    case Balloon = 'balloon';
    case Nozzle = 'nozzle';
    case Wheel = 'wheel';
    case Bearing = 'bearing';
    case Chassis = 'chassis';
    case Surface = 'surface';

    public function label(): string
    {
        return match ($this) {
            self::Balloon => 'Balloons',
            self::Nozzle => 'Tubes and straws',
            self::Wheel => 'Wheels',
            self::Bearing => 'Axles and bearings',
            self::Chassis => 'Chassis',
            self::Surface => 'Surfaces',
        };
    }

    /** What can be left to the usual part of the kind, since a classroom can hardly measure it. */
    public function isOptional(string $field): bool
    {
        return in_array($field, ['inertia_factor', 'rolling_loss', 'hub_m', 'friction', 'film_m', 'neck_m', 'axle_mass_kg'], true);
    }

    /**
     * What is known of such a part: label, scale (null for a plain number), least and greatest value in SI.
     *
     * @return array<string, array{string, Scale|null, float, float}>
     */
    public function fields(): array
    {
        return match ($this) {
            self::Balloon => [
                'nominal_m' => ['Nominal size', Scale::Body, 0.05, 0.6],
                'relaxed_m' => ['Relaxed diameter', Scale::Body, 0.01, 0.3],
                'film_m' => ['Film thickness', Scale::Part, 5e-5, 2e-3],
                'neck_m' => ['Width of the neck', Scale::Part, 0.002, 0.1],
            ],
            self::Nozzle => [
                'bore_m' => ['Bore', Scale::Part, 0.001, 0.1],
                'length_m' => ['Length', Scale::Body, 0.0, 2.0],
            ],
            self::Wheel => [
                'diameter_m' => ['Diameter', Scale::Part, 0.005, 0.6],
                'mass_kg' => ['Mass of one', Scale::Weight, 0.0001, 0.5],
                'inertia_factor' => ['Spin factor κ', null, 0.3, 1.0],
                'rolling_loss' => ['Rolling loss C_rr, hard floor', null, 0.0005, 0.5],
                'thickness_m' => ['Thickness, at the rim', Scale::Part, 0.0003, 0.1],
                'hub_m' => ['Thickness, at the hub', Scale::Part, 0.0003, 0.1],
            ],
            self::Bearing => [
                'axle_m' => ['Axle diameter', Scale::Part, 0.0005, 0.05],
                'friction' => ['Bearing friction μ', null, 0.001, 1.0],
                'axle_mass_kg' => ['Mass of one axle', Scale::Weight, 0.0, 0.5],
                'bore_m' => ['Bore of the bearing', Scale::Part, 0.0005, 0.05],
            ],
            self::Chassis => [
                'width_m' => ['Width', Scale::Body, 0.01, 0.6],
                'length_m' => ['Length', Scale::Body, 0.02, 1.0],
                'height_m' => ['Thickness', Scale::Part, 0.0005, 0.3],
            ],
            self::Surface => [
                'added_loss' => ['Added rolling loss', null, 0.0, 0.5],
            ],
        };
    }
}

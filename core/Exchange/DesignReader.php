<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\DrivenAxle;
use Skivo\Core\Physics\ElasticBand;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\ElasticDesign;

/** Reads a design from the JSON of docs/design.schema.json. Whatever is not exactly that is named. */
final readonly class DesignReader
{
    /**
     * @throws JsonFaultException where it is not JSON, or has unknown or missing keys or wrong types
     * @throws OutOfRangeException where a number lies outside its range
     */
    public static function read(string $json): Design
    {
        $design = JsonObject::parse($json, 'a design', ['air', 'balloon', 'nozzle', 'car', 'start']);
        $balloon = $design->object(
            'balloon',
            [
                'count', 'relaxed_diameter_m', 'film_thickness_m', 'modulus_pa', 'hardening', 'inflated_diameter_m', 'drag_coefficient',
                'leak_area_m2', 'filled_by',
            ],
        );
        $air = self::air($design);
        $nozzle = $design->object('nozzle', ['parallel', 'segments', 'entry_loss', 'extra_loss', 'angle_deg']);

        return new Design(
            new Balloon(
                $balloon->number('relaxed_diameter_m'),
                $balloon->number('film_thickness_m'),
                $balloon->number('inflated_diameter_m'),
                $balloon->whole('count', 1),
                $balloon->number('modulus_pa', 300_000.0),
                $balloon->number('hardening', 0.1),
                $balloon->number('drag_coefficient', 0.47),
            ),
            new Nozzle(
                array_map(
                    static fn(JsonObject $tube): Tube => new Tube($tube->number('bore_m'), $tube->number('length_m')),
                    $nozzle->objects('segments', ['bore_m', 'length_m']),
                ),
                $nozzle->whole('parallel', 1),
                $nozzle->number('entry_loss', 0.5),
                $nozzle->number('extra_loss', 0.0),
                $nozzle->number('angle_deg', 0.0),
            ),
            self::vehicle($design),
            $air,
            self::startSpeed($design),
            $balloon->number('leak_area_m2', 0.0),
            $balloon->oneOf('filled_by', ['pump' => null, 'mouth' => Air::breath($air->pressurePa)], 'pump'),
        );
    }

    /**
     * A car that a wound band drives.
     *
     * @throws JsonFaultException where it is not JSON, or has unknown or missing keys or wrong types
     * @throws OutOfRangeException where a number lies outside its range
     */
    public static function readElastic(string $json): ElasticDesign
    {
        $design = JsonObject::parse($json, 'a design', ['air', 'elastic', 'drive', 'car', 'start']);
        $band = $design->object(
            'elastic',
            ['relaxed_length_m', 'section_area_m2', 'shear_modulus_pa', 'installed_length_m', 'turns', 'returned_fraction', 'release'],
        );
        $drive = $design->object(
            'drive',
            ['axle_radius_m', 'wheel_radius_m', 'driven_load_share', 'static_friction', 'kinetic_friction', 'spin_inertia_kg_m2'],
        );

        return new ElasticDesign(
            new ElasticBand(
                $band->number('relaxed_length_m'),
                $band->number('section_area_m2'),
                $band->number('installed_length_m'),
                $band->number('turns'),
                $band->number('shear_modulus_pa', 450_000.0),
                $band->number('returned_fraction', 0.85),
                $band->oneOf('release', ['free' => BandEnd::Free, 'tied' => BandEnd::Tied], 'free'),
            ),
            new DrivenAxle(
                $drive->number('axle_radius_m'),
                $drive->number('wheel_radius_m'),
                $drive->number('driven_load_share'),
                $drive->number('static_friction', 0.6),
                $drive->number('kinetic_friction', 0.45),
                $drive->number('spin_inertia_kg_m2', 2e-6),
            ),
            self::vehicle($design),
            self::air($design),
            self::startSpeed($design),
        );
    }

    /** Whether some JSON is a design with a wound band; what is no JSON is none. */
    public static function isElastic(string $json): bool
    {
        $design = json_decode($json, true);

        return is_array($design) && array_key_exists('elastic', $design);
    }

    private static function vehicle(JsonObject $design): Vehicle
    {
        $car = $design->object(
            'car',
            ['mass_kg', 'wheel_equivalent_mass_kg', 'rolling_coefficient', 'breakaway_ratio', 'body_drag_area_m2'],
        );

        return new Vehicle(
            $car->number('mass_kg'),
            $car->number('rolling_coefficient'),
            $car->number('wheel_equivalent_mass_kg', 0.004),
            $car->number('breakaway_ratio', 1.0),
            $car->number('body_drag_area_m2', 0.003),
        );
    }

    private static function air(JsonObject $design): Air
    {
        $air = $design->object('air', ['temperature_c', 'pressure_pa', 'relative_humidity'], isOptional: true);

        return new Air(
            $air->number('temperature_c', 20.0),
            $air->number('pressure_pa', 101_325.0),
            $air->number('relative_humidity', 0.5),
        );
    }

    private static function startSpeed(JsonObject $design): float
    {
        return $design->object('start', ['speed_m_s'], isOptional: true)->number('speed_m_s', 0.0);
    }
}

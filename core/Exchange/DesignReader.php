<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\DesignFaultException;

/** Reads a design from the JSON of docs/design.schema.json. Whatever is not exactly that is named. */
final readonly class DesignReader
{
    /**
     * @throws DesignFaultException where it is not JSON, or has unknown or missing keys or wrong types
     * @throws OutOfRangeException where a number lies outside its range
     */
    public static function read(string $json): Design
    {
        try {
            $data = json_decode($json, false, 16, JSON_THROW_ON_ERROR);
        } catch (\JsonException $exception) {
            throw DesignFaultException::notJson(lcfirst($exception->getMessage()));
        }
        $parts = self::part($data, 'the design', ['air', 'balloon', 'nozzle', 'car', 'start']);
        $air = self::part($parts['air'] ?? new \stdClass(), 'air', ['temperature_c', 'pressure_pa', 'relative_humidity']);
        $balloon = self::part(
            self::given($parts, 'balloon'),
            'balloon',
            ['count', 'relaxed_diameter_m', 'film_thickness_m', 'modulus_pa', 'hardening', 'inflated_diameter_m', 'drag_coefficient'],
        );
        $nozzle = self::part(self::given($parts, 'nozzle'), 'nozzle', ['parallel', 'segments', 'entry_loss', 'extra_loss', 'angle_deg']);
        $car = self::part(
            self::given($parts, 'car'),
            'car',
            ['mass_kg', 'wheel_equivalent_mass_kg', 'rolling_coefficient', 'breakaway_ratio', 'body_drag_area_m2'],
        );
        $start = self::part($parts['start'] ?? new \stdClass(), 'start', ['speed_m_s']);

        return new Design(
            new Balloon(
                self::number($balloon, 'balloon.relaxed_diameter_m'),
                self::number($balloon, 'balloon.film_thickness_m'),
                self::number($balloon, 'balloon.inflated_diameter_m'),
                self::whole($balloon, 'balloon.count', 1),
                self::number($balloon, 'balloon.modulus_pa', 300_000.0),
                self::number($balloon, 'balloon.hardening', 0.1),
                self::number($balloon, 'balloon.drag_coefficient', 0.47),
            ),
            new Nozzle(
                self::segments(self::given($nozzle, 'nozzle.segments')),
                self::whole($nozzle, 'nozzle.parallel', 1),
                self::number($nozzle, 'nozzle.entry_loss', 0.5),
                self::number($nozzle, 'nozzle.extra_loss', 0.0),
                self::number($nozzle, 'nozzle.angle_deg', 0.0),
            ),
            new Vehicle(
                self::number($car, 'car.mass_kg'),
                self::number($car, 'car.rolling_coefficient'),
                self::number($car, 'car.wheel_equivalent_mass_kg', 0.004),
                self::number($car, 'car.breakaway_ratio', 1.0),
                self::number($car, 'car.body_drag_area_m2', 0.003),
            ),
            new Air(
                self::number($air, 'air.temperature_c', 20.0),
                self::number($air, 'air.pressure_pa', 101_325.0),
                self::number($air, 'air.relative_humidity', 0.5),
            ),
            self::number($start, 'start.speed_m_s', 0.0),
        );
    }

    /**
     * @param list<string> $keys
     *
     * @return array<string, mixed>
     */
    private static function part(mixed $data, string $path, array $keys): array
    {
        if (!$data instanceof \stdClass) {
            throw DesignFaultException::wrongType($path, 'an object');
        }
        $held = [];
        foreach (get_object_vars($data) as $key => $value) {
            if (!in_array((string) $key, $keys, true)) {
                throw DesignFaultException::unknownKey($path === 'the design' ? (string) $key : "{$path}.{$key}");
            }
            $held[(string) $key] = $value;
        }

        return $held;
    }

    /** @param array<string, mixed> $part */
    private static function given(array $part, string $path): mixed
    {
        $key = self::key($path);

        return array_key_exists($key, $part) ? $part[$key] : throw DesignFaultException::missingKey($path);
    }

    /** @param array<string, mixed> $part */
    private static function number(array $part, string $path, ?float $default = null): float
    {
        if ($default !== null && !array_key_exists(self::key($path), $part)) {
            return $default;
        }
        $value = self::given($part, $path);

        return is_int($value) || is_float($value) ? (float) $value : throw DesignFaultException::wrongType($path, 'a number');
    }

    /** @param array<string, mixed> $part */
    private static function whole(array $part, string $path, int $default): int
    {
        $value = $part[self::key($path)] ?? (array_key_exists(self::key($path), $part) ? null : $default);

        return is_int($value) ? $value : throw DesignFaultException::wrongType($path, 'a whole number');
    }

    /** @return list<Tube> */
    private static function segments(mixed $data): array
    {
        if (!is_array($data)) {
            throw DesignFaultException::wrongType('nozzle.segments', 'a list');
        }
        $tubes = [];
        foreach (array_values($data) as $index => $segment) {
            $path = "nozzle.segments[{$index}]";
            $held = self::part($segment, $path, ['bore_m', 'length_m']);
            $tubes[] = new Tube(self::number($held, "{$path}.bore_m"), self::number($held, "{$path}.length_m"));
        }

        return $tubes;
    }

    private static function key(string $path): string
    {
        return substr($path, (int) strrpos(".{$path}", '.'));
    }
}

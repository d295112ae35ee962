<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;

/**
 * How far one design goes for any rolling coefficient and any pressure of its balloon, or pull of its band, from some simulated
 * runs: the logarithm of the distance is close to straight between them. At each pressure the runs lie between hardly any friction and
 * the most with which the car still starts, so that no line crosses the start.
 */
final readonly class DistanceTable
{
    private const LEAST_FRICTION = 0.0005;

    /** The runs reach from so many times less than the most friction with which the car still starts; a little beyond, the line goes on. */
    private const TIMES_LESS = 40.0;
    private const BEYOND = 1.3;

    /** Of the pressure over the usual balloon's, or of a band's pull likewise, in equal steps of its logarithm. */
    private const LEAST_PRESSURE = 0.3;
    private const GREATEST_PRESSURE = 2.0;
    private const PRESSURES = 4;
    private const FRICTIONS = 9;

    private const TOLERANCE = 1e-3;

    private const NO_START = -1e9;

    /**
     * @param float $partsFriction f as the parts make it
     * @param float $pressure that the settings have, over the usual balloon's
     * @param list<float> $limits ln of the greatest f with which it starts, by pressure
     * @param list<list<float>> $logs ln of the distance (m), by pressure and from little friction to much
     * @param string $key of the design
     */
    private function __construct(
        public float $partsFriction,
        public float $pressure,
        private array $limits,
        private array $logs,
        private string $key,
        private Kept $kept,
    ) {}

    /** @throws OutOfRangeException */
    public static function of(Settings $settings, Kept $kept): self
    {
        $parts = $settings->with(CarAttribute::RollingCoefficient, 0.0)->with(CarAttribute::Workmanship, 0.0);
        $friction = $parts->rollingCoefficient();
        $strength = $settings->source->strength();
        $pressure = $settings->get($strength);
        $usual = $parts->with($strength, 1.0);
        $key = hash('xxh128', serialize($usual));
        $held = $kept->get("distances {$key}", static fn(): array => self::simulate($usual));
        $rows = array_chunk($held, self::FRICTIONS + 1);

        return new self(
            $friction,
            $pressure,
            array_column($rows, 0),
            array_map(static fn(array $row): array => array_slice($row, 1), $rows),
            "{$key} {$pressure}",
            $kept,
        );
    }

    /**
     * How far the car goes (m); 0 where it does not start.
     *
     * @param float $friction f
     * @param float $pressure over what the settings have
     */
    public function distanceM(float $friction, float $pressure): float
    {
        $low = log(self::LEAST_PRESSURE);
        $step = (log(self::GREATEST_PRESSURE) - $low) / (self::PRESSURES - 1);
        $place = max(0.0, min(self::PRESSURES - 1.0, (log($pressure * $this->pressure) - $low) / $step));
        $log = log(max(self::LEAST_FRICTION, $friction));
        // Lagrange's cubic through all four pressures.
        $shares = [
            ($place - 1.0) * ($place - 2.0) * ($place - 3.0) / -6.0,
            $place * ($place - 2.0) * ($place - 3.0) / 2.0,
            $place * ($place - 1.0) * ($place - 3.0) / -2.0,
            $place * ($place - 1.0) * ($place - 2.0) / 6.0,
        ];
        $limit = $shares[0] * $this->limits[0] + $shares[1] * $this->limits[1] + $shares[2] * $this->limits[2] + $shares[3] * $this->limits[3];
        if ($log > $limit) {
            return 0.0;
        }
        // Closer together towards the limit, where the distance bends.
        $left = min(self::BEYOND, ($limit - $log) / log(self::TIMES_LESS));
        $at = (1.0 - sqrt($left)) * (self::FRICTIONS - 1);
        // A parabola through the three nearest frictions.
        $middle = max(1, min(self::FRICTIONS - 2, (int) round($at)));
        $part = $at - $middle;
        $before = 0.5 * $part * ($part - 1.0);
        $after = 0.5 * $part * ($part + 1.0);
        $sum = 0.0;
        foreach ($shares as $row => $share) {
            $logs = $this->logs[$row];
            $sum += $share * ($before * $logs[$middle - 1] + (1.0 - $part * $part) * $logs[$middle] + $after * $logs[$middle + 1]);
        }

        return exp($sum);
    }

    /**
     * How far the car goes for every pressure and every friction that hands add to the parts', in steps of the logarithm.
     *
     * @param non-empty-list<float> $pressures over what the settings have
     * @param non-empty-list<float> $added to the friction of the parts
     *
     * @return list<list<int|null>> number of the step, by pressure and friction; null where it does not start
     */
    public function steps(array $pressures, array $added, float $step): array
    {
        $held = $this->kept->get("steps {$this->key} {$added[0]}", function () use ($pressures, $added, $step): array {
            $steps = [];
            foreach ($pressures as $pressure) {
                foreach ($added as $friction) {
                    $distance = $this->distanceM($this->partsFriction + $friction, $pressure);
                    $steps[] = $distance > 0.0 ? round(log($distance) / $step) : self::NO_START;
                }
            }

            return $steps;
        });

        return array_chunk(
            array_map(static fn(float $each): ?int => $each === self::NO_START ? null : (int) $each, $held),
            count($added),
        );
    }

    /** @return list<float> of each pressure the limit, then the logarithms */
    private static function simulate(Settings $usual): array
    {
        $values = [];
        for ($row = 0; $row < self::PRESSURES; $row++) {
            $pressure = self::LEAST_PRESSURE * (self::GREATEST_PRESSURE / self::LEAST_PRESSURE) ** ($row / (self::PRESSURES - 1));
            $limit = $usual->greatestFriction($pressure);
            $values[] = log($limit);
            for ($column = 0; $column < self::FRICTIONS; $column++) {
                $left = (1.0 - $column / (self::FRICTIONS - 1)) ** 2;
                $friction = max(self::LEAST_FRICTION, $limit * self::TIMES_LESS ** -$left);
                $run = $usual->with(CarAttribute::RollingCoefficient, $friction)->run(self::TOLERANCE, strength: $pressure);
                $values[] = log(max(1e-6, $run->distanceM));
            }
        }

        return $values;
    }
}

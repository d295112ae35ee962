<?php

declare(strict_types=1);

namespace Tests;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Sample;

/** Classes whose truth is known: the run model's distances, with scatter from car to car and from try to try. */
final class GeneratedClass
{
    private Randomizer $chance;

    /** @var array<string, float> */
    private array $distances = [];

    public function __construct(
        int $seed,
        /** From car to car of one design (m). */
        private readonly float $fromCarToCar = 0.0,
        /** From try to try of one car (m). */
        private readonly float $fromTryToTry = 0.15,
    ) {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** A draw from the standard normal distribution (Box & Muller, Ann. Math. Stat. 29, 610, 1958). */
    public function normal(): float
    {
        return sqrt(
            -2.0 * log($this->chance->getInt(1, 1_000_000_000) / 1_000_000_001),
        ) * cos(2 * M_PI * $this->chance->getInt(1, 1_000_000_000) / 1_000_000_001);
    }

    /** How far the model says such a car goes (m). */
    public function distance(float $boreMm, float $massG = 60.0, float $friction = 0.05): float
    {
        return $this->distances["{$boreMm} {$massG} {$friction}"] ??= Simulator::run(Settings::of([
            CarAttribute::NozzleBore->value => $boreMm / 1000, CarAttribute::Mass->value => $massG / 1000,
            CarAttribute::RollingCoefficient->value => $friction,
        ])->design())->distanceM;
    }

    /** The tries of one car whose own truth is so many metres. */
    public function tries(float $truth, int $tries = 3): Sample
    {
        return new Sample(array_map(fn(): float => $truth + $this->fromTryToTry * $this->normal(), range(1, max(1, $tries))));
    }

    /** A car with what is recorded of it, and its tries. */
    public function car(
        string $id,
        float $boreMm,
        float $massG,
        float $meanM,
        int $tries = 3,
        ?string $group = null,
        int $version = 1,
    ): ComparedCar {
        return new ComparedCar(
            $id,
            $group ?? $id,
            $version,
            self::choices($boreMm, $massG),
            $this->tries($meanM + $this->fromCarToCar * $this->normal(), $tries),
        );
    }

    /** @param array<string, float> $also further quantities by the value of a CarAttribute, SI */
    public static function choices(float $boreMm, float $massG, string $wheels = 'bottle caps', array $also = []): Car
    {
        return new Car(
            array_combine(array_keys($also), array_map(
                static fn(string $key, float $si): Entry => new Entry(
                    Quantity::fromSi($si, CarAttribute::from($key)->dimension()),
                    (string) $si,
                ),
                array_keys($also),
                $also,
            )) + [
                CarAttribute::NozzleBore->value => new Entry(
                    Quantity::fromSi($boreMm / 1000, CarAttribute::NozzleBore->dimension()),
                    "{$boreMm} mm",
                ),
                CarAttribute::Mass->value => new Entry(Quantity::fromSi($massG / 1000, CarAttribute::Mass->dimension()), "{$massG} g"),
                CarAttribute::BalloonSize->value => new Entry(Quantity::fromSi(0.2, CarAttribute::BalloonSize->dimension()), '20 cm'),
            ],
            [],
            [CarAttribute::WheelKind->value => $wheels],
        );
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;

/**
 * How far one design goes for any rolling coefficient and any strength of its drive, the pressure of its balloon or the pull of
 * its band, from some simulated runs: the logarithm of the distance is close to straight between them. At each strength the runs
 * lie between hardly any friction and the most with which the car still starts, so that no line crosses the start.
 */
abstract readonly class DistanceTable
{
    private const LEAST_FRICTION = 0.0005;

    /** The runs reach from so many times less than the most friction with which the car still starts; a little beyond, the line goes on. */
    private const TIMES_LESS = 40.0;
    private const BEYOND = 1.3;

    protected const FRICTIONS = 9;

    private const TOLERANCE = 1e-3;

    private const NO_START = -1e9;

    /**
     * @param float $partsFriction f as the parts make it
     * @param float $strength that the settings have, over the usual one
     * @param list<list<float>> $rows of each strength: ln of the greatest f with which it starts, then ln of the distance (m) from little
     *     friction to much
     * @param string $key of the design
     */
    protected function __construct(
        public float $partsFriction,
        protected float $strength,
        protected array $rows,
        private string $key,
        private Kept $kept,
    ) {}

    /** @throws OutOfRangeException */
    public static function of(Settings $settings, Kept $kept): self
    {
        $parts = $settings->with(CarAttribute::RollingCoefficient, 0.0)->with(CarAttribute::Workmanship, 0.0);
        $setting = $settings->source->strength();
        $strength = $settings->get($setting);
        $usual = $parts->with($setting, 1.0);
        $table = $settings->source->winds() ? BandTable::class : PushTable::class;
        $key = hash('xxh128', serialize($usual));
        $strengths = $table::strengths($usual);
        $held = $kept->get("distances {$key}", static function () use ($usual, $strengths, $table): array {
            $rows = [];
            foreach ($strengths as $each) {
                array_push($rows, ...self::row($usual, static fn(float $friction): float => $table::strengthAt($each, $friction, $usual)));
            }

            return $rows;
        });

        return $table::over(
            $usual,
            $parts->rollingCoefficient(),
            $strength,
            array_chunk($held, self::FRICTIONS + 1),
            "{$key} {$strength}",
            $kept,
        );
    }

    /**
     * How far the car goes (m); 0 where it does not start.
     *
     * @param float $friction f
     * @param float $strength over what the settings have
     */
    public function distanceM(float $friction, float $strength): float
    {
        $log = log(max(self::LEAST_FRICTION, $friction));
        $shares = $this->shares($friction, log($strength * $this->strength));
        $limit = 0.0;
        foreach ($shares as $row => $share) {
            $limit += $share * $this->rows[$row][0];
        }
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
            $logs = $this->rows[$row];
            $sum += $share * ($before * $logs[$middle] + (1.0 - $part * $part) * $logs[$middle + 1] + $after * $logs[$middle + 2]);
        }

        return exp($sum);
    }

    /**
     * How far the car goes for every strength and every friction that hands add to the parts', in steps of the logarithm.
     *
     * @param non-empty-list<float> $strengths over what the settings have
     * @param non-empty-list<float> $added to the friction of the parts
     *
     * @return list<list<int|null>> number of the step, by strength and friction; null where it does not start
     */
    public function steps(array $strengths, array $added, float $step): array
    {
        $held = $this->kept->get("steps {$this->key} {$added[0]}", function () use ($strengths, $added, $step): array {
            $steps = [];
            foreach ($strengths as $strength) {
                foreach ($added as $friction) {
                    $distance = $this->distanceM($this->partsFriction + $friction, $strength);
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

    /**
     * What each row counts for.
     *
     * @return array<int, float> by the row; they sum to 1
     */
    abstract protected function shares(float $friction, float $logStrength): array;

    /** @return non-empty-list<float> at which the runs lie, over the usual one */
    abstract protected static function strengths(Settings $usual): array;

    /** @param list<list<float>> $rows */
    abstract protected static function over(
        Settings $usual,
        float $partsFriction,
        float $strength,
        array $rows,
        string $key,
        Kept $kept,
    ): self;

    /** The strength of a row at a friction: the same at every one, unless a row lies along an edge that moves with it. */
    protected static function strengthAt(float $strength, float $friction, Settings $usual): float
    {
        return $strength;
    }

    /**
     * @param \Closure(float): float $strength at a friction
     *
     * @return list<float> the limit, then the logarithms of the distances
     */
    private static function row(Settings $usual, \Closure $strength): array
    {
        $limit = $usual->greatestFriction($strength(0.0));
        for ($i = 0; $i < 3; $i++) {
            $limit = $usual->greatestFriction($strength($limit));
        }
        $values = [log($limit)];
        for ($column = 0; $column < self::FRICTIONS; $column++) {
            $left = (1.0 - $column / (self::FRICTIONS - 1)) ** 2;
            $friction = max(self::LEAST_FRICTION, $limit * self::TIMES_LESS ** -$left);
            $run = $usual->with(CarAttribute::RollingCoefficient, $friction)->run(self::TOLERANCE, strength: $strength($friction));
            $values[] = log(max(1e-6, $run->distanceM));
        }

        return $values;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\Kept;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\EnergyLedger;
use Skivo\Core\Simulation\Settings;

/**
 * The run model at each car's own state: its parts, its workmanship, its balloon's pressure. Small steps go by the powers
 * to which sizes enter there, which need but one more run each and are kept; larger ones are simulated.
 */
final readonly class ByModel implements Adjustment
{
    private const TOLERANCE = 1e-3;

    /** A size is moved by so much to see to which power it enters; an angle by so many degrees. */
    private const STEP = 1.05;
    private const STEP_DEG = 5.0;

    /** States closer than this (of ln w and ln p) are one: their runs need not be simulated again. */
    private const SAME_W = 0.15;
    private const SAME_P = 0.1;

    public function __construct(
        private ClassForecast $forecast,
        private Kept $kept,
        private ?float $timedLengthM = null,
    ) {}

    public function factor(string $car, array $sizes, Outcome $outcome): ?float
    {
        $parts = $this->parts($car);
        $log = 0.0;
        foreach ($sizes as $key => $size) {
            $attribute = CarAttribute::from($key);
            if ($parts !== null && !$attribute->belongsTo($parts->source)) {
                // What it does not have changes nothing.
                continue;
            }
            $own = $parts?->get($attribute) ?? 0.0;
            $power = $parts === null ? null : $this->power($parts, $attribute, $outcome);
            $isAngle = $attribute === CarAttribute::NozzleAngle;
            if ($power === null || (!$isAngle && ($own <= 0.0 || $size <= 0.0))) {
                return null;
            }
            $log += $power * ($isAngle ? $size - $own : log($size / $own));
        }

        return exp($log);
    }

    public function knows(CarAttribute $attribute, Outcome $outcome): bool
    {
        return $outcome !== Outcome::Straightness && in_array($attribute, self::KNOWN, true);
    }

    /**
     * How far the car would go with other sizes, its own workmanship kept.
     *
     * @param array<string, float> $sizes (SI) in place of the car's own, by the value of their CarAttribute
     *
     * @return float|null m; null where the model can't say
     */
    public function distanceM(string $car, array $sizes = []): ?float
    {
        $parts = $this->parts($car);

        return $parts === null ? null : $this->outcomes($parts, $sizes)[0] ?? null;
    }

    /**
     * Why a car stopped where it did.
     *
     * @param float|null $measuredM mean of its counted tries; null where none counts
     * @param float|null $limpM where its balloon went limp; null where that was not marked
     *
     * @return Work|null null where the model can't say, or the car does not start by it
     */
    public function work(string $car, ?float $measuredM, ?float $limpM): ?Work
    {
        $settings = $this->settingsOf($car);
        $state = $this->forecast->forecasts[$car] ?? null;
        $forces = $this->forecast->forces[$car] ?? null;
        if ($settings === null || $state === null || $forces === null || ($measuredM !== null && $measuredM <= 0.0)) {
            return null;
        }
        $settings = Prediction::begin($settings, $this->forecast->states[$car]);
        [$distance, $stretch, $stored, $thrust, $rolling, $drag, $carried, $start, $slip, $end, $potential] = $this->kept->get(
            'work 2 ' . hash('xxh128', serialize($settings)),
            static function () use ($settings): array {
                $run = $settings->run(self::TOLERANCE);
                $ramp = $settings->source->blows() ? null : $settings->ramp();

                return [
                    $run->distanceM, $ramp->lengthM
                        ?? $run->driveEnd->distanceM ?? $run->distanceM, $run->energy->stored, $run->energy->push,
                    $run->energy->rolling, $run->energy->drag, $run->energy->carriedOff, $run->energy->start, $run->energy->slip,
                    $run->energy->end,
                    $run->energy->potential,
                ];
            },
        );

        return $distance > 0.0 && $stretch > 0.0
            ? Work::of(
                new EnergyLedger($stored, $thrust, $rolling, $drag, $carried, $start, $slip, $end, $potential),
                $distance,
                $stretch,
                $measuredM,
                $limpM,
                $forces->thrustIsMeasured(),
                $forces->frictionIsMeasured(),
                $settings->source,
            )
            : null;
    }

    /** To which power a size enters the outcome of a car, or by how much (ln) a degree of an angle; null where the model can't say. */
    private function power(Settings $parts, CarAttribute $attribute, Outcome $outcome): ?float
    {
        $which = $outcome === Outcome::Time ? 1 : 0;
        $isAngle = $attribute === CarAttribute::NozzleAngle;
        $own = $parts->get($attribute);
        $now = $this->outcomes($parts, [])[$which] ?? 0.0;
        $then = $this->outcomes($parts, [$attribute->value => $isAngle ? $own + self::STEP_DEG : $own * self::STEP])[$which] ?? 0.0;

        return $now > 0.0 && $then > 0.0 ? log($then / $now) / ($isAngle ? self::STEP_DEG : log(self::STEP)) : null;
    }

    /** The car's settings, measured values in place; null where the model can't say anything of it. */
    public function settingsOf(string $car): ?Settings
    {
        return $this->forecast->modelOf($car)?->settings;
    }

    /** The car's settings at its own state, but for what tells nobody anything. */
    private function parts(string $car): ?Settings
    {
        $settings = $this->settingsOf($car);
        $state = $this->forecast->states[$car] ?? null;
        if ($settings === null || $state === null) {
            return null;
        }
        $begin = Prediction::begin($settings, $state);
        $strength = $settings->source->strength();

        return $begin
            ->with(
                CarAttribute::Workmanship,
                min(0.5, exp(self::SAME_W * round(log(max(1e-4, $begin->get(CarAttribute::Workmanship))) / self::SAME_W))),
            )
            ->with($strength, max(0.2, min(5.0, exp(self::SAME_P * round(log($begin->get($strength)) / self::SAME_P)))));
    }

    /**
     * @param array<string, float> $sizes
     *
     * @return list<float> how far it goes (m), and how long it takes over the timed length (s; 0 where it does not come so far); none where that can't be computed
     */
    private function outcomes(Settings $parts, array $sizes): array
    {
        try {
            foreach ($sizes as $key => $size) {
                $parts = $parts->with(CarAttribute::from($key), $size);
            }
        } catch (OutOfRangeException) {
            return [];
        }
        $timed = $this->timedLengthM;

        return $this->kept->get('outcome ' . hash('xxh128', serialize([$parts, $timed])), static function () use ($parts, $timed): array {
            $run = $parts->run(self::TOLERANCE, $timed !== null);

            return [$run->distanceM, $timed === null ? 0.0 : $run->timeAt($timed) ?? 0.0];
        });
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Propagation;

/**
 * The tests that measure a car's forces, with what each reads and what follows from it.
 *
 * The balances behind them, on a level floor, with g = 9.80665 m/s² and m_eff = m and what the wheels' spin adds:
 *
 * - Ramp and roll-out: the height h is spent on rolling over the horizontal distance d, m·g·h = f·m·g·d.
 * - Tilt: at a steady roll m·g·sin α = f·m·g·cos α, so f = rise/run.
 * - Pull: F = f·m·g, read on a scale as a mass, so f = Δm/m.
 * - Coast-down: a = f·g·m/m_eff is steady. Over a gap s ahead of a last d it takes t = (√(2a(d+s)) − √(2ad))/a,
 *   so a = 2(√(d+s) − √d)²/t²: speed at a mark and v² = 2ad put together.
 * - Static thrust: T = Δm·g.
 * - First stretch: from rest s = ½at², so T = m_eff·2s/t² + f·m·g, m_eff with the air that is carried along.
 * - Load share: the driven axle on the scale, the other beside it at the same height, then the other way round: W_d/(W_d + W_o).
 * - Grip: pulled with its driven wheels held, the car gives way at F = μ_s·N_d + f·N_o, and slides at the same with μ_k.
 * - Pull of the band: what a scale at the hook shows at some turns, F = Δm·g, over the model's pull there; and while it is let
 *   back, at the same turns.
 * - Pressure: a column of water of height h bears ρ·g·h; 1 cmH2O = 98.0665 Pa (NIST SP 811).
 */
enum BenchTest: string
{
    case Ramp = 'ramp';
    case Tilt = 'tilt';
    case Pull = 'pull';
    case CoastDown = 'coast-down';
    case StaticThrust = 'static-thrust';
    case FirstStretch = 'first-stretch';
    case Pressure = 'pressure';
    case LoadShare = 'load-share';
    case Grip = 'grip';
    case BandPull = 'band-pull';
    case Spin = 'spin';

    /** @return list<self> that a car can do that is driven so */
    public static function askedOf(EnergySource $source): array
    {
        return array_values(array_filter(self::cases(), static fn(self $test): bool => match ($test->measures()) {
            Force::Thrust, Force::Pressure => $source->blows(),
            Force::LoadShare, Force::Grip, Force::Pull => $source->winds(),
            Force::Friction, null => true,
        }));
    }

    /** Whether it is the one to measure its force by, with what a classroom has: a ramp, a kitchen scale. Common practice, no source. */
    public function isUsual(): bool
    {
        return in_array($this, [self::Ramp, self::StaticThrust, self::BandPull], true);
    }

    /** What the car's model input it replaces; null where it only compares. */
    public function measures(): ?Force
    {
        return match ($this) {
            self::Ramp, self::Tilt, self::Pull, self::CoastDown => Force::Friction,
            self::StaticThrust, self::FirstStretch => Force::Thrust,
            self::Pressure => Force::Pressure,
            self::LoadShare => Force::LoadShare,
            self::Grip => Force::Grip,
            self::BandPull => Force::Pull,
            self::Spin => null,
        };
    }

    /** Whether a kitchen scale is what is read. */
    public function readsAScale(): bool
    {
        return in_array($this, [self::StaticThrust, self::Pull, self::LoadShare, self::Grip], true);
    }

    /** @return list<BenchField> in the order in which they are read */
    public function fields(): array
    {
        $stopwatch = static fn(string $key): BenchField => new BenchField($key, Scale::Stopwatch, 0.02, 300.0, 0.1, [0.15, 20.0]);

        return match ($this) {
            self::Ramp => [
                new BenchField(
                    'release_height',
                    Scale::Body,
                    0.002,
                    2.0,
                    0.001,
                    [0.02, 0.5],
                ),
                new BenchField('roll_out', Scale::Distance, 0.02, 40.0, 0.01, [0.2, 8.0]),
            ],
            self::Tilt => [
                new BenchField('rise', Scale::Body, 0.001, 2.0, 0.002, [0.004, 0.3]),
                new BenchField('run', Scale::Distance, 0.05, 10.0, 0.005, [0.15, 2.0]),
            ],
            self::Pull => [new BenchField('pull', Scale::Weight, 0.0001, 5.0, 0.0005, [0.0004, 0.04])],
            self::CoastDown => [
                new BenchField(
                    'between_marks',
                    Scale::Distance,
                    0.05,
                    10.0,
                    0.005,
                    [0.2, 2.0],
                ),
                $stopwatch('mark_to_mark'),
                new BenchField('mark_to_stop', Scale::Distance, 0.0, 40.0, 0.01, [0.1, 6.0]),
            ],
            self::StaticThrust => [new BenchField('scale_reading', Scale::Weight, 0.0001, 5.0, 0.0005, [0.001, 0.05])],
            self::FirstStretch => [new BenchField('stretch', Scale::Distance, 0.05, 5.0, 0.005, [0.2, 2.0]), $stopwatch('from_release')],
            self::Pressure => [
                new BenchField('water', Scale::Body, 0.005, 3.0, 0.002, [0.08, 0.7]),
                new BenchField('balloon_diameter', Scale::Body, 0.03, 0.6, 0.003, [0.08, 0.35]),
            ],
            self::LoadShare => [
                new BenchField('on_driven_axle', Scale::Weight, 0.0005, 10.0, 0.0005, [0.005, 0.3]),
                new BenchField('on_other_axle', Scale::Weight, 0.0, 10.0, 0.0005, [0.005, 0.3]),
            ],
            self::Grip => [
                new BenchField('gives_way', Scale::Weight, 0.0005, 10.0, 0.001, [0.004, 0.3]),
                new BenchField('slides', Scale::Weight, 0.0005, 10.0, 0.001, [0.004, 0.3]),
            ],
            self::BandPull => [
                new BenchField('turns', Scale::Turns, 0.25, 500.0, 0.05),
                new BenchField('pull_winding', Scale::Weight, 0.0005, 50.0, 0.002, [0.01, 3.0]),
                new BenchField('pull_back', Scale::Weight, 0.0, 50.0, 0.002, [0.01, 3.0]),
            ],
            self::Spin => [$stopwatch('turns_for')],
        };
    }

    /**
     * What one repeat shows: f, a share or μ_s (no unit), thrust (N), pressure or pull over the model's (no unit), or seconds.
     *
     * @param list<float> $reading SI, one for each field
     */
    public function value(array $reading, Circumstances $car): float
    {
        return $this->compute($reading, $car->massKg, $car->friction->value, $car);
    }

    /**
     * The mean of repeats with its uncertainty: from the scatter of such tests in the class, the reading errors, and what else
     * goes in. The reading errors count once whatever the number of repeats, since one eye and one tape make the same error.
     *
     * @param non-empty-list<list<float>> $readings SI, a repeat each
     */
    public function result(array $readings, Circumstances $car, Repeatability $repeats = new Repeatability()): Estimate
    {
        $values = array_map(fn(array $reading): float => $this->value($reading, $car), $readings);
        $inputs = ['m' => $car->massKg, 'f' => $car->friction->value];
        $errors = ['m' => $car->massUncertaintyKg, 'f' => $car->friction->standardUncertainty];
        foreach ($this->fields() as $index => $field) {
            $inputs["{$index}"] = array_sum(array_column($readings, $index)) / count($readings);
            // A short reading can't be off by more than itself.
            $errors["{$index}"] = min($field->uncertainty(), 0.5 * $inputs["{$index}"]);
        }
        $count = count($this->fields());
        $error = Propagation::through(
            fn(array $at): float => $this->compute(
                array_map(static fn(int $index): float => $at["{$index}"], range(0, $count - 1)),
                $at['m'],
                $at['f'],
                $car,
            ),
            $inputs,
            $errors,
        );

        return Estimate::ofRepeats($values, $repeats->relative($this), $repeats->degreesOfFreedom($this), $error);
    }

    /** @param list<float> $reading */
    private function compute(array $reading, float $mass, float $friction, Circumstances $car): float
    {
        return match ($this) {
            self::Ramp, self::Tilt => $reading[0] / $reading[1],
            self::Pull => $reading[0] / $mass,
            self::CoastDown => 2.0 * (
                sqrt($reading[2] + $reading[0]) - sqrt($reading[2])
            ) ** 2 / $reading[1] ** 2 / Constants::GRAVITY_M_S2 * $car->rollingInertia,
            self::StaticThrust => $reading[0] * Constants::GRAVITY_M_S2,
            self::FirstStretch => $mass * (
                $car->startingInertia * 2.0 * $reading[0] / $reading[1] ** 2 + $friction * Constants::GRAVITY_M_S2
            ),
            self::Pressure => $reading[0] * Constants::METRE_OF_WATER_PA / ($car->pressureAt)($reading[1]),
            self::LoadShare => $reading[0] / ($reading[0] + $reading[1]),
            self::Grip => self::rims($reading[0], $mass, $friction, $car),
            self::BandPull => $reading[1] * Constants::GRAVITY_M_S2 / max(1e-9, ($car->pullAt)($reading[0])),
            self::Spin => $reading[0],
        };
    }

    /**
     * μ_k over μ_s, by one repeat of the grip test.
     *
     * @param list<float> $reading
     */
    public static function slidingShare(array $reading, Circumstances $car): float
    {
        $holds = self::rims($reading[0], $car->massKg, $car->friction->value, $car);

        return $holds <= 0.0 ? 1.0 : self::rims($reading[1], $car->massKg, $car->friction->value, $car) / $holds;
    }

    /**
     * μ of the driven rims, by what it takes to pull the car with those wheels held (kg on a scale); never below nothing, where the
     * other wheels alone would take all of it.
     */
    private static function rims(float $pullKg, float $mass, float $friction, Circumstances $car): float
    {
        return max(0.0, $pullKg - $friction * $mass * (1.0 - $car->loadShare)) / ($mass * $car->loadShare);
    }
}

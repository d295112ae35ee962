<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;

/**
 * How the push of a car's drive rises and falls while it lasts, by the run model: over its share of the time, and over its mean.
 * How strong it is and how long it lasts are the film's to say.
 */
final readonly class PushShape
{
    /** Equal shares of the time at which it is known. */
    public const STEPS = 60;

    /** Of the friction that the car's parts have. */
    private const EASY = 0.2;

    /** What emptying balloons and bands give of the model's, usually; and what they may give as well. From memory. */
    private const USUAL = 0.85;
    private const OTHER = 0.65;

    /** What a balloon held against a ruler is off by (standard). From memory. */
    private const SIZE_ERROR_M = 0.005;

    /**
     * @param list<float> $push over its mean, from the release to its end
     * @param list<float> $dragKgM k of F = k·v² while a balloon empties; the last is that of the car with its balloon limp
     * @param list<float> $airKg what the air in and about the balloon adds to the inertia meanwhile
     */
    private function __construct(
        public array $push,
        public array $dragKgM,
        public array $airKg,
    ) {}

    /**
     * @return self|null null of a car that nothing pushes along the lane
     *
     * @throws OutOfRangeException where the model can't compute with the car
     */
    public static function of(Settings $car): ?self
    {
        return self::with($car, self::USUAL);
    }

    /**
     * As it would rise and fall in a weaker balloon or band, and in a balloon that was a little larger than it was held to be: what
     * the film's figures owe to the shape.
     *
     * @return list<self>
     *
     * @throws OutOfRangeException where the model can't compute with the car
     */
    public static function others(Settings $car): array
    {
        $larger = $car->source->blows() ? self::with(self::larger($car), self::USUAL) : null;

        return array_values(array_filter([self::with($car, self::OTHER), $larger]));
    }

    private static function larger(Settings $car): Settings
    {
        return $car->with(CarAttribute::BalloonSize, $car->get(CarAttribute::BalloonSize) + self::SIZE_ERROR_M);
    }

    /** The same with so many times the drag. */
    public function dragged(float $times): self
    {
        return new self($this->push, array_map(static fn(float $each): float => $times * $each, $this->dragKgM), $this->airKg);
    }

    private static function with(Settings $car, float $strength): ?self
    {
        if ($car->source->rollsDown()) {
            return null;
        }
        // A car that hardly rubs comes past the end of its push, whatever it does in truth.
        $run = $car->run(1e-4, true, self::EASY, $strength);
        if ($run->driveEnd === null || $run->driveEnd->timeS <= 0.0) {
            return null;
        }
        $design = $car->source->blows() ? $car->design() : null;
        $push = $drag = $air = [];
        $next = 0;
        $last = $run->driveEnd->timeS;
        for ($step = 0; $step <= self::STEPS; $step++) {
            $at = $last * $step / self::STEPS;
            while ($run->trajectory[$next + 1]->timeS < $at && $next + 2 < count($run->trajectory)) {
                $next++;
            }
            [$a, $b] = [$run->trajectory[$next], $run->trajectory[$next + 1]];
            $share = $b->timeS > $a->timeS ? min(1.0, ($at - $a->timeS) / ($b->timeS - $a->timeS)) : 0.0;
            $push[] = $a->thrustN + $share * ($b->thrustN - $a->thrustN);
            $drag[] = $b->speedMS > 0.0 ? $b->dragN / $b->speedMS ** 2 : 0.0;
            $air[] = $design?->carriedAirKg($a->volumeM3 + $share * ($b->volumeM3 - $a->volumeM3)) ?? 0.0;
        }
        $mean = (array_sum($push) - ($push[0] + $push[self::STEPS]) / 2) / self::STEPS;
        if ($mean <= 0.0) {
            return null;
        }

        return new self(array_map(static fn(float $each): float => $each / $mean, $push), $drag, $air);
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Record\ClassFindings;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\WhatWouldChange;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\EnergyStory;
use Skivo\Core\Simulation\Regime;

/**
 * Why a group's car stopped where it did, from its last run and its forecast. Whatever the model or the data do not bear is left
 * out: a run outside the band of the forecast is told without them.
 */
final readonly class WhyReading
{
    /** So many times as far, or as little, as the car usually goes is odd, however much the class's tries scatter. */
    private const ODD = 2.0;

    private function __construct(
        public Run $run,
        /** What the push became along the way; null where the model can't say. */
        public ?EnergyStory $story,
        /** What held the car back most; null where nothing stands out, or the model does not bear it. */
        public ?Regime $heldBack,
        /** @var array<string, float> how much farther it would go (m), by the value of a WhatWouldChange */
        public array $changes,
        /** Where the balloon went limp (m), as marked, or as the model has it; null where neither says. */
        public ?float $limpM,
        public bool $limpIsMarked,
        public ?float $guessM,
        /** What drives it, as words have it: "of_elastic_band". */
        public string $drive,
        /** Whether something pushes it on the floor. */
        public bool $pushes,
        /** Why nothing is said of it; null where something is. */
        public ?Silence $silence,
        /** @var list<CarAttribute> what nobody wrote down and somebody must, before anything can be said */
        public array $missing,
    ) {}

    /** Null before there is a run to explain. */
    public static function of(GroupsOwnPath $own): ?self
    {
        $run = $own->lastRun();
        $distance = $run?->distanceM;
        if ($run === null || $distance === null) {
            return null;
        }
        $guess = $own->guessOf($run->try)?->distance->quantity->si();
        $class = ClassFindings::of($own->record)->found->forecast;
        $car = $own->group->currentCar()->id ?? 0;
        [$state, $forecast] = [$class->states[$car] ?? null, $class->forecasts[$car] ?? null];
        $story = null;
        $changes = [];
        // What is known of its hands and its drive, the bench included, is in the state: the model is that of its parts.
        $settings = $class->modelOf((string) $car)?->settings;
        $missing = $class->missing[$car] ?? [];
        if ($settings === null && !isset($class->beyond[$car])) {
            $missing = [CarAttribute::NozzleBore, CarAttribute::BalloonSize];
        }
        $silence = match (true) {
            // Where it would have stopped, nobody saw.
            $run->pastEnd => Silence::PastTheEnd,
            isset($class->beyond[$car]) => Silence::BeyondModel,
            $missing !== [] => Silence::NotWrittenDown,
            $state === null || $forecast === null => Silence::BeyondModel,
            !self::isBorne($distance, $forecast) => Silence::Odd,
            default => null,
        };
        if ($silence === null && $settings !== null && $state !== null) {
            try {
                $story = EnergyStory::of(Prediction::begin($settings, $state)->run(withTrajectory: true));
            } catch (OutOfRangeException) {
                $story = null;
            }
            $changes = $story === null ? [] : WhatWouldChange::of($settings, $state, $distance);
        }
        $regime = $story?->regime;

        return new self(
            $run,
            $story,
            $regime === Regime::Rolling || $regime === Regime::Air ? $regime : null,
            $changes,
            $run->limpM ?? ($run->pastEnd || $story?->limpAt === null ? null : $story->limpAt * $distance),
            $run->limpM !== null,
            $guess,
            $own->group->source()->key(),
            $own->group->source() !== EnergySource::Ramp,
            $silence ?? ($story === null ? Silence::BeyondModel : null),
            $missing,
        );
    }

    /** Whether the forecast holds for a run: not for one that it calls out of the ordinary. */
    private static function isBorne(float $distanceM, Forecast $forecast): bool
    {
        return $distanceM >= max($forecast->band95->low, $forecast->medianM / self::ODD)
            && $distanceM <= min($forecast->band95->high, $forecast->medianM * self::ODD);
    }
}

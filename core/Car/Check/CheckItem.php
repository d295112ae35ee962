<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Check;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Expected;
use Skivo\Core\Measurement\Scale;

/** What is checked on a car before it runs, in the order in which it is done. */
enum CheckItem: string
{
    case Spin = 'spin';
    case EndPlay = 'end-play';
    case Wobble = 'wobble';
    case Parallel = 'parallel';
    case Drift = 'drift';
    case Airtight = 'airtight';
    case BalloonClears = 'balloon-clears';
    case NozzleStraight = 'nozzle';
    case BandClear = 'band-clear';
    case BandFree = 'band-free';
    case HookHolds = 'hook';
    case WheelsTight = 'wheels-tight';
    /** Nothing is loose. */
    case Firm = 'firm';
    /** Neither so tall that it tips, nor so low that it rubs. */
    case Height = 'height';
    case PointsOff = 'points';

    /** @return list<self> that are asked of a car that is driven so */
    public static function askedOf(EnergySource $source): array
    {
        return array_values(array_filter(self::cases(), static fn(self $item): bool => match ($item) {
            self::Airtight, self::BalloonClears, self::NozzleStraight => $source->blows(),
            self::BandClear, self::BandFree, self::HookHolds, self::WheelsTight => $source->winds(),
            default => true,
        }));
    }

    /** Whether a card is whole without it: a look of the eye that holds nobody up. */
    public function isOptional(): bool
    {
        return $this === self::Firm || $this === self::Height;
    }

    /** Whether a second reading belongs to it. */
    public function hasSecond(): bool
    {
        return $this === self::Parallel || $this === self::Drift;
    }

    /** Whether it is answered with yes or no rather than measured. */
    public function isQuestion(): bool
    {
        return in_array(
            $this,
            [
                self::BalloonClears, self::NozzleStraight, self::BandClear, self::BandFree, self::HookHolds, self::WheelsTight,
                self::Firm, self::Height, self::PointsOff,
            ],
            true,
        );
    }

    /** Of what was read; null for a question. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::Spin => Scale::Stopwatch,
            self::EndPlay, self::Wobble, self::Parallel, self::Airtight => Scale::Part,
            self::Drift => Scale::Distance,
            default => null,
        };
    }

    public function dimension(): Dimension
    {
        return $this === self::Spin ? Dimension::Time : Dimension::Length;
    }

    /** Of what is judged: the reading itself, an angle (°) between the axles, or a drift for the distance. */
    public function judgedScale(): ?Scale
    {
        return match ($this) {
            self::Parallel => Scale::Angle,
            self::Drift => Scale::Slope,
            default => $this->scale(),
        };
    }

    /** Greatest reading that is taken for real, in SI. */
    public function greatest(): float
    {
        return match ($this) {
            self::Spin => 600.0,
            self::EndPlay, self::Wobble => 0.1,
            self::Parallel => 1.0,
            self::Drift => 20.0,
            self::Airtight => 1.0,
            default => 1.0,
        };
    }

    /** What is read of it, in nearly all cars (SI); null for a question. Common practice, no source: set wide, to catch other units. */
    public function expected(): ?Expected
    {
        return match ($this) {
            self::Spin => Expected::between(0.2, 30.0),
            self::EndPlay => Expected::between(0.0002, 0.012),
            self::Wobble => Expected::between(0.0002, 0.012),
            self::Parallel => Expected::between(0.03, 0.3),
            self::Drift => Expected::between(0.005, 1.0),
            self::Airtight => Expected::between(0.0005, 0.06),
            default => null,
        };
    }

    /** The same of its second reading; null where it has none. */
    public function expectedSecond(): ?Expected
    {
        return match ($this) {
            self::Parallel => Expected::between(0.03, 0.3),
            self::Drift => Expected::between(0.5, 6.0),
            default => null,
        };
    }

    /** The limits it is judged by unless the challenge sets its own. Common practice, no source. */
    public function usualTolerance(): ?Tolerance
    {
        return match ($this) {
            self::Spin => new Tolerance(2.0, null, 1.0, null),
            self::EndPlay => new Tolerance(0.001, 0.002, 0.0003, 0.004),
            self::Wobble => new Tolerance(null, 0.001, null, 0.003),
            self::Parallel => new Tolerance(null, 0.5, null, 1.0),
            self::Drift => new Tolerance(null, 0.05, null, 0.15),
            self::Airtight => new Tolerance(null, 0.003, null, 0.010),
            default => null,
        };
    }
}

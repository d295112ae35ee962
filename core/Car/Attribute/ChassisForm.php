<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What a chassis is in shape: how it is drawn and built, and where axles and nozzle can sit on it. Common practice, no source. */
enum ChassisForm: string
{
    /** Where the axles of a board are, as shares of its length. Common practice, no source. */
    public const REAR_AXLE = 0.25;
    public const WHEELBASE = 0.5;

    /** A flat board. */
    case Board = 'board';
    case Block = 'block';
    /** A plate with its rims folded up along both sides. */
    case FoldedPlate = 'folded plate';
    /** A bottle that lies on its side, its neck forward. */
    case Bottle = 'bottle';
    /** A cup that lies on its side, its mouth backwards. */
    case Cup = 'cup';
    case Stick = 'stick';
    /** A frame of a brick kit, whose beams carry the axles. */
    case BrickFrame = 'brick frame';
    /** A board cut along an outline of one's own. */
    case Outline = 'outline';

    /** Between the holes of a brick kit's beams (m), from memory. */
    public const STUD_M = 0.008;

    /**
     * Where the rear and the front axle usually sit, as shares of the length from the rear end.
     *
     * @return array{float, float}
     */
    public function usualAxles(): array
    {
        return match ($this) {
            self::Stick => [1 / 3, 2 / 3],
            self::Bottle => [0.2, 0.62],
            self::Cup => [0.2, 0.8],
            default => [self::REAR_AXLE, self::REAR_AXLE + self::WHEELBASE],
        };
    }

    /**
     * Between which shares of the length an axle finds something to sit on.
     *
     * @return array{float, float}
     */
    public function axlesBetween(): array
    {
        return match ($this) {
            self::Bottle => [0.08, 0.72],
            self::Cup => [0.08, 0.92],
            self::FoldedPlate => [0.12, 0.88],
            default => [0.0, 1.0],
        };
    }

    /** Whether its bearings go through holes in its walls rather than under it. */
    public function isPierced(): bool
    {
        return $this === self::Bottle || $this === self::Cup;
    }

    /** Whether it carries its axles itself, without bearings that are cut and stuck on. */
    public function carriesAxles(): bool
    {
        return $this === self::BrickFrame;
    }

    /** How far above its underside the axles run, as a share of its height; below zero they hang under it. */
    public function axleHeight(): float
    {
        return match ($this) {
            self::Bottle, self::Cup => 0.15,
            self::BrickFrame => 0.5,
            default => 0.0,
        };
    }

    /**
     * Between which shares of the length, from the rear end, a nozzle finds something to rest on.
     *
     * @return array{float, float}
     */
    public function nozzleBetween(): array
    {
        return $this === self::Bottle ? [0.0, 0.72] : [0.0, 1.0];
    }

    /**
     * How wide it is along its length, as shares of its width from the rear end to the nose, evenly spaced.
     *
     * @return non-empty-list<float>
     */
    public function widths(): array
    {
        return match ($this) {
            self::Bottle => [0.9, 1.0, 1.0, 1.0, 1.0, 1.0, 0.8, 0.45, 0.4],
            self::Cup => [1.0, 0.72],
            self::FoldedPlate => [0.55, 0.9, 1.0, 0.9, 0.55],
            self::Outline => [1.0, 1.0, 1.0, 0.8, 0.4],
            default => [1.0, 1.0],
        };
    }

    /** Whether it is as tall as it is wide along its length, as round things are. */
    public function isRound(): bool
    {
        return $this->isPierced();
    }
}

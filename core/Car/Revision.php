<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Car\Attribute\CarAttribute;

/**
 * What a new record of a car means for the version that is on record: only a change of the car makes a new version, and
 * nobody but its builders can tell a change from a slip of the pen.
 */
enum Revision
{
    case Nothing;
    case Record;
    case Change;

    /**
     * The first record of a car that has run is the record of that car, and so are sizes and masses that are added later. What
     * was on record and now reads otherwise, or is gone, may be a change: somebody must say.
     *
     * @param bool $hasRun whether the version on record has any run
     */
    public static function of(?Car $before, Car $after, bool $hasRun): self
    {
        $before ??= new Car();
        $changes = $before->changesTo($after);

        return match (true) {
            $changes === [] && $before->note === $after->note => self::Nothing,
            !$hasRun || $before->isEmpty() => self::Record,
            array_filter($changes, static fn(CarAttribute $each): bool => self::mayBeNew($each, $before, $after)) === [] => self::Record,
            default => self::Change,
        };
    }

    /** Whether the car itself may have changed in it: a size that is measured late was always there, a tyre may not have been. */
    private static function mayBeNew(CarAttribute $each, Car $before, Car $after): bool
    {
        $unsaid = $each->facts()->unsaid;

        return $before->has($each) || ($unsaid !== null ? $after->explanation($each) !== $unsaid : $each->options() !== []);
    }
}

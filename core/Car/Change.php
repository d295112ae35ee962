<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Car\Attribute\CarAttribute;

/**
 * What was changed from one version of a car to the next, and whether a later run can tell what it did.
 */
final readonly class Change
{
    /** What weighing and rebuilding move by themselves; no change that a group made (share of the mass). */
    private const MASS_BY_THE_WAY = 0.03;

    /**
     * The choices that changed by themselves. A part's name is left out beside its numbers, and so is what
     * follows from another change: the masses of the parts, and a car's own mass that moved by less than 3 %.
     *
     * @return list<CarAttribute>
     */
    public static function made(Car $before, Car $after): array
    {
        $changed = $before->changesTo($after);
        // Another source of energy brings its own drive along, and what that weighs.
        if (in_array(CarAttribute::EnergySource, $changed, true)) {
            $changed = array_values(
                array_filter($changed, static fn(CarAttribute $choice): bool => !$choice->isOfTheDrive() && $choice !== CarAttribute::Mass),
            );
        }
        $isIn = static fn(CarAttribute $choice): bool => in_array($choice, $changed, true);
        $made = array_values(array_filter($changed, static function (CarAttribute $choice) use ($changed, $isIn, $before, $after): bool {
            if (array_filter($choice->role()->tells, $isIn) !== []) {
                return false;
            }
            if ($choice->isMassOfAPart()) {
                return count($changed) === 1;
            }
            $old = $before->number(CarAttribute::Mass);
            $new = $after->number(CarAttribute::Mass);

            return $choice !== CarAttribute::Mass
                || count($changed) === 1
                || $old === null
                || $new === null
                || abs($new - $old) >= self::MASS_BY_THE_WAY * $old;
        }));

        return $made === [] ? $changed : $made;
    }

    /** Whether a run of the new version can tell what the change did: at most one choice was changed. */
    public static function isOneThing(Car $before, Car $after): bool
    {
        return count(self::made($before, $after)) <= 1;
    }
}

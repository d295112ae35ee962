<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** A unit was asked of a quantity that cannot be counted in it: a fault of the caller. */
final class WrongDimensionException extends \LogicException
{
    public static function between(Dimension $dimension, Unit|Dimension $other): self
    {
        return new self("A {$dimension->value} has nothing to do with {$other->value}.");
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

use Brick\Math\BigNumber;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * A length, a mass or a time, in SI: what was typed exactly, as a fraction of whole numbers; what was
 * measured or stored as a float.
 *
 * Conversions are exact; only si() and in() round, once, to the nearest float.
 */
final readonly class Quantity
{
    private function __construct(
        public Dimension $dimension,
        private BigRational|float $inSi,
    ) {}

    /**
     * @param BigNumber|int|string $value the number of units; a string is a decimal or a fraction such as 17/2
     */
    public static function of(BigNumber|int|string $value, Unit $unit): self
    {
        return new self($unit->dimension(), BigRational::of($value)->multipliedBy($unit->inSi())->simplified());
    }

    /** A quantity that was measured or computed as a float in SI units (m, kg or s). */
    public static function fromSi(float $si, Dimension $dimension): self
    {
        return new self($dimension, $si);
    }

    /** The value in m, kg or s. */
    public function si(): float
    {
        return is_float($this->inSi) ? $this->inSi : self::toFloat($this->inSi);
    }

    /** @throws WrongDimensionException if the unit measures something else */
    public function in(Unit $unit): float
    {
        return self::toFloat($this->exactlyIn($unit));
    }

    /** @throws WrongDimensionException if the unit measures something else */
    public function exactlyIn(Unit $unit): BigRational
    {
        if ($unit->dimension() !== $this->dimension) {
            throw WrongDimensionException::between($this->dimension, $unit);
        }

        return $this->exactSi()->dividedBy($unit->inSi())->simplified();
    }

    /** @throws WrongDimensionException if the other measures something else */
    public function plus(self $other): self
    {
        if ($other->dimension !== $this->dimension) {
            throw WrongDimensionException::between($this->dimension, $other->dimension);
        }

        return new self($this->dimension, $this->exactSi()->plus($other->exactSi())->simplified());
    }

    /** A float stands for the shortest decimal that reads back as the same float. */
    private function exactSi(): BigRational
    {
        return is_float($this->inSi)
            ? BigRational::of(json_encode($this->inSi, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION))
            : $this->inSi;
    }

    private static function toFloat(BigRational $exact): float
    {
        // Enough digits that rounding to them cannot move the nearest float.
        return (float) (string) $exact->toScale(30, RoundingMode::HALF_EVEN);
    }
}

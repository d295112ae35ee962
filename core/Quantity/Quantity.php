<?php

declare(strict_types=1);

namespace Skivo\Core\Quantity;

use Brick\Math\BigNumber;
use Brick\Math\BigRational;

/**
 * A length, a mass or a time, held exactly in SI as a fraction of whole numbers.
 *
 * Conversions are exact; only si() and in() round, once, to the nearest float.
 */
final readonly class Quantity
{
    private function __construct(
        public Dimension $dimension,
        private BigRational $exactSi,
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
        return new self($dimension, BigRational::of(self::decimal($si))->simplified());
    }

    /** The value in m, kg or s. */
    public function si(): float
    {
        return self::toFloat($this->exactSi);
    }

    /** @throws WrongDimension if the unit measures something else */
    public function in(Unit $unit): float
    {
        return self::toFloat($this->exactlyIn($unit));
    }

    /** @throws WrongDimension if the unit measures something else */
    public function exactlyIn(Unit $unit): BigRational
    {
        if ($unit->dimension() !== $this->dimension) {
            throw WrongDimension::between($this->dimension, $unit);
        }

        return $this->exactSi->dividedBy($unit->inSi())->simplified();
    }

    /** @throws WrongDimension if the other measures something else */
    public function plus(self $other): self
    {
        if ($other->dimension !== $this->dimension) {
            throw WrongDimension::between($this->dimension, $other->dimension);
        }

        return new self($this->dimension, $this->exactSi->plus($other->exactSi)->simplified());
    }

    public function isNegative(): bool
    {
        return $this->exactSi->isNegative();
    }

    /** Shortest decimal that reads back as the same float. */
    private static function decimal(float $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    private static function toFloat(BigRational $exact): float
    {
        // Enough digits that rounding to them cannot move the nearest float.
        return (float) (string) $exact->toScale(30, \Brick\Math\RoundingMode::HALF_EVEN);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** How an attribute is turned when a design is tried, and what the run model takes where nothing is known. In SI. */
final readonly class Ruler
{
    /**
     * @param float $least and $greatest of a slider; it stretches to where a car's own value lies
     * @param float $typical of a hand-made car
     * @param float $step of the slider
     * @param array{float, float}|null $limits between which the model computes, where that is not the range of the attribute
     * @param bool $isMain among those that a class turns first
     * @param bool $isSwept whether it makes sense to turn it through its range
     */
    public function __construct(
        public float $least,
        public float $greatest,
        public float $typical,
        public float $step,
        public ?array $limits = null,
        public bool $isMain = false,
        public bool $isSwept = false,
    ) {}
}

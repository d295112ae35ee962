<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Attribute\EnergySource;

/** How it was noted how full a balloon was, or how far a band was wound. */
enum InflationKind: string
{
    case Full = 'full';
    case Strokes = 'strokes';
    case Diameter = 'diameter';
    case Circumference = 'circumference';
    /** Of the driven axle, while a band is wound on. */
    case Turns = 'turns';

    /** Whether it is a number of things counted. */
    public function isCounted(): bool
    {
        return $this === self::Strokes || $this === self::Turns;
    }

    /** Whether it is measured across or around. */
    public function isMeasured(): bool
    {
        return $this === self::Diameter || $this === self::Circumference;
    }

    /**
     * @param list<EnergySource> $sources
     *
     * @return list<self> those that say anything of a car that is driven by one of them
     */
    public static function of(array $sources): array
    {
        $some = static fn(callable $is): bool => array_filter($sources, $is) !== [];

        return [
            ...($some(static fn(EnergySource $source): bool => $source->blows())
                ? [self::Full, self::Strokes, self::Diameter, self::Circumference] : []),
            ...($some(static fn(EnergySource $source): bool => $source->winds()) ? [self::Turns] : []),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Statistics\Sample;

/** What a class may ask about: how far a car goes, how long it takes over the timed length, how straight it runs. */
enum Outcome: string
{
    case Distance = 'distance';
    case Time = 'time';
    case Straightness = 'straightness';

    /** @param float|null $timedM the length over which times are taken (m) */
    public function measure(Tries $tries, ?float $timedM): ?Sample
    {
        return (new Award($this->goal(), $this === self::Time ? $timedM : null))->measure($tries);
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return list<self> those that at least two cars have
     */
    public static function measured(array $cars): array
    {
        return array_values(array_filter(
            self::cases(),
            static fn(self $outcome): bool => count(
                array_filter($cars, static fn(ComparedCar $car): bool => $car->of($outcome) !== null),
            ) > 1,
        ));
    }

    /** The goal that it serves. */
    public function goal(): Goal
    {
        return match ($this) {
            self::Distance => Goal::Farthest,
            self::Time => Goal::Fastest,
            self::Straightness => Goal::Straightest,
        };
    }

    /** Whether what differs among cars multiplies it; straying adds up. */
    public function isByFactors(): bool
    {
        return $this !== self::Straightness;
    }

    public function scale(): Scale
    {
        return $this->goal()->scale();
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Car;
use Skivo\Core\Statistics\Sample;

/** One version of a car with what it chose and how far it went. */
final readonly class ComparedCar
{
    /**
     * @param string $id names it to whoever asks
     * @param string $group whose car it is
     * @param Sample $sample of its counted tries (m, or s)
     */
    public function __construct(
        public string $id,
        public string $group,
        public int $version,
        public Car $choices,
        public Sample $sample,
    ) {}
}

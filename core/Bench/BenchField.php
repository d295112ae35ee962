<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Expected;
use Skivo\Core\Measurement\Scale;

/** One reading of a bench test: its key, on which scale it is read, and how far a careful reading may be off. */
final readonly class BenchField
{
    /**
     * @param string $key under which lang/ has its name
     * @param float $least in SI
     * @param float $greatest in SI
     * @param array{float, float}|null $usual between these lies what nearly all classes read (SI): common practice, no source; null where nothing is expected
     * @param float $halfWidth within which a careful reading lies (SI): common practice, no source
     */
    public function __construct(
        public string $key,
        public Scale $scale,
        public float $least,
        public float $greatest,
        public float $halfWidth,
        public ?array $usual = null,
    ) {}

    public function expected(): ?Expected
    {
        return $this->usual === null ? null : Expected::between(...$this->usual);
    }

    /** Standard uncertainty of a reading that may lie anywhere within its half width: a/√3 (GUM 4.3.7). */
    public function uncertainty(): float
    {
        return $this->halfWidth / sqrt(3.0);
    }

    public function dimension(): Dimension
    {
        return match ($this->scale) {
            Scale::Weight => Dimension::Mass,
            Scale::Stopwatch => Dimension::Time,
            Scale::Turns => Dimension::Turns,
            default => Dimension::Length,
        };
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\UnitSystem;

/**
 * Small, medium, full, twice each, for a car to answer whether medium is best. They run there and back (small, medium, full,
 * full, medium, small), so that a balloon that wears or an axle that loosens does not pass for an effect of the fill.
 * Its runs are practice: none of them is placed.
 */
final readonly class FillSweep
{
    /**
     * @param non-empty-list<Inflation> $fills in the order in which they run
     * @param int $from so many practice runs had the car before it
     */
    private function __construct(
        public array $fills,
        private int $from,
    ) {}

    public static function of(Inflation $small, Inflation $medium, Inflation $full, int $practiced): self
    {
        return new self([$small, $medium, $full, $full, $medium, $small], $practiced);
    }

    /** As JSON has it; null for anything that is no sweep. */
    public static function read(?string $json, UnitSystem $units): ?self
    {
        $held = $json === null ? null : json_decode($json, true);
        $written = is_array($held) ? $held['fills'] ?? null : null;
        if (!is_array($written) || $written === []) {
            return null;
        }
        $reader = new QuantityReader();
        try {
            $fills = array_map(
                static fn(mixed $fill): Inflation => Inflation::read(is_string($fill) ? $fill : '', $reader, $units),
                array_values($written),
            );
        } catch (\InvalidArgumentException) {
            return null;
        }
        $from = $held['from'] ?? 0;

        return new self($fills, is_int($from) ? $from : 0);
    }

    public function json(): string
    {
        return json_encode(
            ['fills' => array_map(static fn(Inflation $fill): string => $fill->asWritten(), $this->fills), 'from' => $this->from],
            JSON_THROW_ON_ERROR,
        );
    }

    /** @param int $practiced practice runs of the car, void ones left out */
    public function done(int $practiced): int
    {
        return max(0, min(count($this->fills), $practiced - $this->from));
    }

    /** What its next run is filled to; null when it is over. */
    public function next(int $practiced): ?Inflation
    {
        return $this->fills[$this->done($practiced)] ?? null;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Shown;

/** Something about a car that cannot work, or only just: where it is and what would mend it. */
final readonly class Fault
{
    /**
     * @param string $key which fault it is
     * @param Remark $remark what is wrong, with the figures, and the cure
     * @param bool $stops whether it cannot work; otherwise it only may not
     * @param Spot $spot where to mark it on the drawing
     */
    private function __construct(
        public string $key,
        public Remark $remark,
        public bool $stops,
        public Spot $spot,
    ) {}

    /**
     * @param array<string, Shown|int> $values
     * @param string|null $key where several sentences stand for one fault
     */
    public static function of(string $sentence, array $values, bool $stops, Spot $spot, ?string $key = null): self
    {
        return new self($key ?? $sentence, new Remark("build.fault.{$sentence}", $values), $stops, $spot);
    }
}

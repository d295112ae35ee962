<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** How full the balloon was in one run, or how far the band was wound. */
final readonly class Inflation
{
    /**
     * @param Entry|null $size across or around; only where it was measured
     * @param int|null $strokes of a pump, or turns of the driven axle; only where they were counted
     */
    public function __construct(
        public InflationKind $kind,
        public ?Entry $size = null,
        public ?int $strokes = null,
    ) {}

    /** As a run table has it: "full", "12 strokes", "20 cm", "62 cm around" or "14 turns". */
    public function asWritten(): string
    {
        return match ($this->kind) {
            InflationKind::Full => 'full',
            InflationKind::Strokes => "{$this->strokes} strokes",
            InflationKind::Turns => "{$this->strokes} turns",
            InflationKind::Diameter => $this->size->text ?? '',
            InflationKind::Circumference => ($this->size->text ?? '') . ' around',
        };
    }

    /**
     * The other way round.
     *
     * @throws \InvalidArgumentException where it says no such thing
     */
    public static function read(string $words, QuantityReader $reader, UnitSystem $units): self
    {
        $words = mb_strtolower(trim($words));
        if ($words === 'full') {
            return new self(InflationKind::Full);
        }
        if (preg_match('/^(\d{1,3}) (stroke|turn)s?$/', $words, $found) === 1 && (int) $found[1] >= 1 && (int) $found[1] <= 500) {
            return new self($found[2] === 'turn' ? InflationKind::Turns : InflationKind::Strokes, null, (int) $found[1]);
        }
        $isAround = str_ends_with($words, ' around');
        $size = $reader->read($isAround ? substr($words, 0, -7) : $words, $units->unit(Scale::Body) ?? Unit::Centimetre);

        return new self($isAround ? InflationKind::Circumference : InflationKind::Diameter, $size);
    }

    public function agreesWith(self $other): bool
    {
        return $this->kind === $other->kind && $this->strokes === $other->strokes
            && ($this->size === null || $other->size === null ? $this->size === $other->size : $this->size->agreesWith($other->size));
    }
}

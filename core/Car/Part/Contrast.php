<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantityException;

/** The two that a class compares: its kit with the one and with the other of what it asks about. */
final readonly class Contrast
{
    /** Two numbers lie so far apart where nobody said otherwise. */
    private const APART = 4 / 3;

    /** Of two parts, the one is at most so much larger than the other. Common practice, no source. */
    private const FARTHEST = 2.2;

    /** What wheels and nozzles are asked about as a size: their parts come with it. */
    private const SIZES = [
        'wheel' => CarAttribute::WheelDiameter,
        'nozzle' => CarAttribute::NozzleBore,
        'balloon' => CarAttribute::BalloonNominal,
    ];

    private const WHEELS = 4.0;

    /** Coins and washers of about so much even a mass out (kg). From memory: common coins weigh 3 to 8 g. */
    public const COIN_KG = 0.005;

    /**
     * @param float|string $one in SI, or the name of a part or kind
     * @param float|string $other likewise
     */
    public function __construct(
        public CarAttribute $attribute,
        public float|string $one,
        public float|string $other,
        private Kit $kit,
    ) {}

    /**
     * The two that are compared where nobody said which: the kit's part and the one that is most like it and yet clearly larger or
     * smaller; of a number, the kit's and one a third larger. Null where there is no such thing.
     *
     * @param float|null $own what the kit's car has of it (SI)
     */
    public static function usual(CarAttribute $attribute, Kit $kit, ?float $own): ?self
    {
        $kind = self::partOf($attribute);
        if ($kind !== null) {
            return self::ofParts($attribute, $kind, $kit);
        }
        if (!$attribute->explainsAsNumber() && !$attribute->isCount()) {
            return null;
        }
        $ruler = $attribute->facts()->ruler;
        $own ??= $ruler?->typical;
        if ($ruler === null || $own === null || $own <= 0.0) {
            return null;
        }
        if ($attribute->isCount()) {
            return new self($attribute, $own, $own + 1.0, $kit);
        }
        $other = $own * self::APART <= $ruler->greatest ? $own * self::APART : $own / self::APART;

        return new self($attribute, min($own, $other), max($own, $other), $kit);
    }

    /**
     * What somebody typed for one of the two: the name of a part or kind, or a number with its unit.
     *
     * @return float|string|null null where it is neither
     */
    public static function read(CarAttribute $attribute, string $text, Kit $kit, UnitSystem $units): float|string|null
    {
        $kind = self::partOf($attribute);
        $named = $kind === null ? null : $kit->catalogue()->named($kind, $text);
        $part = $kind === null || $named !== null
            ? $named?->name
            : PartName::among($text, array_map(static fn(Part $each): string => $each->name, $kit->catalogue()->of($kind)));
        if ($part !== null || $attribute->isKind()) {
            return $part ?? trim($text);
        }
        if ($attribute->isCount()) {
            return ctype_digit(trim($text)) && $attribute->complaint((float) $text) === null ? (float) $text : null;
        }
        $unit = $attribute->bareUnit($units);
        try {
            $si = $unit === null ? null : (new QuantityReader())->read($text, $unit)->quantity->si();
        } catch (UnreadableQuantityException) {
            return null;
        }

        return $si === null || $attribute->complaint($si) !== null ? null : $si;
    }

    /** The kind of part that an attribute is asked about by; null where it is a number or a kind by itself. */
    public static function partOf(CarAttribute $attribute): ?PartKind
    {
        foreach (PartKind::cases() as $kind) {
            if ($kind->named() === $attribute || (self::SIZES[$kind->value] ?? null) === $attribute) {
                return $kind === PartKind::Surface ? null : $kind;
            }
        }

        return null;
    }

    /** The part that one of the two is; null where that is no part. */
    public function part(bool $isOther): ?Part
    {
        $value = $isOther ? $this->other : $this->one;
        $kind = self::partOf($this->attribute);

        return $kind === null || !is_string($value) ? null : $this->kit->catalogue()->named($kind, $value);
    }

    /** The kit that whoever builds it gets. */
    public function kit(bool $isOther): Kit
    {
        $part = $this->part($isOther);
        $value = $isOther ? $this->other : $this->one;
        $source = $this->attribute === CarAttribute::EnergySource && is_string($value) ? EnergySource::tryFrom($value) : null;

        return match (true) {
            $source !== null => $this->kit->drivenBy($source),
            $part === null => $this->kit,
            default => $this->kit->with($part->kind, $part->name),
        };
    }

    /** A car of that kit with its value. */
    public function carOf(Car $kitCar, bool $isOther): Car
    {
        $value = $isOther ? $this->other : $this->one;
        $part = $this->part($isOther);
        $isText = is_string($value);
        if ($part === null && $isText && !$this->attribute->isKind() && !is_numeric($value)) {
            return $kitCar;
        }

        return $part === null ? $kitCar->with($this->attribute, $value) : $kitCar;
    }

    /** Of the attribute, in SI; null for a kind. */
    public function size(bool $isOther): ?float
    {
        $value = $isOther ? $this->other : $this->one;

        return is_float($value) ? $value : ($this->attribute->isKind() ? null : $this->part($isOther)?->find($this->attribute));
    }

    /** By how much a car with the other is heavier, from its parts (kg); 0 where that is unknown, and where the mass is what is asked. */
    public function heavierByKg(): float
    {
        [$one, $other] = [$this->part(false), $this->part(true)];
        $mass = static fn(?Part $part): float => $part?->kind === PartKind::Wheel
            ? self::WHEELS * ($part->find(CarAttribute::WheelMass) ?? 0.0)
            : 0.0;

        return $mass($other) - $mass($one);
    }

    /** The same with an other that is farther from the one; null where there is none. */
    public function farther(): ?self
    {
        $kind = self::partOf($this->attribute);
        $one = $this->size(false);
        $other = $this->size(true);
        if ($one === null || $other === null || $one <= 0.0 || $other <= 0.0) {
            return null;
        }
        if (is_float($this->other)) {
            $ruler = $this->attribute->facts()->ruler;
            $next = $this->other * ($other > $one ? self::APART : 1.0 / self::APART);

            return $ruler === null || $this->attribute->isCount() || $next < $ruler->least || $next > $ruler->greatest
                ? null
                : new self($this->attribute, $this->one, $next, $this->kit);
        }
        $best = null;
        foreach ($kind === null ? [] : $this->kit->catalogue()->of($kind) as $part) {
            $size = $part->find($this->attribute) ?? $one;
            $isFarther = $other > $one ? $size > ($best[1] ?? $other) * 1.05 : $size < ($best[1] ?? $other) / 1.05;
            $best = $isFarther ? [$part->name, $size] : $best;
        }

        return $best === null ? null : new self($this->attribute, $this->one, $best[0], $this->kit);
    }

    /** Whether the two are really two. */
    public function differs(): bool
    {
        return is_string($this->one) && is_string($this->other)
            ? PartName::key($this->one) !== PartName::key($this->other)
            : $this->one !== $this->other;
    }

    private static function ofParts(CarAttribute $attribute, PartKind $kind, Kit $kit): ?self
    {
        $own = $kit->part($kind);
        $size = self::SIZES[$kind->value] ?? null;
        $best = null;
        $rank = [-1, 0.0];
        foreach ($kit->catalogue()->of($kind) as $part) {
            $ratio = $size === null ? 1.0 : ($part->find($size) ?? 0.0) / ($own->find($size) ?? INF);
            $ratio = $ratio > 0.0 ? max($ratio, 1.0 / $ratio) : INF;
            if ($part->isCalled($own->name) || ($size === $attribute && ($ratio < 1.05 || $ratio > self::FARTHEST))) {
                continue;
            }
            $alike = count(array_filter($own->traits, $part->is(...)));
            if ([$alike, $ratio] > $rank) {
                [$best, $rank] = [$part, [$alike, $ratio]];
            }
        }

        return $best === null ? null : new self($attribute, $own->name, $best->name, $kit);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\Tube;

/** One version of a group's car, as recorded on its build sheet. Whatever was not recorded is absent. */
final readonly class Car
{
    /**
     * @param array<string, Entry> $quantities by the value of their CarAttribute
     * @param array<string, int> $counts by the value of their CarAttribute
     * @param array<string, string> $kinds by the value of their CarAttribute
     * @param SizeMeasure|null $balloonMeasuredAs how the filled balloon was measured
     */
    public function __construct(
        public array $quantities = [],
        public array $counts = [],
        public array $kinds = [],
        public ?SizeMeasure $balloonMeasuredAs = null,
        public ?string $note = null,
    ) {}

    /** In SI units, or as a count; null where it was not recorded. */
    public function number(CarAttribute $choice): ?float
    {
        if ($choice === CarAttribute::OutletArea) {
            return $this->outletAreaM2();
        }
        if (isset($this->quantities[$choice->value])) {
            return $this->quantities[$choice->value]->quantity->si();
        }

        return isset($this->counts[$choice->value]) ? (float) $this->counts[$choice->value] : null;
    }

    public function kind(CarAttribute $choice): ?string
    {
        return $this->kinds[$choice->value] ?? null;
    }

    /** Of the rear axle: its own value, or else what was said of both. In SI; null where neither was recorded. */
    public function ofRear(CarAttribute $rear): ?float
    {
        $both = $rear->facts()->ofBothAxles;

        return $this->number($rear) ?? ($both === null ? null : $this->number($both));
    }

    /** What drives it; null where nobody said. */
    public function source(): ?EnergySource
    {
        return EnergySource::tryFrom($this->kind(CarAttribute::EnergySource) ?? '');
    }

    /** Whether it has a balloon and a nozzle: as most cars, where nobody said. */
    public function blows(): bool
    {
        return $this->source()?->blows() ?? true;
    }

    public function has(CarAttribute $choice): bool
    {
        return $this->number($choice) !== null || $this->kind($choice) !== null;
    }

    /** A number in SI units, a kind, or null where it was not recorded: what a result may be explained by. */
    public function explanation(CarAttribute $attribute): float|string|null
    {
        // What belongs to another drive may be left on a build sheet, and explains nothing.
        if (!$attribute->belongsTo($this->source() ?? EnergySource::Balloon)) {
            return null;
        }
        $number = match ($attribute) {
            CarAttribute::BalloonSize => $this->balloonDiameterM(),
            CarAttribute::ChainLength => $this->chainLengthM(),
            default => $this->number($attribute),
        };

        return match (true) {
            $attribute->isKind() => $this->kind($attribute),
            $attribute->explainsAsNumber() || $number === null => $number,
            default => (string) (int) $number,
        };
    }

    /**
     * The same car with one thing changed.
     *
     * @param float|string $value as explanation() has it
     */
    public function with(CarAttribute $attribute, float|string $value): self
    {
        $key = $attribute->value;
        $isCount = !$attribute->isKind() && (is_string($value) || isset($this->counts[$key]));

        return new self(
            $attribute->isKind() || $isCount
                ? $this->quantities
                : [$key => new Entry($attribute->quantity((float) $value), (string) $value)] + $this->quantities,
            $isCount ? [$key => (int) $value] + $this->counts : $this->counts,
            $attribute->isKind() ? [$key => (string) $value] + $this->kinds : $this->kinds,
            $attribute === CarAttribute::BalloonSize ? SizeMeasure::Diameter : $this->balloonMeasuredAs,
            $this->note,
        );
    }

    /** Of the filled balloon, however it was measured; null where it was not. */
    /**
     * The same car rebuilt with another part or size: what belonged to the part that is gone is not known of the new one.
     *
     * @param float|string $to as explanation() has it
     * @param bool $keepsMass whether it is made to weigh as much as before
     */
    public function rebuilt(CarAttribute $attribute, float|string $to, bool $keepsMass = false): self
    {
        $gone = $attribute->isKind() ? $attribute->entailed() : [];
        $weighsOther = array_filter($gone, static fn(CarAttribute $each): bool => $each->isMassOfAPart()) !== [];
        $keys = array_flip(array_column($weighsOther && !$keepsMass ? [...$gone, CarAttribute::Mass] : $gone, 'value'));
        $car = $this->with($attribute, $to);

        return new self(
            array_diff_key($car->quantities, $keys),
            array_diff_key($car->counts, $keys),
            $car->kinds,
            $car->balloonMeasuredAs,
            $car->note,
        );
    }

    public function balloonDiameterM(): ?float
    {
        $size = $this->number(CarAttribute::BalloonSize);

        return $size === null ? null : ($this->balloonMeasuredAs ?? SizeMeasure::Diameter)->diameterM($size);
    }

    /** Of the chain of bands, unstretched (m): as measured, or as so many bands make it; null where neither was recorded. */
    public function chainLengthM(): ?float
    {
        $one = $this->number(CarAttribute::BandLength);
        $bands = $this->number(CarAttribute::BandsInChain);

        return $this->number(CarAttribute::ChainLength) ?? ($one === null || $bands === null ? null : $bands * $one);
    }

    /** Of all outlets together; null where no bore was recorded. */
    private function outletAreaM2(): ?float
    {
        $bore = $this->number(CarAttribute::NozzleBore);

        return $bore === null ? null : ($this->number(CarAttribute::NozzleOutlets) ?? 1.0) * (new Tube($bore))->areaM2();
    }

    /** This record, with another's values where it has none. */
    public function completedBy(self $other): self
    {
        return new self(
            $this->quantities + $other->quantities,
            $this->counts + $other->counts,
            $this->kinds + $other->kinds,
            $this->balloonMeasuredAs ?? $other->balloonMeasuredAs,
            $this->note ?? $other->note,
        );
    }

    /** What this one has, and of everything else what the other has: how a balloon was measured goes with its size. */
    public function over(self $other): self
    {
        $hasSize = isset($this->quantities[CarAttribute::BalloonSize->value]);

        return new self(
            $this->quantities + $other->quantities,
            $this->counts + $other->counts,
            $this->kinds + $other->kinds,
            $hasSize ? $this->balloonMeasuredAs : $other->balloonMeasuredAs,
            $this->note ?? $other->note,
        );
    }

    /** Whether nothing is recorded of it; what drives it alone makes no car. */
    public function isEmpty(): bool
    {
        return $this->quantities === [] && $this->counts === []
            && array_diff(array_keys($this->kinds), [CarAttribute::EnergySource->value]) === [];
    }

    /**
     * The choices in which another version differs from this one: another value, or one where there was none.
     *
     * @return list<CarAttribute>
     */
    public function changesTo(self $other): array
    {
        $contradictions = $this->contradictions($other);

        return array_values(array_filter(
            CarAttribute::recorded(),
            fn(CarAttribute $choice): bool => $this->has($choice) !== $other->has($choice) || in_array($choice, $contradictions, true),
        ));
    }

    /**
     * The choices in which another record of the same car says something else. What either leaves out
     * is no contradiction.
     *
     * @return list<CarAttribute>
     */
    public function contradictions(self $other): array
    {
        return array_values(array_filter(CarAttribute::recorded(), function (CarAttribute $choice) use ($other): bool {
            $mine = $this->quantities[$choice->value] ?? null;
            $theirs = $other->quantities[$choice->value] ?? null;
            if ($mine !== null && $theirs !== null) {
                $sameMeasure = $choice !== CarAttribute::BalloonSize || $this->balloonMeasuredAs === $other->balloonMeasuredAs;

                return !($sameMeasure && $mine->agreesWith($theirs));
            }
            if (isset($this->counts[$choice->value], $other->counts[$choice->value])) {
                return $this->counts[$choice->value] !== $other->counts[$choice->value];
            }
            if (isset($this->kinds[$choice->value], $other->kinds[$choice->value])) {
                return mb_strtolower($this->kinds[$choice->value]) !== mb_strtolower($other->kinds[$choice->value]);
            }

            return false;
        }));
    }
}

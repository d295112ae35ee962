<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/**
 * What a class set out to find: whether more of an attribute, or less of it, does more for an outcome; of kinds, whether the
 * second does more than the first.
 */
final readonly class Question
{
    /**
     * @param string|null $from of two kinds that are compared, the one; null for a number
     * @param string|null $to the other
     */
    public function __construct(
        public CarAttribute $attribute,
        public Outcome $outcome = Outcome::Distance,
        public ?string $from = null,
        public ?string $to = null,
    ) {}

    /** @return list<CarAttribute> what may be asked about: numbers first, in the order in which they matter to a run */
    public static function askable(): array
    {
        return array_values(array_filter(
            CarAttribute::explaining(),
            static fn(CarAttribute $attribute): bool => $attribute !== CarAttribute::OutletArea,
        ));
    }

    /**
     * 1 where the class expects more of the outcome of more of the attribute, −1 where it expects less: a wider nozzle farther,
     * in less time, straying less.
     */
    public function direction(): int
    {
        $attribute = in_array($this->attribute, [CarAttribute::Mass, CarAttribute::EndPlay], true) ? -1 : 1;

        return $this->outcome === Outcome::Distance ? $attribute : -$attribute;
    }

    /** The same, its two kinds by the names of the class. */
    public function called(Spellings $spellings): self
    {
        $names = $spellings->names[$this->attribute->value] ?? [];

        return new self(
            $this->attribute,
            $this->outcome,
            $this->from === null ? null : $names[$this->from] ?? $this->from,
            $this->to === null ? null : $names[$this->to] ?? $this->to,
        );
    }

    /** Whether this is what an effect speaks of. */
    public function isOf(Effect $effect): bool
    {
        return $effect->factor === $this->attribute
            && $effect->outcome === $this->outcome
            && ($this->from === null || [$this->from, $this->to] === [$effect->from, $effect->to]);
    }
}

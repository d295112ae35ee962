<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Check;

use Skivo\Core\Car\Attribute\EnergySource;

/** All that was checked on one version of a car, and what is still open. */
final readonly class CheckCard
{
    /**
     * @param array<string, Reading> $readings by the value of their item
     * @param float|null $trackM of the car
     * @param EnergySource $source what drives it
     */
    public function __construct(
        private array $readings,
        public Tolerances $tolerances = new Tolerances(),
        private ?float $trackM = null,
        private EnergySource $source = EnergySource::Balloon,
    ) {}

    /** @return list<CheckItem> that are asked of this car */
    public function items(): array
    {
        return CheckItem::askedOf($this->source);
    }

    /** @return list<CheckItem> of which its looks are counted: those that nobody has to do count once they are done */
    public function counted(): array
    {
        return array_values(array_filter(
            $this->items(),
            fn(CheckItem $item): bool => !$item->isOptional() || $this->verdict($item) !== null,
        ));
    }

    public function reading(CheckItem $item): ?Reading
    {
        return $this->readings[$item->value] ?? null;
    }

    /** The value that is judged; null where it was not measured. */
    public function value(CheckItem $item): ?float
    {
        return $this->reading($item)?->value($this->trackM);
    }

    public function verdict(CheckItem $item): ?CheckVerdict
    {
        return $this->reading($item)?->verdict($this->tolerances, $this->trackM);
    }

    /** @return list<CheckItem> with this verdict, in order; null for those that are still to be done */
    public function with(?CheckVerdict $verdict): array
    {
        return array_values(array_filter($this->counted(), fn(CheckItem $item): bool => $this->verdict($item) === $verdict));
    }

    /**
     * Those of some items that were read and are not good.
     *
     * @param list<CheckItem> $items
     *
     * @return list<CheckItem>
     */
    public function failed(array $items): array
    {
        return array_values(array_filter(
            $items,
            fn(CheckItem $item): bool => $this->value($item) !== null && $this->verdict($item) !== CheckVerdict::Pass,
        ));
    }

    public function done(): int
    {
        return count($this->counted()) - count($this->with(null));
    }

    public function isComplete(): bool
    {
        return $this->with(null) === [];
    }

    /** Everything is done and nothing must be mended. */
    public function isReady(): bool
    {
        return $this->isComplete() && $this->with(CheckVerdict::Fix) === [];
    }

    /** The first item that is not done yet. */
    public function next(): ?CheckItem
    {
        return $this->with(null)[0] ?? null;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\PartKind;

/** A part that cars are built of, with the values that the run model starts from until they are measured. */
final readonly class Part
{
    /**
     * @param string $name as people say it, unique among parts of its kind
     * @param array<string, float> $values SI, by the value of a CarAttribute that a part of this kind has
     * @param string $origin where the values come from, by the key under which lang/ says it
     * @param list<string> $alsoCalled other names under which a build sheet may have it
     * @param list<PartTrait> $traits
     * @param ChassisForm $form of a chassis
     */
    public function __construct(
        public PartKind $kind,
        public string $name,
        public array $values,
        public string $origin,
        public array $alsoCalled = [],
        public array $traits = [],
        public ChassisForm $form = ChassisForm::Board,
    ) {}

    /** In SI; null for a tube that is not there. */
    public function find(CarAttribute $attribute): ?float
    {
        return $this->values[$attribute->value] ?? match ($attribute) {
            // A wheel of which only one thickness is known is as thick at its hub.
            CarAttribute::WheelHub => $this->values[CarAttribute::WheelThickness->value] ?? null,
            default => null,
        };
    }

    /** @throws \LogicException where the part has none */
    public function value(CarAttribute $attribute): float
    {
        return $this->find($attribute) ?? throw new \LogicException("A {$this->kind->value} has no {$attribute->value}.");
    }

    public function is(PartTrait $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    public function isCalled(string $name): bool
    {
        $name = mb_strtolower(trim($name));

        return $name !== '' && in_array($name, array_map(mb_strtolower(...), [$this->name, ...$this->alsoCalled]), true);
    }
}

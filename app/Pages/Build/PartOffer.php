<?php

declare(strict_types=1);

namespace App\Pages\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Measurement\UnitSystem;

/** A part that a build sheet offers, with what it fills in and what stands pale beside it. */
final readonly class PartOffer
{
    /** @param array<string, string> $sizes as they are shown, by the value of an attribute that the sheet asks for */
    private function __construct(
        public Part $part,
        public string $value,
        public array $sizes,
        public bool $isOfKit,
    ) {}

    /**
     * @param array<string, list<string>> $allowed names that a part may have, by the value of a PartKind; any where left out
     *
     * @return list<self> the kit's own part first
     */
    public static function of(PartKind $kind, Catalogue $catalogue, Kit $kit, UnitSystem $units, array $allowed = []): array
    {
        $names = $allowed[$kind->value] ?? [];
        $parts = array_values(array_filter($catalogue->of($kind), static fn(Part $part): bool => $names === []
            || $part->isCalled($kit->name($kind) ?? '') || array_filter($names, $part->isCalled(...)) !== []));
        $named = $kind->named();
        $shown = static fn(Part $part, CarAttribute $each): string => $part->find($each) === null || $each->scale() === null
            ? ''
            : str_replace("\u{00A0}", ' ', $units->show($part->value($each), $each->scale()));
        $asked = array_filter(
            CarAttribute::ofPart($kind),
            static fn(CarAttribute $each): bool => $each->step() !== null && $each->isQuantity(),
        );
        $offers = array_map(static fn(Part $part): self => new self(
            $part,
            $named->isKind() ? $part->name : $shown($part, $named),
            array_combine(
                array_map(static fn(CarAttribute $each): string => $each->value, $asked),
                array_map(static fn(CarAttribute $each): string => $shown($part, $each), $asked),
            ),
            $part->isCalled($kit->name($kind) ?? ''),
        ), $parts);
        usort($offers, static fn(self $one, self $other): int => $other->isOfKit <=> $one->isOfKit);

        return $offers;
    }

    public function isTaken(?string $held): bool
    {
        return $held !== null && ($held === $this->value || $this->part->isCalled($held));
    }
}

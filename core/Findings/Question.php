<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\CarAttribute;

/** What a class set out to find: whether more of an attribute, or less of it, carries the car farther. */
final readonly class Question
{
    public function __construct(public CarAttribute $attribute) {}

    /** @return list<CarAttribute> what may be asked about: numbers, in the order in which they matter to a run */
    public static function askable(): array
    {
        return array_values(array_filter(
            CarAttribute::explaining(),
            static fn(CarAttribute $attribute): bool => $attribute->explainsAsNumber() && $attribute !== CarAttribute::OutletArea,
        ));
    }

    /** 1 where the class asks whether more of it goes farther, −1 where it asks that of less. */
    public function direction(): int
    {
        return in_array($this->attribute, [CarAttribute::Mass, CarAttribute::EndPlay], true) ? -1 : 1;
    }
}

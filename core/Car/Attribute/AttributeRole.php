<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What else is true of an attribute of a car, beside its facts: which cars have it at all, and what is read of it first. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class AttributeRole
{
    /**
     * @param Drive|null $drive of whose cars it means anything; null where it does of all
     * @param bool $isLook whether it tells how its part of the car looks
     * @param list<CarAttribute> $saidBy what says the same together, where it was not recorded itself
     * @param bool $isHeld whether it is compared with the kit where its part is held equal
     * @param bool $tellsApart whether it tells cars of free designs apart first
     * @param list<CarAttribute> $entails what follows from it by necessity, or says it in another way: part of its effect, never allowed for
     * @param list<CarAttribute> $tells what says the same of a part more exactly: beside those, the name of a part is no change of its own
     */
    public function __construct(
        public ?Drive $drive = null,
        public bool $isLook = false,
        public array $saidBy = [],
        public bool $isHeld = false,
        public bool $tellsApart = false,
        public array $tells = [],
        public array $entails = [],
    ) {}
}

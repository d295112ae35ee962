<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** Something that the core has to say to a person: a code, and the values that belong into the sentence. */
final readonly class Remark
{
    /**
     * @param string $code where the sentence stands, as in "quantity.no_length": the file in lang/, and the key in it
     * @param array<string, scalar|Shown|\UnitEnum|self|list<scalar|Shown|\UnitEnum|self>> $values by the name of their place in the sentence
     */
    public function __construct(
        public string $code,
        public array $values = [],
    ) {}
}

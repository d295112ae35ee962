<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

use Skivo\Core\Measurement\Remark;

/** One cause that could be behind what was seen. */
final readonly class Cause
{
    /**
     * @param string $key under which lang/ has its title, why it does this, how to tell it from others, and its usual cure
     * @param Likelihood $likelihood as far as this car's own readings tell
     * @param Remark|null $seen of this car, said before why
     * @param Remark|null $found of this car, said after why
     * @param Remark|null $cure with figures, where the car's measures give them; the usual one where null
     */
    public function __construct(
        public string $key,
        public Likelihood $likelihood = Likelihood::Possible,
        public ?Remark $seen = null,
        public ?Remark $found = null,
        public ?Remark $cure = null,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Models\Concerns;

/**
 * For models whose casts make immutable objects: what was read cannot have been changed behind the model's back, so
 * it need not be written back to the columns each time any of them is looked at.
 */
trait HoldsImmutableValues
{
    protected function mergeAttributesFromCachedCasts(): void {}

    /** @param string $key */
    protected function mergeAttributeFromCachedCasts($key): void {}
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Act;

/** Another device logged a run of the same car a moment ago, and as far. */
final class LooksLikeOneRunException extends \RuntimeException
{
    public function __construct(
        public readonly Act $twin,
    ) {
        parent::__construct('It may have been logged already.');
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Run;

/** Somebody else changed a run while it was being corrected. */
final class RunHasChangedException extends \RuntimeException
{
    public function __construct(
        /** As it is now. */
        public readonly Run $run,
    ) {
        parent::__construct('The run was changed by somebody else in the meantime.');
    }
}

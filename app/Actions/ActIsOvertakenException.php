<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Act;

/** What was to be undone has been changed since. */
final class ActIsOvertakenException extends \RuntimeException
{
    public function __construct(
        /** What was done to it last. */
        public readonly Act $since,
    ) {
        parent::__construct('It was changed since.');
    }
}

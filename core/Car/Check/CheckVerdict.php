<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Check;

/** What a check came to. */
enum CheckVerdict: string
{
    case Pass = 'pass';
    /** Worth knowing; nothing must be done. */
    case Note = 'note';
    /** Mend it first; the car may run all the same, and is marked so. */
    case Fix = 'fix';
}

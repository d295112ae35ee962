<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** What a run was for: one of the tries, practice, or a heat of a race. */
enum RunKind: string
{
    case Try = 'try';
    /** Kept, and used to foresee how far a car goes; never for places. */
    case Practice = 'practice';
    /** Counts in the race that it was run in, and in findings; never among the tries. */
    case Heat = 'heat';
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** What a run was for: one of the tries, practice, a heat of a race, or one of the timed round. */
enum RunKind: string
{
    case Try = 'try';
    /** Kept, and used to foresee how far a car goes; never for places. */
    case Practice = 'practice';
    /** Counts in the race that it was run in, and in findings; never among the tries. */
    case Heat = 'heat';
    /** After the tries, over the timed length: its time counts for the fastest, and how far it went for nothing. */
    case Timed = 'timed';
}

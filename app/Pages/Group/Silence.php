<?php

declare(strict_types=1);

namespace App\Pages\Group;

/** Why nothing is said of where a run stopped. What nobody wrote down makes no run odd. */
enum Silence: string
{
    case NotWrittenDown = 'not_written_down';
    case PastTheEnd = 'past_the_end';
    case BeyondModel = 'beyond_model';
    case Odd = 'odd';
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** What the tries of two cars say about which is better. */
enum Verdict
{
    /** The interval of the difference leaves out zero. */
    case ClearlyApart;
    /** The interval of the difference contains zero. */
    case TooCloseToCall;
    /** One of them has a single try, so there is nothing to judge by. */
    case NoSpreadYet;
}

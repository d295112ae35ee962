<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** What tries say about which of two cars is better. */
enum Verdict
{
    /** They differ by more than chance has it. */
    case ClearlyApart;
    /** They may as well be equal. */
    case TooCloseToCall;
    /** There is nothing to judge by: a single try, and nobody else's spread to go by. */
    case NoSpreadYet;
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** What happens in a race. */
enum EventKind: string
{
    /** A heat has a winner. */
    case Won = 'won';
    /** Both were as fast, or neither arrived: it is run again. */
    case Again = 'again';
    /** A car is given time to be mended. */
    case Repair = 'repair';
    case Ready = 'ready';
    /** A car leaves the race. */
    case Out = 'out';
    case Back = 'back';
    /** Something that happened did not, after all. */
    case Undone = 'undone';
}

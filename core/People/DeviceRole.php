<?php

declare(strict_types=1);

namespace Skivo\Core\People;

/** What a device that joined a challenge may do. */
enum DeviceRole: string
{
    /** Logs runs of any group, and nothing else. */
    case Log = 'log';
    /** Sees and edits its own group's car and runs. */
    case Group = 'group';
    /** Shows the floor to the room. */
    case Board = 'board';
    /** Posts what it measures. */
    case Instrument = 'instrument';
}

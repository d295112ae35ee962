<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** What kind of thing a quantity measures. Its SI unit is the one in brackets. */
enum Dimension: string
{
    /** (m) */
    case Length = 'length';
    /** (kg) */
    case Mass = 'mass';
    /** (s) */
    case Time = 'time';
    /** Of an axle (one whole turn). */
    case Turns = 'turns';
}

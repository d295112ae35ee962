<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** How a value is known. */
enum Known
{
    case Measured;
    /** By the run model, from parts, workmanship and pressure. */
    case Predicted;
    /** From the other three, since two areas are equal. */
    case WorkedOut;
}

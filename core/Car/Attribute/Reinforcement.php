<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What makes a body that bends or wobbles stiff. */
enum Reinforcement: string
{
    case None = 'none';
    /** A strip across it, front and rear. */
    case Tape = 'tape';
    /** Glued along its folds and edges, and left to dry. */
    case Glue = 'glue';
}

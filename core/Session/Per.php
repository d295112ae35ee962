<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** Of what a list gives the amount. */
enum Per: string
{
    case Group = 'group';
    case Learner = 'learner';
    case Lane = 'lane';
    case WholeClass = 'class';
}

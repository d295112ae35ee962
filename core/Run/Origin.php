<?php

declare(strict_types=1);

namespace Skivo\Core\Run;

/** Where a value of the model comes from. */
enum Origin: string
{
    case Measured = 'measured';
    case Catalogue = 'from the parts list';
    case Assumed = 'assumed';
}

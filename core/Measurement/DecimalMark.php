<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** Which sign parts whole numbers from decimals. */
enum DecimalMark
{
    /** A person typed it: a point, or a comma where it can mean nothing else. */
    case Either;
    /** Known to be a comma, as in a sheet saved where that is the custom. */
    case Comma;
}

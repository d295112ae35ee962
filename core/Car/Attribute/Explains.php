<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** How an attribute may explain a result. */
enum Explains
{
    /** More or less of it: a trend. */
    case AsNumber;

    /** One or the other: kinds, and numbers of which there are only a few. */
    case AsKind;
}

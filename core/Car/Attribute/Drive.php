<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What moves a car; a source of energy is one of them, or two at once. */
enum Drive
{
    case Balloon;
    case Band;
    case Ramp;
}

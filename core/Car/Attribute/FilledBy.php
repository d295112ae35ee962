<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What the balloon is filled with. */
enum FilledBy: string
{
    case Pump = 'pump';
    case Mouth = 'mouth';
}

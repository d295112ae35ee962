<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** When the balloon is filled. */
enum FilledWhen: string
{
    case OnTheCar = 'on the car';
    /** Filled, held shut by a peg, and then put on. */
    case BeforeItGoesOn = 'beforehand';
}

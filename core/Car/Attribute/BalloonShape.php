<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** The shape that a balloon takes when it is full. */
enum BalloonShape: string
{
    case Round = 'round';
    case Pear = 'pear';
    case Long = 'long';
}

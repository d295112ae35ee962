<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** Who does a step of the build. */
enum BuildHand: string
{
    case Child = 'child';
    /** A child, with an adult beside it. */
    case AdultBeside = 'adult_beside';
    case Adult = 'adult';
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Notebook;

/** The stations of a group's own path, in their order. */
enum Station: string
{
    case Idea = 'idea';
    case Build = 'build';
    case Check = 'check';
    case Guess = 'guess';
    case Run = 'run';
    case Why = 'why';
    case Change = 'change';
}

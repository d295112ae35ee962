<?php

declare(strict_types=1);

namespace App\Pages\Paper;

/** What can be printed for the day of a class. */
enum Paper: string
{
    case Brief = 'brief';
    case Safety = 'safety';
    case Prepare = 'prepare';
    case Helpers = 'helpers';
    case Booklet = 'booklet';
    case Templates = 'templates';
    case Labels = 'labels';
    case Cards = 'cards';
    case Order = 'order';
    case Notebooks = 'notebooks';
    case Tape = 'tape';

    /** Whether there is one for each group already, so that it is printed or not; the others in any number. */
    public function isForEachGroup(): bool
    {
        return in_array($this, [self::Labels, self::Cards, self::Notebooks, self::Tape], true);
    }
}

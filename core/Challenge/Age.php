<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** How old a class is: which words its own pages have, and how much of the measuring they show. */
enum Age: string
{
    case SevenToNine = '7-9';
    case TenToFourteen = '10-14';

    /** Whether the class's own pages name forces, and sizes that no child of that age sets. */
    public function seesTerms(): bool
    {
        return $this === self::TenToFourteen;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Notebook;

/** What a group puts into its notebook, by writing or by doing. */
enum EntryKind: string
{
    /** A step of the build that is done, or is not after all. */
    case Tick = 'tick';
    case Guess = 'guess';
    case Note = 'note';
    /** For the next version of the car. */
    case Wish = 'wish';
    case Sketch = 'sketch';
    case Photo = 'photo';
    /** One test of the check card. */
    case Check = 'check';
    /** An answer to a question about the class's own kit. */
    case WarmUp = 'warm_up';
    /** The group has looked at why its car stopped where it did. */
    case Why = 'why';
    /** A tap of the closing round. */
    case Closing = 'closing';
    /** It wants an adult, or no longer. */
    case Help = 'help';

    /** Whether it stands in the notebook as something that the group made, beside what follows from its car and its runs. */
    public function isWritten(): bool
    {
        return in_array($this, [self::Note, self::Wish, self::Sketch, self::Photo], true);
    }

    public function isPicture(): bool
    {
        return $this === self::Sketch || $this === self::Photo;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\People;

/** What an educator may do in a challenge that is another's. */
enum MemberRole: string
{
    /** All but deleting and sharing it. */
    case CoTeacher = 'co-teacher';
    /** Looks on, and changes nothing. */
    case Observer = 'observer';

    public function changes(): bool
    {
        return $this === self::CoTeacher;
    }
}

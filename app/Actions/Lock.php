<?php

declare(strict_types=1);

namespace App\Actions;

/**
 * How rows are held while something that hangs on them is changed. Not "for update": that would also keep out every insert
 * that refers to the row, and two who take a challenge and a group in different order would wait for each other.
 */
final class Lock
{
    public const ROW = 'for no key update';
}

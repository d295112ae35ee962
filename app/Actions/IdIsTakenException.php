<?php

declare(strict_types=1);

namespace App\Actions;

/** Something else is stored under an id that a device made. */
final class IdIsTakenException extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('Something else is stored under this id.');
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

/** A group's notebook holds no more of this. */
final class NotebookIsFullException extends \DomainException
{
    public function __construct()
    {
        parent::__construct('The notebook holds no more.');
    }
}

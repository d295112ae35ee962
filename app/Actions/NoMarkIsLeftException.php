<?php

declare(strict_types=1);

namespace App\Actions;

/** A class has room for as many groups as there are marks; somebody else has just taken the last one. */
final class NoMarkIsLeftException extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('Every mark is in use.');
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use Skivo\Core\Race\Heat;

/** Thrown where a tap is about a heat as it no longer stands: somebody else has said what came of it. */
final class HeatHasMovedOnException extends \RuntimeException
{
    public function __construct(public readonly ?Heat $heat)
    {
        parent::__construct();
    }
}

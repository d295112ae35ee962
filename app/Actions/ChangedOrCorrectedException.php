<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use Skivo\Core\Car\Car as Choices;

/** Cars that have run would read otherwise, and nobody said whether they were changed or only their record was wrong. */
final class ChangedOrCorrectedException extends \RuntimeException
{
    /** @param non-empty-list<array{Car, Choices}> $cars as they are on record, and as they would be */
    public function __construct(public readonly array $cars)
    {
        parent::__construct('Say whether the car was changed or only its record was wrong.');
    }
}

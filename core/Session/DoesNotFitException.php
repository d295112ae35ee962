<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** A piece is longer than the straw or skewer that it should be cut from. */
final class DoesNotFitException extends \DomainException
{
    public function __construct(
        public readonly string $piece,
        public readonly float $lengthM,
        public readonly float $stockM,
    ) {
        parent::__construct("{$piece} is longer than what it is cut from.");
    }
}

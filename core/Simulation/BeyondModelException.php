<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** The run model can say nothing of a car: something recorded lies beyond it, or its drive is none of those that it has. */
final class BeyondModelException extends \DomainException
{
    /** @param array<string, Beyond> $beyond by the value of a CarAttribute; none where its drive is another */
    private function __construct(string $message, public readonly array $beyond)
    {
        parent::__construct($message);
    }

    /** @param non-empty-array<string, Beyond> $beyond by the value of a CarAttribute */
    public static function by(array $beyond): self
    {
        return new self('The run model does not compute with what is recorded of ' . implode(', ', array_keys($beyond)) . '.', $beyond);
    }

    public static function drivenByAnother(): self
    {
        return new self('What drives the car is none of the sources that the run model has.', []);
    }
}

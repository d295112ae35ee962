<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** A parameter of the model lies outside what it is meant for. Names the field and what is allowed. */
final class OutOfRangeException extends \DomainException
{
    private function __construct(
        public readonly string $field,
        public readonly float $least,
        public readonly float $greatest,
        string $message,
    ) {
        parent::__construct($message);
    }

    /**
     * The value, if it is a number within the range.
     *
     * @param string $field as in the JSON of a design, such as nozzle.segments[0].bore_m
     *
     * @throws self
     */
    public static function check(string $field, float $value, float $least, float $greatest): float
    {
        if (!($value >= $least && $value <= $greatest)) {
            $given = is_nan($value) ? 'not a number' : (string) $value;

            throw new self($field, $least, $greatest, "{$field} must be from {$least} to {$greatest}; it is {$given}.");
        }

        return $value;
    }
}

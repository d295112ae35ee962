<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

/** JSON that is not as its schema in docs/ has it. The message names the place, and the cure. */
final class JsonFaultException extends \InvalidArgumentException
{
    /** @param string $what as in "the design" */
    public static function notJson(string $what, string $reason): self
    {
        return new self(ucfirst($what) . " is not JSON: {$reason}.");
    }

    /** @param string $what it should be part of, as in "a design" */
    public static function unknownKey(string $path, string $what): self
    {
        return new self("{$path} is not part of {$what}. Remove it, or check its spelling.");
    }

    public static function missingKey(string $path): self
    {
        return new self("{$path} is missing.");
    }

    public static function wrongType(string $path, string $expected): self
    {
        return new self("{$path} must be {$expected}.");
    }
}

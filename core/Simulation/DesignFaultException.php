<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** The JSON of a design is not as docs/design.schema.json has it. The message names the place. */
final class DesignFaultException extends \InvalidArgumentException
{
    public static function notJson(string $reason): self
    {
        return new self("The design is not JSON: {$reason}.");
    }

    public static function unknownKey(string $path): self
    {
        return new self("{$path} is not part of a design. Remove it, or check its spelling.");
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

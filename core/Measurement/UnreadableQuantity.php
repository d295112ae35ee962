<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** What was typed is not a quantity of the kind asked for. The message says what to type instead. */
final class UnreadableQuantity extends \InvalidArgumentException
{
    public static function empty(): self
    {
        return new self('Nothing was typed.');
    }

    public static function noNumber(string $text, Dimension $dimension): self
    {
        $example = match ($dimension) {
            Dimension::Length => '21.6 cm or 8 1/2 in',
            Dimension::Mass => '58 g or 2 oz',
            Dimension::Time => '2.84 s',
        };

        return new self("“{$text}” is not a {$dimension->value}. Type a number and a unit, such as {$example}.");
    }

    public static function unknownUnit(string $word, Dimension $dimension): self
    {
        return new self("“{$word}” is not a unit of {$dimension->value} here. Use " . Unit::examples($dimension) . '.');
    }

    public static function ambiguousComma(string $number): self
    {
        $point = str_replace(',', '.', $number);
        $whole = str_replace(',', '', $number);

        return new self("“{$number}” could mean {$point} or {$whole}. Type it with a decimal point, or without the comma.");
    }

    public static function thousands(string $number): self
    {
        return new self("“{$number}” has more than one point or comma. Type it without separators between thousands.");
    }

    public static function negative(string $text): self
    {
        return new self("“{$text}” is below zero. Leave out the minus sign.");
    }

    public static function divisionByZero(string $text): self
    {
        return new self("“{$text}” divides by zero. Check the fraction.");
    }

    public static function mixedUnits(string $text): self
    {
        return new self("“{$text}” mixes units in a way that could be misread. Use one unit, or a larger and then a smaller one, such as 5 ft 3 in.");
    }

    public static function tooLong(): self
    {
        return new self('That is too long for a measurement. Type a number and a unit.');
    }
}

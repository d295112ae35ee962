<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** What was typed is not a quantity of the kind asked for. The remark says what to type instead. */
final class UnreadableQuantityException extends \InvalidArgumentException implements HasRemark
{
    private function __construct(private readonly Remark $remark)
    {
        parent::__construct($remark->code);
    }

    public function remark(): Remark
    {
        return $this->remark;
    }

    public static function empty(): self
    {
        return new self(new Remark('quantity.empty'));
    }

    public static function noNumber(string $text, Dimension $dimension): self
    {
        return new self(new Remark("quantity.no_{$dimension->value}", ['text' => $text]));
    }

    public static function unknownUnit(string $word, Dimension $dimension): self
    {
        return new self(new Remark("quantity.no_unit_of_{$dimension->value}", ['text' => $word]));
    }

    public static function ambiguousComma(string $number): self
    {
        return new self(
            new Remark(
                'quantity.ambiguous_comma',
                ['text' => $number, 'point' => str_replace(',', '.', $number), 'whole' => str_replace(',', '', $number)],
            ),
        );
    }

    public static function thousands(string $number): self
    {
        return new self(new Remark('quantity.thousands', ['text' => $number]));
    }

    public static function negative(string $text): self
    {
        return new self(new Remark('quantity.negative', ['text' => $text]));
    }

    public static function divisionByZero(string $text): self
    {
        return new self(new Remark('quantity.division_by_zero', ['text' => $text]));
    }

    public static function mixedUnits(string $text): self
    {
        return new self(new Remark('quantity.mixed_units', ['text' => $text]));
    }

    public static function tooLong(): self
    {
        return new self(new Remark('quantity.too_long'));
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Measurement\HasRemark;
use Skivo\Core\Measurement\Remark;

/** A cell of a run table says something that its column can't hold. */
final class UnreadableCellException extends \InvalidArgumentException implements HasRemark
{
    public function __construct(private readonly Remark $remark)
    {
        parent::__construct($remark->code);
    }

    /** @param array<string, scalar> $values */
    public static function because(string $code, array $values = []): self
    {
        return new self(new Remark("sheet.problem.{$code}", $values));
    }

    public function remark(): Remark
    {
        return $this->remark;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Measurement\HasRemark;
use Skivo\Core\Measurement\Remark;

/** What a film, or the marks on it, can't tell, and why. */
final class UnreadableFilmException extends \InvalidArgumentException implements HasRemark
{
    public function __construct(private readonly Remark $remark)
    {
        parent::__construct($remark->code);
    }

    public function remark(): Remark
    {
        return $this->remark;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Trace;

use Skivo\Core\Measurement\HasRemark;
use Skivo\Core\Measurement\Remark;

/** A file is no trace. The remark says where and what to do. */
final class UnreadableTraceException extends \InvalidArgumentException implements HasRemark
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

<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** An exception with something to say to the person whose input caused it. */
interface HasRemark extends \Throwable
{
    public function remark(): Remark;
}

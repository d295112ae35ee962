<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Measurement\Remark;

/** Something in a sheet that must be mended before any of it is stored. */
final readonly class Problem
{
    /**
     * @param int $line in the file, from 1
     * @param string|null $column as the header has it; null where it concerns the whole line
     */
    public function __construct(
        public int $line,
        public ?string $column,
        public Remark $remark,
    ) {}
}

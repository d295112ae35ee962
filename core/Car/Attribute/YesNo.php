<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** Whether something was done. */
enum YesNo: string
{
    case Yes = 'yes';
    case No = 'no';
}

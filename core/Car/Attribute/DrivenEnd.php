<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** Which axle a band turns. */
enum DrivenEnd: string
{
    case Rear = 'rear';
    case Front = 'front';
}

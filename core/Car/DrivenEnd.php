<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/** Which axle a band turns. */
enum DrivenEnd: string
{
    case Rear = 'rear';
    case Front = 'front';
}

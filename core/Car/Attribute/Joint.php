<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What holds the balloon on its nozzle, as a kit has it; any other may be typed. Common practice, no source. */
enum Joint: string
{
    case ElasticBand = 'elastic band';
    case Tape = 'tape';
    case HotGlue = 'hot glue';
}

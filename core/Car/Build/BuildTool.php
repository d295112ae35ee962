<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What a step of the build is done with. */
enum BuildTool: string
{
    case Cutters = 'cutters';
    case Scissors = 'scissors';
    case Pin = 'pin';
    case Tape = 'tape';
    case GlueGun = 'glue_gun';
    case Glue = 'glue';
    case Pens = 'pens';
    case Paint = 'paint';
    case Pump = 'pump';
    case Breath = 'breath';
    case Saw = 'saw';
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What a step takes beside the parts of the car: its tools, and what is used up. The value is the key of its line of materials. */
enum Supply: string
{
    case Cutters = 'cutters';
    case Scissors = 'scissors';
    case Knife = 'knife';
    case Saw = 'saw';
    case Pins = 'pins';
    case Putty = 'putty';
    case Ruler = 'ruler';
    case Pens = 'pens';
    case Stickers = 'stickers';
    case Paint = 'paint';
    case Brushes = 'brushes';
    case Tape = 'tape';
    case DoubleSidedTape = 'double-tape';
    case GlueGun = 'glue-gun';
    case GlueSticks = 'glue-sticks';
    case CraftGlue = 'craft-glue';
    case Pump = 'pump';
    case Pegs = 'pegs';
    case ElasticBands = 'bands';
    case DriveBands = 'drive-bands';
    case PaperClips = 'clips';
    case Card = 'card';
    case StrawPieces = 'straw-pieces';
}

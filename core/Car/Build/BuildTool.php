<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What a step of the build is done with. */
enum BuildTool: string
{
    case Cutters = 'cutters';
    case Scissors = 'scissors';
    case Knife = 'knife';
    case Pin = 'pin';
    case Tape = 'tape';
    case DoubleTape = 'double_tape';
    case GlueGun = 'glue_gun';
    case Glue = 'glue';
    case Pens = 'pens';
    case Stickers = 'stickers';
    case Paint = 'paint';
    case Pump = 'pump';
    case Breath = 'breath';
    case Peg = 'peg';
    case Putty = 'putty';
    case Elastic = 'elastic';
    case Saw = 'saw';

    /** @return list<Supply> what must be at hand for it */
    public function supplies(): array
    {
        return match ($this) {
            self::Cutters => [Supply::Cutters],
            self::Scissors => [Supply::Scissors],
            self::Knife => [Supply::Knife],
            self::Saw => [Supply::Saw],
            self::Pin => [Supply::Pins, Supply::Putty],
            self::Tape => [Supply::Tape],
            self::DoubleTape => [Supply::DoubleSidedTape],
            self::GlueGun => [Supply::GlueGun, Supply::GlueSticks],
            self::Glue => [Supply::CraftGlue],
            self::Pens => [Supply::Pens, Supply::Ruler],
            self::Stickers => [Supply::Stickers],
            self::Paint => [Supply::Paint, Supply::Brushes],
            self::Pump => [Supply::Pump],
            self::Breath => [],
            self::Peg => [Supply::Pegs],
            self::Putty => [Supply::Putty],
            self::Elastic => [Supply::ElasticBands],
        };
    }

    /** Whether a child never has it in hand. */
    public function isOfAnAdult(): bool
    {
        return in_array($this, [self::Knife, self::Saw, self::GlueGun], true);
    }
}

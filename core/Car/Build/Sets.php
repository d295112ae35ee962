<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What parts are stuck together or coloured with, and how long it takes to hold. Common practice, no source. */
enum Sets: string
{
    case Tape = 'tape';
    case DoubleSidedTape = 'double-sided tape';
    case HotGlue = 'hot glue';
    case CraftGlue = 'craft glue';
    case Pens = 'pens';
    case Stickers = 'stickers';
    case Paint = 'paint';

    /** Until it holds or is dry (min); 0 where it does at once. */
    public function minutes(): float
    {
        return match ($this) {
            self::Tape, self::DoubleSidedTape, self::Pens, self::Stickers => 0.0,
            self::HotGlue => 4.0,
            self::CraftGlue => 20.0,
            self::Paint => 30.0,
        };
    }

    public function tool(): BuildTool
    {
        return match ($this) {
            self::Tape => BuildTool::Tape,
            self::DoubleSidedTape => BuildTool::DoubleTape,
            self::HotGlue => BuildTool::GlueGun,
            self::CraftGlue => BuildTool::Glue,
            self::Pens => BuildTool::Pens,
            self::Stickers => BuildTool::Stickers,
            self::Paint => BuildTool::Paint,
        };
    }

    /** @return list<self> what bearings may be held by */
    public static function ofBearings(): array
    {
        return [self::Tape, self::DoubleSidedTape, self::HotGlue, self::CraftGlue];
    }

    /** @return list<self> what cars may be decorated with */
    public static function ofDecoration(): array
    {
        return [self::Pens, self::Stickers, self::Paint];
    }
}

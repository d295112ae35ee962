<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What parts are stuck together or painted with, and how long it takes to hold. Common practice, no source. */
enum Sets: string
{
    case Tape = 'tape';
    case HotGlue = 'hot glue';
    case CraftGlue = 'craft glue';
    case Pens = 'pens';
    case Paint = 'paint';

    /** Until it holds or is dry (min); 0 where it does at once. */
    public function minutes(): float
    {
        return match ($this) {
            self::Tape, self::Pens => 0.0,
            self::HotGlue => 4.0,
            self::CraftGlue => 20.0,
            self::Paint => 30.0,
        };
    }

    /** @return list<self> what bearings may be held by */
    public static function ofBearings(): array
    {
        return [self::Tape, self::HotGlue, self::CraftGlue];
    }

    /** @return list<self> what cars may be decorated with */
    public static function ofDecoration(): array
    {
        return [self::Pens, self::Paint];
    }
}

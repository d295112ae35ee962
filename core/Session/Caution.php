<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;

/** What can hurt someone, and what is usually done about it. Common practice, no source, unless one is named. */
enum Caution: string
{
    case Cutting = 'cutting';
    case Points = 'points';
    case Glue = 'glue';
    case Discs = 'discs';
    case Choking = 'choking';
    case Latex = 'latex';
    case Mouths = 'mouths';
    case Eyes = 'eyes';
    case Lane = 'lane';
    case Gas = 'gas';
    case Bands = 'bands';

    /**
     * Those that the chosen materials call for, in the order of the work.
     *
     * @param bool $byMouth whether balloons are filled by mouth
     * @param bool $latexFree whether all balloons are free of latex
     * @param Sets $bearings what they are held by
     * @param bool $areWound whether some car is driven by a wound band
     *
     * @return list<self>
     */
    public static function for(Kit $kit, bool $byMouth, bool $latexFree, Sets $bearings = Sets::Tape, bool $areWound = false): array
    {
        return array_values(array_filter(self::cases(), static fn(self $caution): bool => match ($caution) {
            self::Points => $kit->usesSkewers() || $kit->has(PartKind::Wheel, PartTrait::PiercedByHand),
            self::Glue => $kit->usesHotGlue() || $bearings === Sets::HotGlue,
            self::Discs => $kit->has(PartKind::Wheel, PartTrait::Shatters),
            self::Latex => !$latexFree,
            self::Mouths => $byMouth,
            self::Bands => $areWound,
            default => true,
        }));
    }
}

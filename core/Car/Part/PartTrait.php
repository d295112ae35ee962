<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

use Skivo\Core\Car\Attribute\PartKind;

/** What is true of a part beside its numbers, where some rule of the job asks for it. Common practice, no source. */
enum PartTrait: string
{
    /** Cut from a plastic straw: counts as a straw where straws are limited. */
    case Straw = 'straw';

    /** Cut from the same drinking straw as bearings are. */
    case DrinkingStraw = 'drinking_straw';

    /** An axle that turns in a piece of drinking straw. */
    case TurnsInStraw = 'turns_in_straw';

    /** A wooden stick with a point that is cut off first. */
    case Skewer = 'skewer';

    /** Its middle is found and pierced by hand. */
    case PiercedByHand = 'pierced_by_hand';

    /** Of plastic that a push pin goes through with force, so that it is pierced onto putty. */
    case PiercedPlastic = 'pierced_plastic';

    /** What households throw away: collected weeks before. */
    case Collected = 'collected';

    /** Shatters into sharp pieces when it is cut. */
    case Shatters = 'shatters';

    /** A wheel whose hole is far wider than any axle. */
    case WideHole = 'wide_hole';

    /** An axle so soft that scissors cut it: a stirrer, a thin straw. */
    case CutByScissors = 'cut_by_scissors';

    /** Foam, which a knife cuts. */
    case CutByKnife = 'cut_by_knife';

    /** Wood, which is sawn. */
    case Sawn = 'sawn';

    /** A body that comes in its size. */
    case ReadyCut = 'ready_cut';

    /** Several tubes side by side. */
    case Bundled = 'bundled';

    /** No tube at all: the balloon's own neck blows. */
    case NoTube = 'no_tube';

    /** A floor into which wheels sink. */
    case Soft = 'soft';

    /**
     * Those that a part of that kind may have.
     *
     * @return list<self>
     */
    public static function of(PartKind $kind): array
    {
        return match ($kind) {
            PartKind::Nozzle => [self::Straw, self::DrinkingStraw, self::Bundled, self::NoTube],
            PartKind::Bearing => [self::TurnsInStraw, self::Skewer, self::CutByScissors],
            PartKind::Wheel => [self::PiercedByHand, self::PiercedPlastic, self::WideHole, self::Collected, self::Shatters],
            PartKind::Chassis => [self::CutByKnife, self::Sawn, self::ReadyCut, self::Collected],
            PartKind::Surface => [self::Soft],
            PartKind::Balloon => [],
        };
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Kit;

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

    public function title(): string
    {
        return match ($this) {
            self::Cutting => 'Scissors and knives',
            self::Points => 'Piercing and skewers',
            self::Glue => 'Hot glue',
            self::Discs => 'Optical discs',
            self::Choking => 'Pieces of balloon',
            self::Latex => 'Latex',
            self::Mouths => 'Filling by mouth',
            self::Eyes => 'Bursting balloons',
            self::Lane => 'The lane',
            self::Gas => 'Air only',
        };
    }

    /** @return list<string> what to do */
    public function steps(): array
    {
        return match ($this) {
            self::Cutting => ['Cutting is for an adult, or closely supervised.', 'Cut away from the body and from other hands.'],
            self::Points => ['Cut the points off skewers before they are handed out, or straight after piercing.', 'Pierce onto putty, with fingers clear of where the point comes out.', 'Piercing is for an adult, or closely supervised.'],
            self::Glue => ['Use a low-temperature gun: a hot one melts straws and burns skin.', 'The gun stays at one table, with an adult.', 'Let glue set before a part is touched.'],
            self::Discs => ['Never cut or bend an optical disc: it breaks into splinters. Use it whole.'],
            self::Choking => ['Uninflated and burst balloons can choke young children. Balloons sold in the United States carry that warning for children under 8 (16 CFR 1500.19).', 'Count balloons out, and collect every piece of a burst one at once.'],
            self::Latex => ['Ask about latex allergy before any balloon is in the room.', 'Offer latex-free balloons, or another way to take part.'],
            self::Mouths => ['Nobody shares a balloon or a mouthpiece.', 'A pump is better: it also keeps the balloon dry.'],
            self::Eyes => ['Wear eye protection when a balloon is filled towards bursting size.', 'Keep balloons off sharp edges.'],
            self::Lane => ['Keep the lane and its run-out clear. Nobody stands in the run-out.', 'Keep cars on the floor, away from table edges and stairs.'],
            self::Gas => ['Fill balloons with air only: no compressed-gas cylinders.', 'Nobody rides on a car or stands on one.'],
        };
    }

    /**
     * Those that the chosen materials call for, in the order of the work.
     *
     * @param bool $byMouth whether balloons are filled by mouth
     * @param bool $latexFree whether all balloons are free of latex
     *
     * @return list<self>
     */
    public static function for(Kit $kit, bool $byMouth, bool $latexFree): array
    {
        return array_values(array_filter(self::cases(), static fn(self $caution): bool => match ($caution) {
            self::Points => $kit->usesSkewers() || preg_match('/cap|lid|card disc/i', $kit->wheels) === 1,
            self::Glue => $kit->usesHotGlue(),
            self::Discs => str_contains($kit->wheels, 'optical disc'),
            self::Latex => !$latexFree,
            self::Mouths => $byMouth,
            default => true,
        }));
    }
}

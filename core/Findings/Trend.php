<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** What a class's cars can say about one choice. */
enum Trend
{
    /** No car has both the choice and a counted try. */
    case NothingYet;
    /** Fewer than three cars: two always lie on a line. */
    case TooFewCars;
    /** Every car made the same choice, so it can explain nothing. */
    case AllTheSame;
    /** The interval of the slope contains zero, or the kinds differ no more than their cars do. */
    case NotClear;
    /** More of it goes with more. */
    case Rises;
    /** More of it goes with less. */
    case Falls;
    /** Kinds differ by more than chance. */
    case Differs;
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** What a certificate is for. */
enum Honour: string
{
    /** A place by an award of the challenge. */
    case Place = 'place';
    /** Strayed least for how far it went. */
    case Straightest = 'straightest';
    /** Its tries lay closest together. */
    case Steadiest = 'steadiest';
    /** Predicted its own tries best. */
    case BestGuess = 'best_guess';
    /** Gained most from its first version to its last. */
    case MostImproved = 'most_improved';
    /** Broke, was repaired, and ran best for what the car does. */
    case BestRepair = 'best_repair';
    /** Every try that it made counted. */
    case EveryTry = 'every_try';
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** The scale on which a quantity of the trade is read: it decides unit and decimals in either system. */
enum Scale: string
{
    /** Bores and wheels: mm or inches. */
    case Part = 'part';
    /** Tubes and balloons: cm or inches. */
    case Body = 'body';
    /** Where a car stopped: cm or inches. */
    case Distance = 'distance';
    /** Lanes: m or feet. */
    case Lane = 'lane';
    /** What a car weighs: g or oz. */
    case Weight = 'weight';
    /** What a stopwatch shows: s. */
    case Stopwatch = 'stopwatch';
    /** The cross-section of a jet: mm² or in², a product of two lengths. */
    case Area = 'area';
    /** How much sideways for how much forward: cm a metre or inches a foot. */
    case Slope = 'slope';
    /** Directions: degrees. */
    case Angle = 'angle';
    /** How far an axle was turned, in parts of a turn too. */
    case Turns = 'turns';
    /** Things that are counted. */
    case Count = 'count';
}

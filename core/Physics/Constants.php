<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** Constants of nature and of the trade, each once. */
final readonly class Constants
{
    /** Standard acceleration of gravity (m/s²): 3rd CGPM, 1901. */
    public const GRAVITY_M_S2 = 9.80665;

    /** Of the air that a balloon displaces, what moves along with it: the added mass of a sphere (Lamb, Hydrodynamics, 6th ed., §92). */
    public const ADDED_AIR = 0.5;

    /** What a metre of water presses (Pa): 1 cmH2O = 98.0665 Pa, NIST Special Publication 811 (2008), appendix B.8. */
    public const METRE_OF_WATER_PA = 9806.65;
}

<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use Skivo\Core\Simulation\EnergyLedger;

/** The energy of a run as one bar, and the little that pushes the car drawn out below it. In px. */
final readonly class EnergyFlowDrawing
{
    public const WIDTH = 880;
    public const DRAWN_OUT = 520;

    /** Of what was stored, the part that pushes the car. */
    public float $share;

    public float $push;

    /** What pushed the car, and what of all that was put in did not (J). */
    public float $pushJ;
    public float $lostJ;

    /** Of the part drawn out, what rolling takes. */
    public float $rolling;

    public function __construct(EnergyLedger $energy)
    {
        $this->pushJ = $energy->push + $energy->start - $energy->slip - $energy->end;
        $this->lostJ = $energy->putIn() - $this->pushJ;
        $this->share = $this->pushJ / max(1e-12, $energy->putIn());
        $this->push = round(max(2, $this->share * self::WIDTH), 1);
        $spent = max(1e-12, $energy->moved());
        $this->rolling = round($energy->rolling / $spent * self::DRAWN_OUT, 1);
    }

    /** Where the words beside the part that pushes begin. */
    public function besidePush(): float
    {
        return round(min(self::WIDTH - 330, $this->push + 14), 1);
    }
}

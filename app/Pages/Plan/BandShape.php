<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Car\Geometry\Layout;

/** A chain of bands on its car: from its hook, hanging where it is too long, to the driven axle, and wound on that. In px. */
final readonly class BandShape
{
    /** More turns than this nobody could tell apart, and so far apart they are drawn (px). */
    private const MOST_TURNS = 7;
    private const PITCH = 3.2;

    /** A winding is never drawn smaller than this (px). */
    private const LEAST_RADIUS = 3.0;

    /**
     * @param \Closure(float): float $x along the car (m to px)
     * @param \Closure(float): float $across height above the floor, or place beside the middle (m to px)
     */
    public function __construct(private Layout $layout, private \Closure $x, private \Closure $across) {}

    public function fromSide(): string
    {
        $l = $this->layout;
        [$x, $y] = [$this->x, $this->across];
        $scale = abs($x(1.0) - $x(0.0));
        $radius = max(
            self::LEAST_RADIUS,
            $scale * ($l->band->windingDiameter / 2 + $l->band->thickness * max(1, min(self::MOST_TURNS, $l->band->turns ?? 0)) / 2),
        );
        [$hookX, $hookY] = [$x($l->hook()), $y($l->hookHeight())];
        [$axleX, $axleY] = [$x($l->drivenAxle()), $y($l->wheelRadius())];
        $slack = $l->band->chainLength === null ? 0.0 : max(0.0, $l->band->chainLength - $l->installedLength() - $l->woundM());
        // A shallow arc of length L + s over L sags by √(3·L·s/8).
        $sag = sqrt(0.375 * $l->installedLength() * $slack) * $scale;
        $middle = [($hookX + $axleX) / 2, ($hookY + $axleY - $radius) / 2 + 2 * $sag];

        return 'M' . self::at($hookX, $hookY - 4) . 'q4 -1 3 4M' . self::at($hookX, $hookY) . 'Q' . self::at(...$middle) . ' ' . self::at(
            $axleX,
            $axleY - $radius,
        )
            . 'a' . round($radius, 2) . ' ' . round($radius, 2) . ' 0 1 0 0.01 0';
    }

    public function fromAbove(): string
    {
        $l = $this->layout;
        [$x, $z] = [$this->x, $this->across];
        $axle = $x($l->drivenAxle());
        $turns = max(1, min(self::MOST_TURNS, $l->band->turns ?? 1));
        $coils = '';
        for ($i = 0; $i < $turns; $i++) {
            $coils .= 'M' . self::at($axle - 5, $z(0.0) + self::PITCH * ($i - ($turns - 1) / 2) - 1.5) . 'l10 3';
        }
        $strands = '';
        for ($i = 0; $i < $l->band->sideBySide; $i++) {
            $beside = 2.5 * ($i - ($l->band->sideBySide - 1) / 2);
            $strands .= 'M' . self::at($x($l->hook()), $z($l->band->hookOffset) + $beside) . 'L' . self::at($axle, $z(0.0) + $beside);
        }

        return $strands . $coils;
    }

    private static function at(float $x, float $y): string
    {
        return round($x, 2) . ' ' . round($y, 2);
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Build;

use Skivo\Core\Car\Part\CutSizes;

/** One axle from behind, to scale, with what makes up its length. In px; sizes come in m. */
final readonly class AxleDrawing
{
    public const WIDTH = 560;
    public const MIDDLE = self::WIDTH / 2;
    private const MARGIN = 20;
    private const ROOM_ABOVE = 70;
    private const GREATEST_RADIUS = 90;
    private const THINNEST = 2.5;

    public float $radius;
    public float $floor;
    public float $hub;
    public float $thick;

    /** Halves, from the middle of the car (m). */
    public float $bearing;
    public float $inner;
    public float $outer;
    public float $end;

    private float $scale;

    public function __construct(public CutSizes $sizes, float $axleDiameterM, float $wheelDiameterM)
    {
        $this->scale = (self::WIDTH - 2 * self::MARGIN) / max($sizes->axleLengthM(), $sizes->chassisWidthM);
        $this->radius = min($wheelDiameterM / 2 * $this->scale, self::GREATEST_RADIUS);
        $this->floor = self::ROOM_ABOVE + 2 * $this->radius;
        $this->hub = $this->floor - $this->radius;
        $this->thick = max(self::THINNEST, $axleDiameterM * $this->scale);
        $this->bearing = $sizes->bearingLengthM() / 2;
        $this->inner = $this->bearing + $sizes->endPlayM / 2;
        $this->outer = $this->inner + $sizes->wheelThicknessM;
        $this->end = $sizes->axleLengthM() / 2;
    }

    public function x(float $m): float
    {
        return round(self::MIDDLE + $m * $this->scale, 2);
    }

    public function length(float $m): float
    {
        return round($m * $this->scale, 2);
    }

    public function height(): float
    {
        return round($this->floor + 66);
    }
}

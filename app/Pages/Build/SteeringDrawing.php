<?php

declare(strict_types=1);

namespace App\Pages\Build;

use Skivo\Core\Physics\Steering;

/** The path of a car that turns, on its strip of floor from above. In px. */
final readonly class SteeringDrawing
{
    private const LEFT = 40;
    private const MIDDLE = 70;
    private const LENGTH = 900;
    private const MOST_SIDEWAYS = 50;
    private const POINTS = 30;

    private float $scale;

    /** @param float $driftM to the left, below zero to the right */
    public function __construct(private Steering $steering, private float $overM, private float $driftM)
    {
        $this->scale = self::LENGTH / $overM;
    }

    /** The points of the path. */
    public function path(): string
    {
        $sideways = ($this->driftM > 0 ? 1 : -1) * min($this->scale, self::MOST_SIDEWAYS / abs($this->driftM));
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $along = $this->overM * $i / self::POINTS;
            $points[] = round(self::LEFT + $along * $this->scale, 1) . ',' . round(
                self::MIDDLE - $sideways * $this->steering->driftOver($along),
                1,
            );
        }

        return implode(' ', $points);
    }

    /** Whether sideways has a smaller scale than along. */
    public function isFlattened(): bool
    {
        return abs($this->driftM) * $this->scale > self::MOST_SIDEWAYS;
    }
}

<?php

declare(strict_types=1);

namespace App\Drawings;

use Skivo\Core\Session\Slot;
use Skivo\Core\Session\Timetable;

/** The phases of a session along a ruler of minutes; what waits runs in the row below. In px. */
final readonly class TimelineDrawing
{
    public const WIDTH = 1140;
    private const STEPS_MIN = [5, 10, 15, 30, 60, 120, 240, 480];
    private const MOST_STEPS = 14;
    private const LETTER = 7.2;

    private float $longestMin;
    private float $scale;

    public function __construct(private Timetable $timetable)
    {
        $this->longestMin = max($timetable->sessionMin, $timetable->lengthMin, 1.0);
        $this->scale = (self::WIDTH - 12) / $this->longestMin;
    }

    public function x(float $min): float
    {
        return round($min * $this->scale, 2);
    }

    public function width(Slot $slot): float
    {
        return max(1.0, round($slot->lengthMin() * $this->scale, 2) - 1.5);
    }

    public function y(Slot $slot): int
    {
        return $slot->phase->waits() ? 54 : 8;
    }

    public function height(Slot $slot): int
    {
        return $slot->phase->waits() ? 26 : 42;
    }

    /** Whether words have room within a slot. */
    public function holds(Slot $slot, string $words): bool
    {
        return $this->width($slot) > self::LETTER * mb_strlen($words) + 6.5;
    }

    public function showsMinutes(Slot $slot): bool
    {
        return $this->width($slot) > 24.5 && !$slot->phase->waits();
    }

    /** What goes beyond the session (px); 0 where all of it fits. */
    public function over(): float
    {
        return max(0.0, $this->x($this->timetable->lengthMin) - $this->x($this->timetable->sessionMin));
    }

    /** @return list<array{int, bool}> minutes at which the ruler has a line, and whether it has room for a number there */
    public function ruler(): array
    {
        $step = self::STEPS_MIN[count(self::STEPS_MIN) - 1];
        foreach (array_reverse(self::STEPS_MIN) as $each) {
            $step = $this->longestMin / $each <= self::MOST_STEPS ? $each : $step;
        }
        $lines = [];
        for ($min = 0; $min <= $this->longestMin; $min += $step) {
            $lines[] = [$min, $min * $this->scale < self::WIDTH - 60];
        }

        return $lines;
    }
}

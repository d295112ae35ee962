<?php

declare(strict_types=1);

namespace App\Pages\Plan;

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

    /** How long this session is, and until when it is used (min). */
    private float $sessionMin;
    private float $usedMin;

    /** @var list<Slot> */
    public array $slots;

    public function __construct(Timetable $timetable, int $session = 0)
    {
        $this->slots = array_values(array_filter($timetable->slots, static fn(Slot $slot): bool => $slot->session === $session));
        $this->sessionMin = $timetable->sessionsMin[$session];
        $isLast = $session === count($timetable->sessionsMin) - 1;
        // What goes on setting after a session needs nobody there.
        $this->usedMin = max(0.0, ...array_map(
            static fn(Slot $slot): float => $slot->phase->waits() && !$isLast
                ? min($slot->toMin, $timetable->sessionsMin[$session])
                : $slot->toMin,
            $this->slots,
        ));
        $this->longestMin = max(1.0, $this->usedMin, ...$timetable->sessionsMin);
        $this->scale = (self::WIDTH - 12) / $this->longestMin;
    }

    public function x(float $min): float
    {
        return round($min * $this->scale, 2);
    }

    /** Where the session ends. */
    public function end(): float
    {
        return $this->x($this->sessionMin);
    }

    public function width(Slot $slot): float
    {
        return max(1.0, round((min($slot->toMin, $this->longestMin) - $slot->fromMin) * $this->scale, 2) - 1.5);
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
        return max(0.0, $this->x($this->usedMin) - $this->end());
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

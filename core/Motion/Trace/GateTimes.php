<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Trace;

/**
 * The crossings of light gates along a lane, made into times from the first gate. A gate may see one car several
 * times (wheels, balloon) or send an event twice: its first crossing after the start counts. A gate that saw nothing
 * leaves its time out.
 */
final readonly class GateTimes
{
    /** Two gates agree in place when they are this near (m). */
    private const SAME_PLACE = 0.02;

    /** No car is faster between two gates (m/s): an earlier event is noise. */
    private const FASTEST = 12.0;

    /** @param array<int, float> $times s from the start gate, by the place in whole mm */
    private function __construct(public array $times) {}

    /** @param list<array{float, float}> $crossings place of the gate (m) and moment (s), in any order */
    public static function of(array $crossings): self
    {
        usort($crossings, static fn(array $a, array $b): int => $a[1] <=> $b[1]);
        $start = null;
        foreach ($crossings as [$place, $at]) {
            // The last one at the start line before the car was at another gate: earlier ones were hands.
            if (
                abs($place) < self::SAME_PLACE
                    && $start !== null
                        && array_filter(
                            $crossings,
                            static fn(array $each): bool => $each[0] >= self::SAME_PLACE && $each[1] > $start && $each[1] <= $at,
                        ) !== []
            ) {
                break;
            }
            if (abs($place) < self::SAME_PLACE && ($start === null || $at - $start > 0.5)) {
                $start = $at;
            }
        }
        $times = [];
        foreach ($start === null ? [] : $crossings as [$place, $at]) {
            if ($place >= self::SAME_PLACE && $at > $start && $place / ($at - $start) <= self::FASTEST) {
                $times[(int) round(1000 * $place)] ??= $at - $start;
            }
        }

        return new self($times);
    }

    /** From the start gate to one at this place (s); null where there is none, or it saw nothing. */
    public function over(float $metres): ?float
    {
        foreach ($this->times as $place => $time) {
            if (abs($place / 1000 - $metres) <= self::SAME_PLACE) {
                return $time;
            }
        }

        return null;
    }
}

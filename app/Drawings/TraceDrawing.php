<?php

declare(strict_types=1);

namespace App\Drawings;

use App\ViewModels\TraceReading;
use Skivo\Core\Exchange\TracePoint;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** Place, speed and acceleration of a run over time, one above the other. In px; values in the length of the class's lane. */
final readonly class TraceDrawing
{
    public const WIDTH = 1140;
    public const LEFT = 64;
    public const RIGHT = self::WIDTH - 12;
    private const TOP = 24;
    private const GAP = 34;
    private const STEPS = [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 1000];
    private const MOST_LINES = 5;
    private const MOST_TIMES = 14;
    private const MOST_POINTS = 400;

    /** @var list<array{value: string, top: int, lines: list<array{y: float, value: float}>, curve: string}> */
    public array $panels;

    /** y of the line below all panels. */
    public int $bottom;

    private float $fromS;
    private float $lastsS;

    public function __construct(private TraceReading $reading, private UnitSystem $units)
    {
        $points = $reading->trace->points;
        $this->fromS = $points[0]->timeS;
        $this->lastsS = $points[count($points) - 1]->timeS - $this->fromS;
        $panels = [];
        $top = self::TOP;
        foreach (['place' => 150, 'speed' => 120, 'acceleration' => 120] as $value => $height) {
            $panels[] = $this->panel($value, $top, $height);
            $top += $height + self::GAP;
        }
        $this->panels = $panels;
        $this->bottom = $top;
    }

    public function x(float $timeS): float
    {
        return round(self::LEFT + ($timeS - $this->fromS) / max(1e-9, $this->lastsS) * (self::RIGHT - self::LEFT), 1);
    }

    /** Since the trace began. */
    public function since(float $timeS): float
    {
        return $timeS - $this->fromS;
    }

    /** A length, or what is one by time, in the length of the class's lane. */
    public function length(float $m): float
    {
        return $this->units->fromSi($m, Scale::Lane);
    }

    /** @return list<float> seconds since the trace began at which the time is written */
    public function times(): array
    {
        return self::steps(0.0, $this->lastsS, self::MOST_TIMES);
    }

    public function xOf(float $sinceS): float
    {
        return $this->x($this->fromS + $sinceS);
    }

    /** @return array{value: string, top: int, lines: list<array{y: float, value: float}>, curve: string} */
    private function panel(string $value, int $top, int $height): array
    {
        $of = fn(TracePoint $point): float => $this->length(match ($value) {
            'place' => $point->placeM,
            'speed' => $point->speedMS,
            default => $point->accelerationMS2,
        });
        $values = array_map($of, $this->reading->trace->points);
        [$low, $high] = [min(0.0, ...$values), max(0.01, ...$values)];
        $y = static fn(float $at): float => round($top + $height - ($at - $low) / ($high - $low) * $height, 1);

        return [
            'value' => $value,
            'top' => $top,
            'lines' => array_map(
                static fn(float $at): array => ['y' => $y($at), 'value' => $at],
                self::steps($low, $high, self::MOST_LINES),
            ),
            'curve' => implode(' ', array_map(
                fn(TracePoint $point): string => $this->x($point->timeS) . ',' . $y($of($point)),
                $this->reading->thinned(self::MOST_POINTS),
            )),
        ];
    }

    /** @return list<float> round values between two, no more than so many */
    private static function steps(float $low, float $high, int $most): array
    {
        $step = array_values(
            array_filter(self::STEPS, static fn(float|int $each): bool => ($high - $low) / $each <= $most),
        )[0] ?? $high - $low;
        $first = (int) ceil($low / $step);

        return array_map(static fn(int $i): float => $i * $step, range($first, max($first, (int) floor($high / $step + 1e-9))));
    }
}

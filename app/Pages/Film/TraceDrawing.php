<?php

declare(strict_types=1);

namespace App\Pages\Film;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Motion\Trace\TracePoint;

/**
 * A run on the floor that it ran on: a dot for each tenth of a second along the tape, how fast it was there above it, and below what
 * it was given and what was used up: the push and the resistance where a film tells of them, else how it gained speed and lost it.
 * In px; values in the length of the class's lane, forces in mN.
 */
final readonly class TraceDrawing
{
    public const WIDTH = 1140;
    public const HEIGHT = 492;
    public const LEFT = 64;
    public const RIGHT = self::WIDTH - 30;

    /** The two panels, and the floor between them. */
    public const SPEED = ['top' => 34, 'bottom' => 210];
    public const FLOOR = ['top' => 210, 'middle' => 236, 'bottom' => 262];
    public const TAPE = 288;
    public const GAIN = ['top' => 330, 'bottom' => 478];

    private const STEPS = [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];
    private const MOST_LINES = 5;
    private const MOST_TICKS = 12;
    private const TENTH_S = 0.1;

    /** A car that came no farther than this from one point to the next (m) stands. */
    private const STANDS_M = 0.002;

    /** At the ends of a trace the local fits are wild: accelerations are drawn up to so many times what all but a few reach. */
    private const USUAL = 0.96;
    private const BEYOND = 1.15;

    private float $fromS;
    private float $fromM;
    private float $reachM;
    private float $greatest;
    private float $gain;

    /** @var list<TracePoint> of the moving car, on its way */
    private array $way;

    /** @var list<array{float, float, float}> m along the lane, what it was given there, and what was used up */
    private array $given;

    public function __construct(private TraceReading $reading, private UnitSystem $units)
    {
        $points = $reading->trace->points;
        $this->fromS = $points[0]->timeS;
        $this->fromM = min(0.0, $points[0]->placeM);
        $motion = $reading->motion();
        $way = [$motion[0]];
        foreach ($motion as $point) {
            if ($point->placeM > $way[count($way) - 1]->placeM + self::STANDS_M) {
                $way[] = $point;
            }
        }
        $this->way = $way;
        $this->reachM = max(0.1, ...array_map(static fn(TracePoint $point): float => $point->placeM, $points));
        $this->greatest = max(0.01, ...array_map(fn(TracePoint $point): float => $this->length($point->speedMS), $way));
        $this->given = $reading->film === null
            ? array_map(fn(TracePoint $point): array => [
                $point->placeM, max(0.0, $this->length($point->accelerationMS2)), max(0.0, -$this->length($point->accelerationMS2)),
            ], $way)
            : array_map(
                static fn(array $at): array => [$at[0], 1000.0 * $at[1], 1000.0 * $at[2]],
                $reading->film->run->forces($reading->film->car),
            );
        $sizes = array_map(static fn(array $at): float => max($at[1], $at[2]), $this->given);
        sort($sizes);
        $this->gain = max(0.01, self::BEYOND * $sizes[(int) (self::USUAL * (count($sizes) - 1))]);
    }

    /** Of a place along the lane (m). */
    public function x(float $placeM): float
    {
        return round(self::LEFT + ($placeM - $this->fromM) / ($this->reachM - $this->fromM) * (self::RIGHT - self::LEFT), 1);
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

    /** @return list<float> x of where the car was each tenth of a second */
    public function dots(): array
    {
        $dots = [];
        $next = $this->fromS;
        $before = null;
        foreach ($this->reading->trace->points as $point) {
            while ($next <= $point->timeS) {
                $share = $before === null ? 1.0 : ($next - $before->timeS) / max(1e-9, $point->timeS - $before->timeS);
                $dots[] = $this->x($before === null ? $point->placeM : $before->placeM + $share * ($point->placeM - $before->placeM));
                $next += self::TENTH_S;
            }
            $before = $point;
        }

        return array_values(array_unique($dots));
    }

    /** @return list<array{x: float, value: float}> the tape: round lengths from the start line */
    public function ticks(): array
    {
        return array_map(
            fn(float $at): array => ['x' => $this->x($at / $this->length(1.0)), 'value' => $at],
            self::steps(0.0, $this->length($this->reachM), self::MOST_TICKS),
        );
    }

    /** @return list<array{y: float, value: float}> */
    public function speedLines(): array
    {
        return array_map(
            fn(float $at): array => ['y' => $this->speedY($at), 'value' => $at],
            self::steps(0.0, $this->greatest, self::MOST_LINES),
        );
    }

    /** @return list<array{y: float, value: float}> */
    public function gainLines(): array
    {
        // What was used up is as positive as what was given.
        return array_map(
            fn(float $at): array => ['y' => $this->gainY($at), 'value' => $this->showsForces() ? abs($at) : $at],
            self::steps(-$this->gain, $this->gain, self::MOST_LINES),
        );
    }

    public function speedCurve(): string
    {
        return $this->curve(fn(TracePoint $point): float => $this->speedY(max(0.0, $this->length($point->speedMS))));
    }

    /** A push and what was used up, rather than speed gained and lost. */
    public function showsForces(): bool
    {
        return $this->reading->film !== null;
    }

    /** The area of what it was given (1) or what was used up (-1), as a polygon. */
    public function gainArea(int $sign): string
    {
        $zero = $this->gainY(0.0);
        $points = implode(
            ' ',
            array_map(fn(array $at): string => "{$this->x($at[0])},{$this->gainY($sign === 1 ? $at[1] : -$at[2])}", $this->given),
        );

        return "{$this->x($this->given[0][0])},{$zero} {$points} {$this->x($this->given[count($this->given) - 1][0])},{$zero}";
    }

    private function speedY(float $value): float
    {
        return round(self::SPEED['bottom'] - $value / $this->greatest * (self::SPEED['bottom'] - self::SPEED['top']), 1);
    }

    public function gainY(float $value): float
    {
        $middle = (self::GAIN['top'] + self::GAIN['bottom']) / 2;

        return round($middle - max(-1.0, min(1.0, $value / $this->gain)) * (self::GAIN['bottom'] - self::GAIN['top']) / 2, 1);
    }

    /** @param callable(TracePoint): float $y */
    private function curve(callable $y): string
    {
        return implode(' ', array_map(fn(TracePoint $point): string => $this->x($point->placeM) . ',' . $y($point), $this->way));
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

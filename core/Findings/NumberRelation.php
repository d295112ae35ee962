<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Spearman;
use Skivo\Core\Statistics\StudentT;

/**
 * What distance (or time) depends on, for a choice that is a number: one point a car.
 *
 * Cars are the units, not runs: the tries of one car share its faults and are no independent witnesses.
 */
final readonly class NumberRelation
{
    public Trend $trend;

    public ?LeastSquares $line;

    /** The line through the logarithms: its slope is the power to which the choice enters. Null unless all are positive. */
    public ?LeastSquares $logLog;

    public ?Spearman $spearman;

    /** @param list<Point> $points with numbers for x */
    public function __construct(public array $points)
    {
        $x = array_map(static fn(Point $point): float => (float) $point->x, $points);
        $y = array_map(static fn(Point $point): float => $point->y, $points);
        $this->line = LeastSquares::fit($x, $y);
        $this->spearman = Spearman::of($x, $y);
        $this->logLog = $x !== [] && $y !== [] && min($x) > 0.0 && min($y) > 0.0
            ? LeastSquares::fit(array_map(log(...), $x), array_map(log(...), $y))
            : null;
        $interval = $this->line?->slopeInterval();
        $this->trend = match (true) {
            $points === [] => Trend::NothingYet,
            count($points) < 3 => Trend::TooFewCars,
            $this->line === null => Trend::AllTheSame,
            $interval === null || $interval->contains(0.0) => Trend::NotClear,
            default => $this->line->slope > 0.0 ? Trend::Rises : Trend::Falls,
        };
    }

    /** Of no trend at all (t, n − 2 degrees of freedom); null where fewer than three points or equal ones say nothing. */
    public function pValue(): ?float
    {
        $error = $this->line?->slopeError();
        if ($this->line === null || $error === null) {
            return null;
        }

        return $error > 0.0 ? (new StudentT(count($this->points) - 2))->bothTails($this->line->slope / $error) : 0.0;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Statistics\AnalysisOfVariance;
use Skivo\Core\Statistics\Sample;

/** What distance (or time) depends on, for a choice among kinds: one point a car. */
final readonly class CategoryRelation
{
    public const SIGNIFICANCE = 0.05;

    public Trend $trend;

    /** @var array<string, Sample> the cars of each kind, greatest mean first */
    public array $kinds;

    public ?AnalysisOfVariance $analysis;

    /** @param list<Point> $points with kinds for x */
    public function __construct(public array $points)
    {
        $values = [];
        foreach ($points as $point) {
            $values[(string) $point->x][] = $point->y;
        }
        $kinds = array_map(static fn(array $ys): Sample => new Sample($ys), $values);
        uasort($kinds, static fn(Sample $a, Sample $b): int => $b->mean() <=> $a->mean());
        $this->kinds = $kinds;
        $this->analysis = AnalysisOfVariance::of(array_values($values));
        $this->trend = match (true) {
            $points === [] => Trend::NothingYet,
            count($points) < 3 => Trend::TooFewCars,
            count($kinds) < 2 => Trend::AllTheSame,
            $this->analysis === null => Trend::TooFewCars,
            $this->analysis->pValue < self::SIGNIFICANCE => Trend::Differs,
            default => Trend::NotClear,
        };
    }

    /** Of no difference between the kinds at all; null where that can't be judged. */
    public function pValue(): ?float
    {
        return $this->analysis?->pValue;
    }
}

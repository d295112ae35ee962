<?php

declare(strict_types=1);

namespace App\ViewModels;

use App\Presenters\Text;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;

/** The class on one figure: distance along the tape, thrust over resistance upwards, in shown units. */
final readonly class ClassFigure
{
    private const CURVE_POINTS = 24;

    private UnitSystem $units;

    public function __construct(
        private ClassRecord $record,
        private ClassFindings $findings,
    ) {
        $this->units = $record->challenge->units;
    }

    /** @return list<array{group: \App\Models\Group, car: \App\Models\Car, ratio: float, ratioInterval: Interval, known: string, distance: float, distanceInterval: Interval|null, tries: list<float>, runs: int}> SI */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->record->groups as $group) {
            foreach ($group->cars as $car) {
                $compared = null;
                foreach ($this->findings->cars as $each) {
                    $compared = $each->id === (string) $car->id ? $each : $compared;
                }
                $ratio = $this->findings->ratioOf($car->id);
                if ($compared === null || $ratio === null) {
                    continue;
                }
                $interval = isset($this->findings->marks[$car->id])
                    ? $this->findings->marks[$car->id]->interval()
                    : $this->findings->balances[$car->id]->interval;
                $rows[] = [
                    'group' => $group,
                    'car' => $car,
                    'ratio' => $ratio,
                    'ratioInterval' => new Interval(max(1.0, $interval->low), $interval->high),
                    'known' => isset($this->findings->marks[$car->id]) ? 'marks' : $this->findings->known[$car->id],
                    'distance' => $compared->sample->mean(),
                    'distanceInterval' => $this->record->interval(Goal::Farthest, $compared->sample),
                    'tries' => $compared->sample->values,
                    'runs' => $compared->sample->n,
                ];
            }
        }

        return $rows;
    }

    /** @return array<string, mixed> what the figure draws */
    public function figure(): array
    {
        $points = [];
        $most = 0.0;
        foreach ($this->rows() as $row) {
            $most = max($most, $row['ratio']);
            $points[] = [
                'mark' => $row['group']->mark,
                'name' => $row['group']->name . (
                    $row['group']->cars->count() > 1
                        ? ' ' . Text::of('findings.class_figure.version', ['version' => $row['car']->version])
                        : ''
                ),
                'factor' => Text::of('findings.class_figure.thrust_resistance_2', ['row' => number_format($row['ratio'], 1)]),
                'x' => round($row['ratio'], 3),
                'xLow' => round($row['ratioInterval']->low, 3),
                'xHigh' => round($row['ratioInterval']->high, 3),
                'y' => $this->along($row['distance']),
                'yLow' => $row['distanceInterval'] === null ? null : $this->along(max(0.0, $row['distanceInterval']->low)),
                'yHigh' => $row['distanceInterval'] === null ? null : $this->along($row['distanceInterval']->high),
                'shown' => $this->units->show($row['distance'], Scale::Distance),
                'tries' => array_map($this->along(...), $row['tries']),
                'older' => $row['group']->currentCar()?->id !== $row['car']->id,
                'open' => $row['known'] === 'parts',
            ];
        }

        return [
            'points' => $points,
            'kinds' => [],
            'curve' => $this->curve(),
            'model' => array_map(
                fn(array $point): array => ['x' => round($point[0], 3), 'y' => $this->along($point[1])],
                array_values(array_filter($this->findings->modelCurve, static fn(array $point): bool => $point[0] <= 1.3 * $most)),
            ),
            'numeric' => true,
            'factorLabel' => Text::of('findings.class_figure.axis'),
            'tape' => $this->units->value,
            'unit' => $this->units->symbol(Scale::Distance),
        ];
    }

    /** @return list<array{x: float, y: float, low: float|null, high: float|null, carLow: float|null, carHigh: float|null}> the class's own fit */
    private function curve(): array
    {
        $line = $this->findings->line;
        $ratios = array_map(static fn(array $row): float => $row['ratio'], $this->rows());
        if ($line === null || $ratios === []) {
            return [];
        }
        $curve = [];
        for ($i = 0; $i <= self::CURVE_POINTS; $i++) {
            $x = min($ratios) + $i * (max($ratios) - min($ratios)) / self::CURVE_POINTS;
            $own = $line->lineInterval($x);
            $car = $line->predictionInterval($x);
            $curve[] = [
                'x' => round($x, 3), 'y' => $this->along($line->at($x)),
                'low' => $own === null ? null : $this->along($own->low), 'high' => $own === null ? null : $this->along($own->high),
                'carLow' => $car === null ? null : $this->along($car->low), 'carHigh' => $car === null ? null : $this->along($car->high),
            ];
        }

        return $curve;
    }

    private function along(float $metres): float
    {
        return round($this->units->fromSi($metres, Scale::Distance), 2);
    }
}

<?php

declare(strict_types=1);

namespace App\Exports;

use App\Presenters\Label;
use App\Presenters\Text;
use App\ViewModels\ClassFigure;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassRecord;
use App\ViewModels\RelationReading;
use Skivo\Core\Exchange\Csv;
use Skivo\Core\Measurement\Scale;

/** The numbers behind a figure of the findings, as CSV in the units of the class. */
final readonly class FigureSheet
{
    public function __construct(private ClassRecord $record) {}

    public function ofClass(ClassFindings $findings): string
    {
        $unit = $this->unit();
        $rows = [
            [
                Text::of('findings.figure_sheet.group'),
                Text::of('findings.figure_sheet.version'),
                Text::of('findings.figure_sheet.thrust_over_resistance'),
                Text::of('findings.figure_sheet.from'),
                Text::of('findings.figure_sheet.to'),
                Text::of('findings.figure_sheet.known_from'),
                Text::of('findings.figure_sheet.mean_distance', ['unit' => $unit]),
                Text::of('findings.figure_sheet.from_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.to_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.tries'),
                Text::of('findings.figure_sheet.model_in', ['unit' => $unit]),
            ],
        ];
        foreach ((new ClassFigure($this->record, $findings))->rows() as $row) {
            $known = $row['known'];
            $rows[] = [
                Csv::text($row['group']->name), (string) $row['car']->version,
                $this->number($row['ratio'], 3),
                $this->number($row['ratioInterval']->low, 3),
                $this->number($row['ratioInterval']->high, 3),
                Text::of("findings.known.{$known}"),
                $this->distance($row['distance']),
                $this->distance($row['distanceInterval']?->low),
                $this->distance($row['distanceInterval']?->high),
                (string) $row['runs'],
                $this->distance(($findings->balances[$row['car']->id] ?? null)?->distanceM),
            ];
        }

        return Csv::write($rows);
    }

    public function ofChoice(RelationReading $relation): string
    {
        $symbol = static fn(string $symbol): string => $symbol === '' ? '' : " ({$symbol})";
        $outcome = $relation->units->symbol($relation->outcome->scale());
        $rows = [
            [
                Text::of('findings.figure_sheet.group'),
                Text::of('findings.figure_sheet.version'),
                Label::of($relation->factor) . $symbol($relation->factorSymbol()),
                Text::of(
                    'findings.figure_sheet.mean',
                    ['outcome' => Label::of($relation->outcome), 'unit' => $outcome],
                ),
                Text::of('findings.figure_sheet.tries'),
            ],
        ];
        foreach ($relation->relation->points as $point) {
            [$group, $car] = $relation->cars[(int) $point->id];
            $rows[] = [
                Csv::text($group->name), (string) $car->version,
                is_float($point->x)
                    ? $this->number($relation->units->fromSi($point->x, $relation->factor->scale() ?? Scale::Count), 4)
                    : Csv::text($point->x),
                $this->number($relation->units->fromSi($point->y, $relation->outcome->scale()), 3),
                (string) ($this->record->measure($relation->outcome, $car)->n ?? 0),
            ];
        }

        return Csv::write($rows);
    }

    public function ofModel(ClassFindings $findings): string
    {
        $unit = $this->unit();
        $rows = [
            [
                Text::of('findings.figure_sheet.group'),
                Text::of('findings.figure_sheet.version'),
                Text::of('findings.figure_sheet.measured_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.model_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.model_set_to_the_class', ['unit' => $unit]),
                Text::of('findings.figure_sheet.foretold_without_the_car', ['unit' => $unit]),
                Text::of('findings.figure_sheet.stored_j'),
                Text::of('findings.figure_sheet.pushed_the_car_j'),
                Text::of('findings.figure_sheet.rolling_j'),
                Text::of('findings.figure_sheet.air_j'),
            ],
        ];
        foreach ($this->record->groups as $group) {
            foreach ($group->cars as $car) {
                foreach ($findings->cars as $compared) {
                    if ($compared->id !== (string) $car->id) {
                        continue;
                    }
                    $energy = $findings->energies[$car->id] ?? null;
                    $rows[] = [
                        Csv::text($group->name),
                        (string) $car->version,
                        $this->distance($compared->sample->mean()),
                        $this->distance($findings->calibration->before[$car->id] ?? null),
                        $this->distance($findings->calibration->after[$car->id] ?? null),
                        $this->distance($findings->calibration->leftOut[$car->id] ?? null),
                        ...array_map(
                            fn(?float $joules): string => $joules === null ? '' : $this->number($joules, 5),
                            $energy === null
                                ? [null, null, null, null]
                                : [$energy->stored, $energy->thrustWork, $energy->rolling, $energy->drag + $energy->carriedOff],
                        ),
                    ];
                }
            }
        }

        return Csv::write($rows);
    }

    private function unit(): string
    {
        return $this->record->challenge->units->symbol(Scale::Distance);
    }

    private function distance(?float $metres): string
    {
        return $metres === null ? '' : $this->record->challenge->units->figure($metres, Scale::Distance, 1);
    }

    private function number(float $value, int $decimals): string
    {
        return number_format($value, $decimals, '.', '');
    }
}

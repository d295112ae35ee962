<?php

declare(strict_types=1);

namespace App\Reading;

use Skivo\Core\Exchange\Csv;
use Skivo\Core\Measurement\Scale;

/** The numbers behind a figure of the findings, as CSV in the units of the class. */
final readonly class FigureSheet
{
    public function __construct(private ClassRecord $record) {}

    public function ofClass(ClassFindings $findings): string
    {
        $unit = $this->unit();
        $rows = [['group', 'version', 'thrust over resistance', '95 % from', '95 % to', 'known from', "mean distance ({$unit})", "95 % from ({$unit})", "95 % to ({$unit})", 'tries', "model ({$unit})"]];
        foreach ((new ClassFigure($this->record, $findings))->rows() as $row) {
            $rows[] = [
                Csv::text($row['group']->name), (string) $row['car']->version,
                $this->number($row['ratio'], 3), $this->number($row['ratioInterval']->low, 3), $this->number($row['ratioInterval']->high, 3), $row['known'],
                $this->distance($row['distance']), $this->distance($row['distanceInterval']?->low), $this->distance($row['distanceInterval']?->high), (string) $row['runs'],
                $this->distance(($findings->balances[$row['car']->id] ?? null)?->distanceM),
            ];
        }

        return Csv::write($rows);
    }

    public function ofChoice(RelationReading $relation): string
    {
        $symbol = static fn(string $symbol): string => $symbol === '' ? '' : " ({$symbol})";
        $outcome = $relation->units->symbol($relation->outcome->scale());
        $rows = [['group', 'version', $relation->factor->label() . $symbol($relation->factorSymbol()), "mean {$relation->outcome->value} ({$outcome})", 'tries']];
        foreach ($relation->relation->points as $point) {
            [$group, $car] = $relation->cars[(int) $point->id];
            $rows[] = [
                Csv::text($group->name), (string) $car->version,
                is_float($point->x) ? $this->number($relation->units->fromSi($point->x, $relation->factor->scale() ?? Scale::Count), 4) : Csv::text($point->x),
                $this->number($relation->units->fromSi($point->y, $relation->outcome->scale()), 3),
                (string) ($this->record->measure($relation->outcome, $car)->n ?? 0),
            ];
        }

        return Csv::write($rows);
    }

    public function ofModel(ClassFindings $findings): string
    {
        $unit = $this->unit();
        $rows = [['group', 'version', "measured ({$unit})", "model ({$unit})", "model set to the class ({$unit})", "foretold without the car ({$unit})", 'stored (J)', 'pushed the car (J)', 'rolling (J)', 'air (J)']];
        foreach ($this->record->groups as $group) {
            foreach ($group->cars as $car) {
                foreach ($findings->cars as $compared) {
                    if ($compared->id !== (string) $car->id) {
                        continue;
                    }
                    $energy = $findings->energies[$car->id] ?? null;
                    $rows[] = [
                        Csv::text($group->name), (string) $car->version, $this->distance($compared->sample->mean()),
                        $this->distance($findings->calibration->before[$car->id] ?? null), $this->distance($findings->calibration->after[$car->id] ?? null), $this->distance($findings->calibration->leftOut[$car->id] ?? null),
                        ...array_map(fn(?float $joules): string => $joules === null ? '' : $this->number($joules, 5), $energy === null ? [null, null, null, null] : [$energy->stored, $energy->thrustWork, $energy->rolling, $energy->drag + $energy->carriedOff]),
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

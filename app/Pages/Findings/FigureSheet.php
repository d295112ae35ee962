<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\Label;
use App\Language\Text;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Exchange\Csv;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Known;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Measurement\Scale;

/** The numbers behind a figure of the findings, as CSV in the units of the class. */
final readonly class FigureSheet
{
    public function __construct(private ClassRecord $record) {}

    /** Push, stretch, hold and distance of every car, in SI but for lengths. */
    public function ofWork(ClassFindings $findings): string
    {
        $unit = $this->unit();
        $known = static fn(Known $known): string => Label::of($known);
        $rows = [
            [
                Text::of('findings.figure_sheet.group'),
                Text::of('findings.figure_sheet.version'),
                Text::of('findings.figure_sheet.push_mn'),
                Text::of('findings.figure_sheet.known'),
                Text::of('findings.figure_sheet.stretch_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.known'),
                Text::of('findings.figure_sheet.hold_mn'),
                Text::of('findings.figure_sheet.known'),
                Text::of('findings.figure_sheet.distance_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.known'),
            ],
        ];
        foreach ($this->record->groups as $group) {
            foreach ($group->cars as $car) {
                $work = $findings->found->works[$car->id] ?? null;
                if ($work !== null) {
                    $rows[] = [
                        Csv::text($group->name), (string) $car->version,
                        $this->number(1000 * $work->pushN, 2), $known($work->push),
                        $this->distance($work->stretchM), $known($work->stretch),
                        $this->number(1000 * $work->holdN, 2), $known($work->hold),
                        $this->distance($work->distanceM), $known($work->distance),
                    ];
                }
            }
        }

        return Csv::write($rows);
    }

    /** The cars behind an effect; only a header where there is none. */
    public function ofEffect(ClassFindings $findings, ?Effect $asked): string
    {
        $units = $this->record->challenge->units;
        $symbol = static fn(string $symbol): string => $symbol === '' ? '' : " ({$symbol})";
        $rows = [
            [
                Text::of('findings.figure_sheet.group'),
                Text::of('findings.figure_sheet.version'),
                $asked === null ? '' : Label::of($asked->factor) . $symbol($units->symbol($asked->factor->scale() ?? Scale::Count)),
                Text::of('findings.figure_sheet.mean', [
                    'outcome' => Label::of($asked->outcome ?? Outcome::Distance),
                    'unit' => $units->symbol(($asked->outcome ?? Outcome::Distance)->scale()),
                ]),
                Text::of('findings.figure_sheet.tries'),
                Text::of('findings.figure_sheet.compared'),
            ],
        ];
        $byId = $this->record->carsById();
        $compared = $asked?->cars() ?? [];
        foreach ($findings->found->cars as $car) {
            if ($asked === null) {
                break;
            }
            $x = $car->choices->explanation($asked->factor);
            $sample = $car->of($asked->outcome);
            [$group, $version] = $byId[(int) $car->id] ?? [null, null];
            if ($x !== null && $sample !== null && $group !== null && $version !== null) {
                $rows[] = [
                    Csv::text($group->name), (string) $version->version,
                    is_float($x) ? $this->number($units->fromSi($x, $asked->factor->scale() ?? Scale::Count), 4) : Csv::text($x),
                    $this->number($units->fromSi($sample->mean(), $asked->outcome->scale()), 3),
                    (string) $sample->n,
                    Text::of(in_array($car->id, $compared, true) ? 'findings.figure_sheet.yes' : 'findings.figure_sheet.no'),
                ];
            }
        }

        return Csv::write($rows);
    }

    /** Every car that ran beside what could be said of it before, and where its energy went. */
    public function ofModel(ClassFindings $findings): string
    {
        $unit = $this->unit();
        $rows = [
            [
                Text::of('findings.figure_sheet.group'),
                Text::of('findings.figure_sheet.version'),
                Text::of('findings.figure_sheet.measured_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.predicted_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.from_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.to_in', ['unit' => $unit]),
                Text::of('findings.figure_sheet.stored_j'),
                Text::of('findings.figure_sheet.pushed_the_car_j'),
                Text::of('findings.figure_sheet.rolling_j'),
                Text::of('findings.figure_sheet.air_j'),
            ],
        ];
        $byId = $this->record->carsById();
        foreach ($findings->found->cars as $car) {
            [$group, $version] = $byId[(int) $car->id] ?? [null, null];
            if ($group === null || $version === null) {
                continue;
            }
            $before = $findings->found->forecast->beforeRuns[$car->id] ?? null;
            $energy = ($findings->found->works[$car->id] ?? null)?->energy;
            $rows[] = [
                Csv::text($group->name), (string) $version->version,
                $this->distance($car->sample->mean()),
                $this->distance($before?->medianM),
                $this->distance($before?->band95->low),
                $this->distance($before?->band95->high),
                ...array_map(
                    fn(?float $joules): string => $joules === null ? '' : $this->number($joules, 5),
                    $energy === null
                        ? [null, null, null, null]
                        : [$energy->stored, $energy->push, $energy->rolling, $energy->drag + $energy->carriedOff],
                ),
            ];
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

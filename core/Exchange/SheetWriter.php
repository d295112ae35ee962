<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantityException;
use Skivo\Core\Physics\SizeMeasure;

/**
 * Writes a run table as CSV: one row a run, and one for each car that has not run.
 */
final readonly class SheetWriter
{
    private const MOST_DECIMALS = 4;

    public function __construct(
        private UnitSystem $units,
        private Separator $separator = Separator::Comma,
    ) {}

    /** @param iterable<SheetRow> $rows */
    public function write(iterable $rows): string
    {
        $records = [];
        $used = [];
        foreach ($rows as $row) {
            $cells = [];
            foreach (Column::all() as $column) {
                $cells[$column->name] = $this->cell($row, $column);
                $used[$column->name] = ($used[$column->name] ?? $column->isAlwaysThere()) || $cells[$column->name] !== '';
            }
            $records[] = $cells;
        }
        $columns = array_filter(Column::all(), static fn(Column $column): bool => $used[$column->name] ?? $column->isAlwaysThere());
        array_unshift(
            $records,
            array_column(array_map(fn(Column $column): array => [$column->name, $column->header($this->units)], $columns), 1, 0),
        );

        return Csv::write(
            array_map(
                static fn(array $cells): array => array_map(static fn(Column $column): string => $cells[$column->name] ?? '', $columns),
                $records,
            ),
            $this->separator,
        );
    }

    private function cell(SheetRow $row, Column $column): string
    {
        return $column->attribute === null ? $this->ofField($row, $column) : $this->ofAttribute($row->car, $column->attribute, $column);
    }

    private function ofAttribute(Car $car, CarAttribute $attribute, Column $column): string
    {
        if ($attribute->isKind()) {
            return Csv::text($car->kind($attribute) ?? '');
        }
        if ($attribute->isCount()) {
            return (string) ($car->counts[$attribute->value] ?? '');
        }
        $isOtherMeasure = $column->measure !== null && $column->measure !== ($car->balloonMeasuredAs ?? SizeMeasure::Diameter);

        return $isOtherMeasure ? '' : $this->number($car->quantities[$attribute->value] ?? null, $column);
    }

    private function ofField(SheetRow $row, Column $column): string
    {
        $record = $row->run?->record;

        return match ($column->field) {
            SheetField::Group => Csv::text($row->group),
            SheetField::Mark => $row->mark === null ? '' : Mark::inWords($row->mark),
            SheetField::Version => (string) $row->version,
            SheetField::CarNote => Csv::text($row->car->note ?? ''),
            SheetField::Try => (string) ($row->run->try ?? ''),
            SheetField::Distance => $this->number($record?->distance, $column),
            SheetField::Time => $this->number($record?->time, $column),
            SheetField::Drift => $this->number($record?->drift, $column),
            SheetField::DriftSide => $record?->side->value ?? '',
            SheetField::Load => $this->number($record?->load, $column),
            SheetField::TotalTime => $this->number($record?->totalTime, $column),
            SheetField::LimpMark => $this->number($record?->limp, $column),
            SheetField::Filled => Csv::text($record?->inflation?->asWritten() ?? ''),
            SheetField::Lane => (string) ($record->lane ?? ''),
            SheetField::PastEnd => $record?->pastEnd === true ? 'yes' : '',
            SheetField::FilledBy => $record->filledBy->value ?? '',
            SheetField::RunKind => $record === null || $record->kind === RunKind::Try ? '' : $record->kind->value,
            SheetField::FarWall => $record?->hitWall === true ? 'yes' : '',
            SheetField::Surface => Csv::text($record->surface ?? ''),
            SheetField::Ramp => $this->number($record?->ramp, $column),
            SheetField::Void => $record?->void->value ?? '',
            SheetField::RunNote => Csv::text($record->note ?? ''),
            null => '',
        };
    }

    private function readsBack(Entry $entry, Unit $unit): bool
    {
        try {
            return (
                new QuantityReader($this->separator === Separator::Semicolon ? DecimalMark::Comma : DecimalMark::Either)
            )->read($entry->text, $unit)->agreesWith($entry);
        } catch (UnreadableQuantityException) {
            return false;
        }
    }

    /**
     * In the unit of the column; as it was typed, with its own unit, where turning it round would leave a tail of digits that
     * nobody measured (2 oz are 56.69904625 g).
     */
    private function number(?Entry $entry, Column $column): string
    {
        if ($entry === null) {
            return '';
        }
        $unit = $column->unit($this->units) ?? throw new \LogicException("{$column->name} has no unit.");
        $number = number_format($entry->quantity->in($unit), 10, '.', '');
        $number = rtrim(rtrim($number, '0'), '.');
        if (strlen((string) strstr($number, '.')) > self::MOST_DECIMALS + 1 && $this->readsBack($entry, $unit)) {
            return Csv::text($entry->text);
        }

        return $this->separator === Separator::Semicolon ? str_replace('.', ',', $number) : $number;
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Challenge\Mark;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantity;
use Skivo\Core\Physics\SizeMeasure;

/**
 * Writes a class sheet as CSV: one row a run, and one for each car that has not run.
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
            foreach (Column::cases() as $column) {
                $cells[$column->value] = $this->cell($row, $column);
                $used[$column->value] = ($used[$column->value] ?? $column->isAlwaysThere()) || $cells[$column->value] !== '';
            }
            $records[] = $cells;
        }
        $columns = array_filter(Column::cases(), static fn(Column $column): bool => $used[$column->value] ?? $column->isAlwaysThere());
        array_unshift($records, array_column(array_map(fn(Column $column): array => [$column->value, $column->header($this->units)], $columns), 1, 0));

        return Csv::write(
            array_map(static fn(array $cells): array => array_map(static fn(Column $column): string => $cells[$column->value] ?? '', $columns), $records),
            $this->separator,
        );
    }

    private function cell(SheetRow $row, Column $column): string
    {
        $quantity = match ($column) {
            Column::Distance => $row->run?->record->distance,
            Column::Time => $row->run?->record->time,
            Column::Drift => $row->run?->record->drift,
            Column::TotalTime => $row->run?->record->totalTime,
            Column::LimpMark => $row->run?->record->limp,
            Column::Load => $row->run?->record->load,
            Column::BalloonDiameter => $this->balloon($row, SizeMeasure::Diameter),
            Column::BalloonCircumference => $this->balloon($row, SizeMeasure::Circumference),
            default => $row->car->quantities[$column->choice()->value ?? ''] ?? null,
        };
        if ($quantity !== null) {
            return $this->number($quantity, $column);
        }
        $choice = $column->choice();
        if ($choice?->isCount() === true) {
            return (string) ($row->car->counts[$choice->value] ?? '');
        }
        if ($choice !== null) {
            return Csv::text($row->car->kind($choice) ?? '');
        }

        return match ($column) {
            Column::Group => Csv::text($row->group),
            Column::Mark => $row->mark === null ? '' : Mark::inWords($row->mark),
            Column::Version => (string) $row->version,
            Column::CarNote => Csv::text($row->car->note ?? ''),
            Column::Try => (string) ($row->run->try ?? ''),
            Column::DriftSide => $row->run?->record->side->value ?? '',
            Column::Filled => Csv::text($row->run?->record->inflation?->inWords() ?? ''),
            Column::Lane => (string) ($row->run->record->lane ?? ''),
            Column::Void => $row->run?->record->void->value ?? '',
            Column::RunNote => Csv::text($row->run->record->note ?? ''),
            default => '',
        };
    }

    private function balloon(SheetRow $row, SizeMeasure $measure): ?Entry
    {
        $size = $row->car->quantities['balloon_size'] ?? null;

        return ($row->car->balloonMeasuredAs ?? SizeMeasure::Diameter) === $measure ? $size : null;
    }

    private function readsBack(Entry $entry, Unit $unit): bool
    {
        try {
            return (new QuantityReader($this->separator === Separator::Semicolon ? DecimalMark::Comma : DecimalMark::Either))->read($entry->text, $unit)->agreesWith($entry);
        } catch (UnreadableQuantity) {
            return false;
        }
    }

    /**
     * In the unit of the column; as it was typed, with its own unit, where turning it round would leave a tail of digits that
     * nobody measured (2 oz are 56.69904625 g).
     */
    private function number(Entry $entry, Column $column): string
    {
        $unit = $column->unit($this->units) ?? throw new \LogicException("{$column->name} has no unit.");
        $number = number_format($entry->quantity->in($unit), 10, '.', '');
        $number = rtrim(rtrim($number, '0'), '.');
        if (strlen((string) strstr($number, '.')) > self::MOST_DECIMALS + 1 && $this->readsBack($entry, $unit)) {
            return Csv::text($entry->text);
        }

        return $this->separator === Separator::Semicolon ? str_replace('.', ',', $number) : $number;
    }
}

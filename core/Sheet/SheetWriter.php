<?php

declare(strict_types=1);

namespace Skivo\Core\Sheet;

use Skivo\Core\Balloon\SizeMeasure;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Quantity\Entry;
use Skivo\Core\Quantity\Quantity;
use Skivo\Core\Quantity\UnitSystem;

/**
 * Writes a class sheet as CSV (RFC 4180): UTF-8 with a byte order mark, so that spreadsheets read it as
 * such, lines ended by CR LF, one row a run, and one for each car that has not run.
 */
final readonly class SheetWriter
{
    public const BYTE_ORDER_MARK = "\u{FEFF}";

    public function __construct(
        private UnitSystem $units,
        private Separator $separator = Separator::Comma,
    ) {}

    /** @param iterable<SheetRow> $rows */
    public function write(iterable $rows): string
    {
        $file = fopen('php://temp', 'w+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory to write the sheet in.');
        }
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
        foreach ($records as $cells) {
            fputcsv($file, array_map(static fn(Column $column): string => $cells[$column->value] ?? '', $columns), $this->separator->character(), '"', '', "\r\n");
        }
        rewind($file);

        return self::BYTE_ORDER_MARK . stream_get_contents($file);
    }

    private function cell(SheetRow $row, Column $column): string
    {
        $quantity = match ($column) {
            Column::Distance => $row->run?->record->distance,
            Column::Time => $row->run?->record->time,
            Column::Drift => $row->run?->record->drift,
            Column::Load => $row->run?->record->load,
            Column::BalloonDiameter => $this->balloon($row, SizeMeasure::Diameter),
            Column::BalloonCircumference => $this->balloon($row, SizeMeasure::Circumference),
            default => $row->car->quantities[$column->choice()->value ?? ''] ?? null,
        };
        if ($quantity !== null) {
            return $this->number($quantity->quantity, $column);
        }
        $choice = $column->choice();
        if ($choice?->isCount() === true) {
            return (string) ($row->car->counts[$choice->value] ?? '');
        }
        if ($choice !== null) {
            return self::harmless($row->car->kind($choice) ?? '');
        }

        return match ($column) {
            Column::Group => self::harmless($row->group),
            Column::Mark => $row->mark === null ? '' : Mark::inWords($row->mark),
            Column::Version => (string) $row->version,
            Column::CarNote => self::harmless($row->car->note ?? ''),
            Column::Try => (string) ($row->run->try ?? ''),
            Column::DriftSide => $row->run?->record->side->value ?? '',
            Column::Void => $row->run?->record->void->value ?? '',
            Column::RunNote => self::harmless($row->run->record->note ?? ''),
            default => '',
        };
    }

    private function balloon(SheetRow $row, SizeMeasure $measure): ?Entry
    {
        $size = $row->car->quantities['balloon_size'] ?? null;

        return ($row->car->balloonMeasuredAs ?? SizeMeasure::Diameter) === $measure ? $size : null;
    }

    private function number(Quantity $quantity, Column $column): string
    {
        $unit = $column->unit($this->units) ?? throw new \LogicException("{$column->name} has no unit.");
        $number = number_format($quantity->in($unit), 10, '.', '');
        $number = rtrim(rtrim($number, '0'), '.');

        return $this->separator === Separator::Semicolon ? str_replace('.', ',', $number) : $number;
    }

    /**
     * A text that a spreadsheet will not run as a formula (OWASP, CSV Injection): those that could start
     * one are led by an apostrophe, which SheetReader takes off again.
     */
    private static function harmless(string $text): string
    {
        return preg_match('/^\'*[=+\-@\t\r\n＝＋－＠]/u', $text) === 1 ? "'{$text}" : $text;
    }
}

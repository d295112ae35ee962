<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Car;

/** A run table as read: its rows where they could be understood, and everything that could not. */
final readonly class RunTable
{
    /**
     * @param list<SheetRow> $rows
     * @param list<Problem> $problems by line
     */
    public function __construct(
        public array $rows,
        public array $problems,
    ) {}

    /**
     * The rows of each version of each group's car, in the order of the sheet, keyed by groupKey() and version.
     *
     * @return array<string, non-empty-array<int, non-empty-list<SheetRow>>>
     */
    public function byCar(): array
    {
        $cars = [];
        foreach ($this->rows as $row) {
            $cars[self::groupKey($row->group)][$row->version][] = $row;
        }

        return $cars;
    }

    /** What two spellings of one group's name have in common. */
    public static function groupKey(string $name): string
    {
        return mb_strtolower(trim($name));
    }

    /**
     * One record out of several rows about the same car, which must not contradict each other.
     *
     * @param non-empty-list<SheetRow> $rows
     */
    public static function merge(array $rows): Car
    {
        $quantities = $counts = $kinds = [];
        $measure = $note = null;
        foreach ($rows as $row) {
            $quantities += $row->car->quantities;
            $counts += $row->car->counts;
            $kinds += $row->car->kinds;
            $measure ??= $row->car->balloonMeasuredAs;
            $note ??= $row->car->note;
        }

        return new Car($quantities, $counts, $kinds, $measure, $note);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Choice;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Hollow;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;

/**
 * Reads a class sheet from CSV as spreadsheets save it: comma, semicolon or tab between cells, decimal
 * point or comma, any line ends, with or without a byte order mark, columns in any order.
 *
 * Nothing is guessed: every cell that cannot be understood becomes a Problem with its line and column.
 */
final class SheetReader
{
    public const MAX_BYTES = 1_000_000;

    public const MAX_LINES = 5_000;

    /** @var list<Problem> */
    private array $problems = [];

    private QuantityReader $quantities;

    /** @param UnitSystem $units of the columns whose header names no unit */
    public function __construct(private readonly UnitSystem $units)
    {
        $this->quantities = new QuantityReader();
    }

    /** @param string $bytes the file as it is */
    public function read(string $bytes): ClassSheet
    {
        $this->problems = [];
        $text = $this->text($bytes);
        if ($text === null) {
            return new ClassSheet([], $this->problems);
        }
        $separator = $this->separator($text);
        $this->quantities = new QuantityReader($separator === Separator::Semicolon ? DecimalMark::Comma : DecimalMark::Either);
        $records = $this->records($text, $separator);
        $header = array_shift($records);
        if ($header === null) {
            return $this->refuse(1, 'The sheet is empty. It needs a header and one row a run.');
        }
        if ($records === [] && $this->problems === []) {
            return $this->refuse($header[0], 'There are no rows below the header.');
        }
        $columns = $this->columns(...$header);
        if ($columns === null) {
            return new ClassSheet([], $this->problems);
        }
        $isHeaderSound = $this->problems === [];
        $width = (int) array_key_last(array_filter($header[1], static fn(string $cell): bool => $cell !== ''));
        $rows = [];
        foreach ($records as [$line, $cells]) {
            $row = $this->row($line, $cells, $columns, $width, $isHeaderSound);
            if ($row !== null) {
                $rows[] = $row;
            }
        }
        $rows = $this->numberTries($rows);
        $this->findContradictions($rows, $columns);
        usort($this->problems, static fn(Problem $a, Problem $b): int => $a->line <=> $b->line);

        return new ClassSheet($rows, $this->problems);
    }

    private function text(string $bytes): ?string
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            $this->refuse(1, 'The sheet is larger than 1 MB. A class sheet is far smaller: is this the right file?');

            return null;
        }
        if (str_starts_with($bytes, "PK\x03\x04") || str_starts_with($bytes, "\xD0\xCF\x11\xE0")) {
            $this->refuse(1, 'This is a spreadsheet file, not CSV. In the spreadsheet, choose to save or download it as CSV (UTF-8).');

            return null;
        }
        if (str_starts_with($bytes, "\xFF\xFE") || str_starts_with($bytes, "\xFE\xFF")) {
            $bytes = mb_convert_encoding($bytes, 'UTF-8', 'UTF-16');
        }
        $text = str_replace(["\r\n", "\r"], "\n", str_starts_with($bytes, Csv::BYTE_ORDER_MARK) ? substr($bytes, 3) : $bytes);
        foreach (explode("\n", $text) as $index => $lineText) {
            if (!mb_check_encoding($lineText, 'UTF-8') || str_contains($lineText, "\0")) {
                $this->refuse($index + 1, 'This line has letters in an unknown encoding. Save the sheet as CSV (UTF-8).');

                return null;
            }
        }

        return $text;
    }

    /** The one that finds most known columns in the header. */
    private function separator(string $text): Separator
    {
        $best = Separator::Comma;
        $most = -1;
        foreach (Separator::cases() as $separator) {
            [, $cells] = $this->records($text, $separator, 1)[0] ?? [0, []];
            $known = count(array_filter($cells, static fn(string $cell): bool => Column::named(self::splitHeader($cell)[0]) !== null));
            if ($known > $most) {
                $most = $known;
                $best = $separator;
            }
        }

        return $best;
    }

    /**
     * @phpstan-impure
     *
     * @return list<array{int, list<string>}> the first line of each record that is not blank, and its cells
     */
    private function records(string $text, Separator $separator, ?int $first = null): array
    {
        $file = fopen('php://temp', 'w+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory to read the sheet in.');
        }
        fwrite($file, $text);
        rewind($file);
        $records = [];
        $line = 1;
        $position = 0;
        while (($cells = fgetcsv($file, null, $separator->character(), '"', '')) !== false) {
            $end = (int) ftell($file);
            $raw = substr($text, $position, $end - $position);
            if ($first === null && substr_count($raw, '"') % 2 === 1) {
                $this->problems[] = new Problem($line, null, 'A quotation mark is opened here and never closed.');
                break;
            }
            $cells = array_map(static fn(?string $cell): string => trim((string) $cell), $cells);
            if (implode('', $cells) !== '') {
                $records[] = [$line, $cells];
            }
            $line += substr_count($raw, "\n");
            $position = $end;
            if (count($records) === $first) {
                break;
            }
            if (count($records) > self::MAX_LINES) {
                $this->problems[] = new Problem($line, null, 'The sheet has more than ' . self::MAX_LINES . ' rows. Split it.');
                break;
            }
        }

        return $records;
    }

    /** @return array{string, string|null} name and unit of a header such as "mass (g)" */
    private static function splitHeader(string $header): array
    {
        return preg_match('/^(.*?)\s*[(\[]\s*([^)\]]*?)\s*[)\]]$/u', trim($header), $parts) === 1
            ? [$parts[1], $parts[2]]
            : [$header, null];
    }

    /**
     * @param list<string> $cells
     *
     * @return array<int, array{Column, Unit|null, string}>|null column, unit and header by position
     */
    private function columns(int $line, array $cells): ?array
    {
        $columns = [];
        $seen = [];
        foreach ($cells as $position => $cell) {
            if ($cell === '') {
                continue;
            }
            [$name, $unitName] = self::splitHeader($cell);
            $column = Column::named($name);
            if ($column === null) {
                $this->problems[] = new Problem($line, $cell, 'This column is not part of a class sheet. Remove it, or name it as in the sheet that Skivo exports.');
                continue;
            }
            if (isset($seen[$column->value])) {
                $this->problems[] = new Problem($line, $cell, 'This column is here twice. Keep one.');
                continue;
            }
            $seen[$column->value] = true;
            $unit = $column->unit($this->units);
            if ($unit !== null && $unitName !== null) {
                $named = Unit::fromWriting($unitName);
                if ($named === null || $named->dimension() !== $unit->dimension()) {
                    $this->problems[] = new Problem($line, $cell, "“{$unitName}” is not a unit of {$unit->dimension()->value} here. Use " . Unit::examples($unit->dimension()) . '.');
                    continue;
                }
                $unit = $named;
            }
            $columns[$position] = [$column, $unit, $cell];
        }
        if (!isset($seen[Column::Group->value])) {
            $this->problems[] = new Problem($line, null, 'There is no column “group”. The first row must be the header.');

            return null;
        }

        return $columns;
    }

    /**
     * @param list<string> $cells
     * @param array<int, array{Column, Unit|null, string}> $columns
     * @param int $width the place of the last column, known or not
     * @param bool $isHeaderSound else what seems to be missing may stand in a column that could not be read
     */
    private function row(int $line, array $cells, array $columns, int $width, bool $isHeaderSound): ?SheetRow
    {
        $before = count($this->problems);
        $group = '';
        $mark = $note = $runNote = $distance = $time = $void = $try = $drift = $side = $load = $total = $limp = $filled = $lane = null;
        $version = 1;
        $quantities = $counts = $kinds = [];
        $measure = null;
        foreach ($cells as $position => $cell) {
            $cell = self::plain($cell);
            if ($cell !== '' && $position > $width) {
                $this->problems[] = new Problem($line, null, 'There is a cell beyond the last column. If a decimal comma split a number, put it in quotation marks.');
                break;
            }
            if ($cell === '' || !isset($columns[$position])) {
                continue;
            }
            [$column, $unit, $header] = $columns[$position];
            try {
                match ($column) {
                    Column::Group => $group = $this->short($cell, Limits::GROUP_NAME_CHARACTERS),
                    Column::Mark => $mark = self::mark($cell),
                    Column::Version => $version = self::whole($cell, 1, Limits::MOST_VERSIONS),
                    Column::CarNote => $note = $this->short($cell, Limits::NOTE_CHARACTERS),
                    Column::RunNote => $runNote = $this->short($cell, Limits::NOTE_CHARACTERS),
                    Column::Try => $try = self::whole($cell, 1, Limits::MOST_RUNS_A_CAR),
                    Column::Void => $void = self::void($cell),
                    Column::Distance => $distance = $this->quantity($cell, $unit, Limits::distanceComplaint(...)),
                    Column::Time => $time = $this->quantity($cell, $unit, Limits::timeComplaint(...)),
                    Column::TotalTime => $total = $this->quantity($cell, $unit, Limits::timeComplaint(...)),
                    Column::LimpMark => $limp = $this->quantity($cell, $unit, Limits::distanceComplaint(...)),
                    Column::Filled => $filled = Inflation::read($cell, $this->quantities, $this->units),
                    Column::Lane => $lane = self::whole($cell, 1, Limits::MOST_LANES),
                    Column::Drift => $drift = $this->quantity($cell, $unit, Limits::distanceComplaint(...)),
                    Column::DriftSide => $side = Side::tryFrom(mb_strtolower($cell)) ?? throw new \InvalidArgumentException("“{$cell}” is no side. Write left or right."),
                    Column::Load => $load = $this->quantity($cell, $unit, Limits::loadComplaint(...)),
                    default => $this->choose($column, $cell, $unit, $quantities, $counts, $kinds, $measure),
                };
            } catch (\InvalidArgumentException $problem) {
                $this->problems[] = new Problem($line, $header, $problem->getMessage());
            }
        }
        if ($group === '' && count($this->problems) === $before) {
            $this->problems[] = new Problem($line, Column::Group->value, 'The group’s name is missing.');
        }
        $hasRun = array_filter([$try, $distance, $time, $void, $runNote, $drift, $side, $load, $total, $limp, $filled, $lane], static fn($each): bool => $each !== null) !== [];
        if ($isHeaderSound && $hasRun && $distance === null && $void === null && count($this->problems) === $before) {
            $this->problems[] = new Problem($line, Column::Distance->value, 'The run has neither a distance nor a reason why it is void.');
        }
        if ($isHeaderSound && $hasRun && ($drift?->quantity->si() ?? 0.0) > 0.0 && $side === null && count($this->problems) === $before) {
            $this->problems[] = new Problem($line, Column::DriftSide->value, 'The drift has no side. Write left or right, as seen from behind the car.');
        }
        if (count($this->problems) > $before) {
            return null;
        }

        return new SheetRow(
            $line,
            $group,
            $mark,
            $version,
            new Car($quantities, $counts, $kinds, $measure, $note),
            $hasRun ? new RunRow($try ?? 0, new RunRecord($distance, $time, $void, $runNote, $drift, $drift === null ? null : $side, $load, $filled, $limp, $total, $lane)) : null,
        );
    }

    /**
     * @param array<string, Entry> $quantities
     * @param array<string, int> $counts
     * @param array<string, string> $kinds
     *
     * @param-out array<string, Entry> $quantities
     * @param-out array<string, int> $counts
     * @param-out array<string, string> $kinds
     */
    private function choose(Column $column, string $cell, ?Unit $unit, array &$quantities, array &$counts, array &$kinds, ?SizeMeasure &$measure): void
    {
        $choice = $column->choice() ?? throw new \LogicException("{$column->name} is no choice.");
        if ($choice->isQuantity()) {
            if ($choice === Choice::BalloonSize) {
                if ($measure !== null) {
                    throw new \InvalidArgumentException('The balloon has both a diameter and a circumference. Keep the one that was measured.');
                }
                $measure = $column === Column::BalloonDiameter ? SizeMeasure::Diameter : SizeMeasure::Circumference;
            }
            $quantities[$choice->value] = $this->quantity($cell, $unit, $choice->complaint(...));
        } elseif ($choice->isCount()) {
            $counts[$choice->value] = self::whole($cell, (int) $choice->range()[0], (int) $choice->range()[1]);
        } elseif ($choice === Choice::WheelMount) {
            $kinds[$choice->value] = self::mount($cell)->value;
        } elseif ($choice === Choice::WheelHollow) {
            $kinds[$choice->value] = (Hollow::tryFrom(mb_strtolower($cell)) ?? throw new \InvalidArgumentException("“{$cell}” says nothing of which way the hollow faces. Write “outwards” or “inwards”."))->value;
        } else {
            $kinds[$choice->value] = $this->short($cell, Limits::KIND_CHARACTERS);
        }
    }

    /** @param callable(float, UnitSystem): ?string $complaint */
    private function quantity(string $cell, ?Unit $unit, callable $complaint): Entry
    {
        $entry = $this->quantities->read($cell, $unit ?? throw new \LogicException('The column has no unit.'));
        $wrong = $complaint($entry->quantity->si(), $this->units);
        if ($wrong !== null) {
            throw new \InvalidArgumentException($wrong);
        }

        return $entry;
    }

    private function short(string $cell, int $most): string
    {
        if (mb_strlen($cell) > $most) {
            throw new \InvalidArgumentException("This is longer than {$most} characters. Shorten it.");
        }

        return $cell;
    }

    private static function whole(string $cell, int $least, int $most): int
    {
        if (preg_match('/^-?\d{1,6}$/', $cell) !== 1 || (int) $cell < $least || (int) $cell > $most) {
            throw new \InvalidArgumentException("“{$cell}” is not a whole number from {$least} to {$most}.");
        }

        return (int) $cell;
    }

    private static function mark(string $cell): string
    {
        [$fill, $shape] = [...explode(' ', mb_strtolower($cell), 2), ''];
        if (!Mark::isMark("{$shape}-{$fill}")) {
            throw new \InvalidArgumentException("“{$cell}” is not one of the marks. Leave it empty and the group gets one.");
        }

        return "{$shape}-{$fill}";
    }

    private static function mount(string $cell): WheelMount
    {
        $word = explode(' ', mb_strtolower($cell))[0];
        foreach (WheelMount::cases() as $mount) {
            if (explode(' ', $mount->value)[0] === $word) {
                return $mount;
            }
        }
        throw new \InvalidArgumentException("“{$cell}” is not a way of mounting wheels. Write “fixed” or “spinning”.");
    }

    private static function void(string $cell): VoidReason
    {
        return VoidReason::tryFrom(mb_strtolower($cell)) ?? throw new \InvalidArgumentException(
            "“{$cell}” is not a reason. Write one of: " . implode(', ', array_column(VoidReason::cases(), 'value')) . '.',
        );
    }

    /** A cell without the apostrophe that SheetWriter puts before what a spreadsheet could run. */
    private static function plain(string $cell): string
    {
        return preg_match('/^\'+[=+\-@\t\r\n＝＋－＠]/u', $cell) === 1 ? substr($cell, 1) : $cell;
    }

    /**
     * Gives runs without a number the next free one of their car.
     *
     * @param list<SheetRow> $rows
     *
     * @return list<SheetRow>
     */
    private function numberTries(array $rows): array
    {
        $taken = [];
        foreach ($rows as $row) {
            if ($row->run !== null && $row->run->try > 0 && $row->run->record->void === null) {
                $key = ClassSheet::groupKey($row->group) . "\0{$row->version}";
                if (isset($taken[$key][$row->run->try])) {
                    $this->problems[] = new Problem($row->line, Column::Try->value, "{$row->group} has try {$row->run->try} already, on line {$taken[$key][$row->run->try]}.");
                }
                $taken[$key][$row->run->try] ??= $row->line;
            }
        }

        return array_map(static function (SheetRow $row) use (&$taken): SheetRow {
            if ($row->run === null || $row->run->try > 0) {
                return $row;
            }
            $key = ClassSheet::groupKey($row->group) . "\0{$row->version}";
            for ($try = 1; isset($taken[$key][$try]); $try++);
            if ($row->run->record->void === null) {
                $taken[$key][$try] = $row->line;
            }
            $run = new RunRow($try, $row->run->record);

            return new SheetRow($row->line, $row->group, $row->mark, $row->version, $row->car, $run);
        }, $rows);
    }

    /**
     * Rows about one car must agree on its choices.
     *
     * @param list<SheetRow> $rows
     * @param array<int, array{Column, Unit|null, string}> $columns
     */
    private function findContradictions(array $rows, array $columns): void
    {
        foreach ((new ClassSheet($rows, []))->byCar() as $versions) {
            foreach ($versions as $version => $ofCar) {
                foreach ($ofCar as $index => $row) {
                    $earlier = $index === 0 ? null : ClassSheet::merge(array_slice($ofCar, 0, $index));
                    foreach ($earlier?->contradictions($row->car) ?? [] as $choice) {
                        $header = array_values(array_filter($columns, static fn(array $column): bool => $column[0]->choice() === $choice))[0][2] ?? null;
                        $this->problems[] = new Problem($row->line, $header, "This differs from line {$ofCar[0]->line}, which is about the same car ({$row->group}, version {$version}). Make them equal, or give the changed car a new version.");
                    }
                }
            }
        }
    }

    private function refuse(int $line, string $message): ClassSheet
    {
        $this->problems[] = new Problem($line, null, $message);

        return new ClassSheet([], $this->problems);
    }
}

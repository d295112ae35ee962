<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\HasRemark;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/**
 * Reads a run table from CSV as spreadsheets save it: comma, semicolon or tab between cells, decimal
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
    public function read(string $bytes): RunTable
    {
        $this->problems = [];
        $text = $this->text($bytes);
        if ($text === null) {
            return new RunTable([], $this->problems);
        }
        $separator = $this->separator($text);
        $this->quantities = new QuantityReader($separator === Separator::Semicolon ? DecimalMark::Comma : DecimalMark::Either);
        $records = $this->records($text, $separator);
        $header = array_shift($records);
        if ($header === null) {
            return $this->refuse(1, 'empty');
        }
        if ($records === [] && $this->problems === []) {
            return $this->refuse($header[0], 'no_rows');
        }
        $columns = $this->columns(...$header);
        if ($columns === null) {
            return new RunTable([], $this->problems);
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

        return new RunTable($rows, $this->problems);
    }

    private function text(string $bytes): ?string
    {
        if (strlen($bytes) > self::MAX_BYTES) {
            $this->refuse(1, 'too_large');

            return null;
        }
        if (str_starts_with($bytes, "PK\x03\x04") || str_starts_with($bytes, "\xD0\xCF\x11\xE0")) {
            $this->refuse(1, 'spreadsheet');

            return null;
        }
        if (str_starts_with($bytes, "\xFF\xFE") || str_starts_with($bytes, "\xFE\xFF")) {
            $bytes = mb_convert_encoding($bytes, 'UTF-8', 'UTF-16');
        }
        $text = str_replace(["\r\n", "\r"], "\n", str_starts_with($bytes, Csv::BYTE_ORDER_MARK) ? substr($bytes, 3) : $bytes);
        foreach (explode("\n", $text) as $index => $lineText) {
            if (!mb_check_encoding($lineText, 'UTF-8') || str_contains($lineText, "\0")) {
                $this->refuse($index + 1, 'encoding');

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
                $this->problems[] = self::problem($line, null, 'open_quote');
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
                $this->problems[] = self::problem($line, null, 'too_many_rows', ['most' => self::MAX_LINES]);
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
                $this->problems[] = self::problem($line, $cell, 'unknown_column');
                continue;
            }
            if (isset($seen[$column->name])) {
                $this->problems[] = self::problem($line, $cell, 'column_twice');
                continue;
            }
            $seen[$column->name] = true;
            $unit = $column->unit($this->units);
            if ($unit !== null && $unitName !== null) {
                $named = Unit::fromWriting($unitName);
                if ($named === null || $named->dimension() !== $unit->dimension()) {
                    $this->problems[] = new Problem(
                        $line,
                        $cell,
                        new Remark("quantity.no_unit_of_{$unit->dimension()->value}", ['text' => $unitName]),
                    );
                    continue;
                }
                $unit = $named;
            }
            $columns[$position] = [$column, $unit, $cell];
        }
        if (!isset($seen[SheetField::Group->value])) {
            $this->problems[] = self::problem($line, null, 'no_group_column', ['column' => SheetField::Group->value]);

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
        $row = new RowInHand();
        foreach ($cells as $position => $cell) {
            $cell = self::plain($cell);
            if ($cell !== '' && $position > $width) {
                $this->problems[] = self::problem($line, null, 'beyond_last_column');
                break;
            }
            if ($cell === '' || !isset($columns[$position])) {
                continue;
            }
            [$column, $unit, $header] = $columns[$position];
            try {
                $column->field === null
                    ? $this->record($row, $column, $cell, $unit)
                    : $this->take($row, $column->field, $cell, $unit);
            } catch (HasRemark $problem) {
                $this->problems[] = new Problem($line, $header, $problem->remark());
            }
        }
        if ($row->group === '' && count($this->problems) === $before) {
            $this->problems[] = self::problem($line, SheetField::Group->value, 'group_missing');
        }
        foreach ($isHeaderSound && count($this->problems) === $before ? $row->lacks() : [] as $code => $field) {
            $this->problems[] = self::problem($line, $field->value, $code);
        }

        return count($this->problems) > $before ? null : $row->done($line);
    }

    /** @throws HasRemark where the cell is none of the field */
    private function take(RowInHand $row, SheetField $field, string $cell, ?Unit $unit): void
    {
        match ($field) {
            SheetField::Group => $row->group = $this->short($cell, Limits::GROUP_NAME_CHARACTERS),
            SheetField::Mark => $row->mark = self::mark($cell),
            SheetField::Version => $row->version = self::whole($cell, 1, Limits::MOST_VERSIONS),
            SheetField::CarNote => $row->carNote = $this->short($cell, Limits::NOTE_CHARACTERS),
            SheetField::RunNote => $row->note = $this->short($cell, Limits::NOTE_CHARACTERS),
            SheetField::Try => $row->try = self::whole($cell, 1, Limits::MOST_RUNS_A_CAR),
            SheetField::Void => $row->void = self::void($cell),
            SheetField::Distance => $row->distance = $this->quantity($cell, $unit, Limits::distanceComplaint(...)),
            SheetField::Time => $row->time = $this->quantity($cell, $unit, Limits::timeComplaint(...)),
            SheetField::TotalTime => $row->total = $this->quantity($cell, $unit, Limits::timeComplaint(...)),
            SheetField::LimpMark => $row->limp = $this->quantity($cell, $unit, Limits::distanceComplaint(...)),
            SheetField::Filled => $row->filled = Inflation::read($cell, $this->quantities, $this->units),
            SheetField::Lane => $row->lane = self::whole($cell, 1, Limits::MOST_LANES),
            SheetField::PastEnd => $row->pastEnd = self::yes($cell),
            SheetField::FilledBy => $row->filledBy = FilledBy::from(self::option($cell, FilledBy::cases())),
            SheetField::RunKind => $row->kind = RunKind::from(self::option($cell, RunKind::cases())),
            SheetField::FarWall => $row->farWall = self::yes($cell),
            SheetField::Surface => $row->surface = $this->short($cell, Limits::SURFACE_CHARACTERS),
            SheetField::Ramp => $row->ramp = $this->quantity($cell, $unit, Limits::rampComplaint(...)),
            SheetField::Drift => $row->drift = $this->quantity($cell, $unit, Limits::distanceComplaint(...)),
            SheetField::DriftSide => $row->side = Side::tryFrom(mb_strtolower($cell))
                ?? throw UnreadableCellException::because('not_a_side', ['text' => $cell]),
            SheetField::Load => $row->load = $this->quantity($cell, $unit, Limits::loadComplaint(...)),
        };
    }

    /** @throws UnreadableCellException where it is neither yes nor no */
    private static function yes(string $cell): bool
    {
        return match (mb_strtolower($cell)) {
            'yes' => true,
            'no' => false,
            default => throw UnreadableCellException::because('not_yes_or_no', ['text' => $cell]),
        };
    }

    /** @throws HasRemark where the cell is no value of the attribute */
    private function record(RowInHand $row, Column $column, string $cell, ?Unit $unit): void
    {
        $attribute = $column->attribute ?? throw new \LogicException("{$column->name} is no attribute of a car.");
        if ($attribute->isQuantity()) {
            if ($column->measure !== null) {
                $row->measure = $row->measure === null ? $column->measure : throw UnreadableCellException::because('two_sizes');
            }
            $row->quantities[$attribute->value] = $this->quantity($cell, $unit, $attribute->complaint(...));
        } elseif ($attribute->isCount()) {
            $row->counts[$attribute->value] = self::whole($cell, (int) $attribute->range()[0], (int) $attribute->range()[1]);
        } else {
            $row->kinds[$attribute->value] = $attribute->options() === []
                ? $this->short($cell, Limits::KIND_CHARACTERS)
                : self::option($cell, $attribute->options());
        }
    }

    /** @param callable(float): ?Remark $complaint */
    private function quantity(string $cell, ?Unit $unit, callable $complaint): Entry
    {
        $entry = $this->quantities->read($cell, $unit ?? throw new \LogicException('The column has no unit.'));
        $wrong = $complaint($entry->quantity->si());
        if ($wrong !== null) {
            throw new UnreadableCellException($wrong);
        }

        return $entry;
    }

    private function short(string $cell, int $most): string
    {
        if (mb_strlen($cell) > $most) {
            throw UnreadableCellException::because('too_long', ['most' => $most]);
        }

        return $cell;
    }

    private static function whole(string $cell, int $least, int $most): int
    {
        if (preg_match('/^-?\d{1,6}$/', $cell) !== 1 || (int) $cell < $least || (int) $cell > $most) {
            throw UnreadableCellException::because('not_whole', ['text' => $cell, 'least' => $least, 'most' => $most]);
        }

        return (int) $cell;
    }

    private static function mark(string $cell): string
    {
        [$fill, $shape] = [...explode(' ', mb_strtolower($cell), 2), ''];
        if (!Mark::isMark("{$shape}-{$fill}")) {
            throw UnreadableCellException::because('not_a_mark', ['text' => $cell]);
        }

        return "{$shape}-{$fill}";
    }

    /**
     * The one that is written, or that alone begins with the first word written.
     *
     * @param list<\BackedEnum> $options
     */
    private static function option(string $cell, array $options): string
    {
        $values = array_map(static fn(\BackedEnum $each): string => (string) $each->value, $options);
        $written = mb_strtolower(trim($cell));
        if (in_array($written, $values, true)) {
            return $written;
        }
        $word = explode(' ', $written)[0];
        $found = array_values(array_filter($values, static fn(string $value): bool => explode(' ', $value)[0] === $word));

        return count($found) === 1
            ? $found[0]
            : throw UnreadableCellException::because('not_an_option', ['text' => $cell, 'options' => implode(', ', $values)]);
    }

    private static function void(string $cell): VoidReason
    {
        return VoidReason::tryFrom(mb_strtolower($cell)) ?? throw UnreadableCellException::because(
            'not_a_reason',
            ['text' => $cell, 'reasons' => implode(', ', array_column(VoidReason::cases(), 'value'))],
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
            if ($row->run !== null && $row->run->try > 0 && $row->run->record->void === null && $row->run->record->isTry()) {
                $key = RunTable::groupKey($row->group) . "\0{$row->version}";
                if (isset($taken[$key][$row->run->try])) {
                    $this->problems[] = self::problem(
                        $row->line,
                        SheetField::Try->value,
                        'try_twice',
                        ['group' => $row->group, 'try' => $row->run->try, 'line' => $taken[$key][$row->run->try]],
                    );
                }
                $taken[$key][$row->run->try] ??= $row->line;
            }
        }

        return array_map(
            static function (SheetRow $row) use (&$taken): SheetRow {
                if ($row->run === null || $row->run->try > 0) {
                    return $row;
                }
                $key = RunTable::groupKey($row->group) . "\0{$row->version}";
                for ($try = 1; isset($taken[$key][$try]); $try++);
                if ($row->run->record->void === null && $row->run->record->isTry()) {
                    $taken[$key][$try] = $row->line;
                }
                $run = new RunRow($try, $row->run->record);

                return new SheetRow($row->line, $row->group, $row->mark, $row->version, $row->car, $run);
            },
            $rows,
        );
    }

    /**
     * Rows about one car must agree on its choices.
     *
     * @param list<SheetRow> $rows
     * @param array<int, array{Column, Unit|null, string}> $columns
     */
    private function findContradictions(array $rows, array $columns): void
    {
        foreach ((new RunTable($rows, []))->byCar() as $versions) {
            foreach ($versions as $version => $ofCar) {
                foreach ($ofCar as $index => $row) {
                    $earlier = $index === 0 ? null : RunTable::merge(array_slice($ofCar, 0, $index));
                    foreach ($earlier?->contradictions($row->car) ?? [] as $choice) {
                        $header = array_values(
                            array_filter($columns, static fn(array $column): bool => $column[0]->attribute === $choice),
                        )[0][2] ?? null;
                        $this->problems[] = self::problem(
                            $row->line,
                            $header,
                            'contradiction',
                            ['line' => $ofCar[0]->line, 'group' => $row->group, 'version' => $version],
                        );
                    }
                }
            }
        }
    }

    private function refuse(int $line, string $code): RunTable
    {
        $this->problems[] = self::problem($line, null, $code);

        return new RunTable([], $this->problems);
    }

    /** @param array<string, scalar> $values */
    private static function problem(int $line, ?string $column, string $code, array $values = []): Problem
    {
        return new Problem($line, $column, new Remark("sheet.problem.{$code}", $values));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Exchange\RunRow;
use Skivo\Core\Exchange\RunTable;
use Skivo\Core\Exchange\Separator;
use Skivo\Core\Exchange\SheetReader;
use Skivo\Core\Exchange\SheetRow;
use Skivo\Core\Exchange\SheetWriter;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;
use Tests\Spoken;

final class RunTableTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string}> the same sheet, as different programs save it */
    public static function dialects(): iterable
    {
        yield 'comma' => ["group,nozzle bore (mm),mass (g),try,distance (cm)\nBowline,8.5,58,1,318.5\n"];
        yield 'semicolon and decimal comma' => ["group;nozzle bore (mm);mass (g);try;distance (cm)\nBowline;8,5;58;1;318,5\n"];
        yield 'tab' => ["group\tnozzle bore (mm)\tmass (g)\ttry\tdistance (cm)\nBowline\t8.5\t58\t1\t318.5\n"];
        yield 'tab and decimal comma' => ["group\tnozzle bore (mm)\tmass (g)\ttry\tdistance (cm)\nBowline\t8,5\t58\t1\t318,5\n"];
        yield 'comma with quoted decimal comma' => ["group,nozzle bore (mm),mass (g),try,distance (cm)\nBowline,\"8,5\",58,1,\"318,5\"\n"];
        yield 'byte order mark' => ["\u{FEFF}group,nozzle bore (mm),mass (g),try,distance (cm)\nBowline,8.5,58,1,318.5\n"];
        yield 'CR LF' => ["group,nozzle bore (mm),mass (g),try,distance (cm)\r\nBowline,8.5,58,1,318.5\r\n"];
        yield 'CR' => ["group,nozzle bore (mm),mass (g),try,distance (cm)\rBowline,8.5,58,1,318.5"];
        yield 'UTF-16' => [
            "\xFF\xFE" . mb_convert_encoding(
                "group,nozzle bore (mm),mass (g),try,distance (cm)\nBowline,8.5,58,1,318.5\n",
                'UTF-16LE',
                'UTF-8',
            ),
        ];
        yield 'other units, order and capitals' => ["Distance (m),GROUP,Try,Mass (kg),Nozzle  Bore (cm)\n3.185,Bowline,1,0.058,0.85\n"];
        yield 'units in the cells' => ["group,nozzle bore,mass,try,distance\nBowline,0.85 cm,58 g,1,3.185 m\n"];
        yield 'blank lines and trailing commas' => [
            "group,nozzle bore (mm),mass (g),try,distance (cm),,\n\nBowline,8.5,58,1,318.5,,\n,,,,,,\n",
        ];
    }

    #[DataProvider('dialects')]
    public function testReadsWhatSpreadsheetsSave(string $csv): void
    {
        $sheet = (new SheetReader(UnitSystem::Metric))->read($csv);

        self::assertSame([], array_map(static fn($problem): string => Spoken::say($problem->remark), $sheet->problems));
        self::assertCount(1, $sheet->rows);
        $row = $sheet->rows[0];
        self::assertSame('Bowline', $row->group);
        self::assertSame(0.0085, $row->car->number(CarAttribute::NozzleBore));
        self::assertSame(0.058, $row->car->number(CarAttribute::Mass));
        self::assertSame(3.185, $row->run?->record->distance?->quantity->si());
        self::assertSame(1, $row->run->try);
    }

    /** @return iterable<string, array{string, int, string|null, string}> sheet, line, column, part of the message */
    public static function faults(): iterable
    {
        yield 'empty' => ['', 1, null, 'empty'];
        yield 'only a header' => ["group,try\n", 1, null, 'no rows'];
        yield 'no group column' => ["try,distance\n1,300\n", 1, null, 'no column “group”'];
        yield 'an unknown column' => ["group,colour\nKeel,red\n", 1, 'colour', 'not part of a run table'];
        yield 'a column twice' => ["group,try,try\nKeel,1,1\n", 1, 'try', 'twice'];
        yield 'a unit of something else' => ["group,distance (kg)\nKeel,1\n", 1, 'distance (kg)', 'not a unit of length'];
        yield 'a missing name' => ["group,distance\n,300\n", 2, 'group', 'name is missing'];
        yield 'words for a distance' => ["group,distance (cm)\nKeel,far\n", 2, 'distance (cm)', 'not a length'];
        yield 'a distance beyond belief' => ["group,distance (m)\nKeel,300\n", 2, 'distance (m)', 'at most'];
        yield 'a bore in the wrong unit' => ["group,nozzle bore (cm)\nKeel,80\n", 2, 'nozzle bore (cm)', 'must be from'];
        yield 'an ambiguous comma' => ["group\tdistance (mm)\nKeel\t1,250\n", 2, 'distance (mm)', 'could mean'];
        yield 'half a try' => ["group,try,distance\nKeel,1.5,300\n", 2, 'try', 'whole number'];
        yield 'a run without anything' => ["group,try,distance\nKeel,1,\n", 2, 'distance', 'neither a distance nor a reason'];
        yield 'an unknown reason' => ["group,void\nKeel,bored\n", 2, 'void', 'no start, hit something'];
        yield 'an unknown mount' => ["group,wheel mount\nKeel,glued\n", 2, 'wheel mount', 'fixed'];
        yield 'an unknown mark' => ["group,mark\nKeel,pink sail\n", 2, 'mark', 'not one of the marks'];
        yield 'a balloon measured twice' => [
            "group,balloon diameter,balloon circumference\nKeel,20,60\n", 2, 'balloon circumference', 'Keep the one',
        ];
        yield 'a try twice' => ["group,try,distance\nKeel,1,300\nKeel,1,310\n", 3, 'try', 'on line 2'];
        yield 'a car that contradicts itself' => [
            "group,mass,try,distance\nKeel,58,1,300\nKeel,60,2,310\n", 3, 'mass', 'differs from line 2',
        ];
        yield 'a name too long' => ['group' . "\n" . str_repeat('x', 201), 2, 'group', 'longer than 200'];
        yield 'a split number' => ["group,distance\nKeel,318,5\n", 2, null, 'beyond the last column'];
        yield 'an open quotation mark' => ["group,distance\n\"Keel,300\nReef,200\n", 2, null, 'never closed'];
        yield 'letters of unknown encoding' => ["group,distance\nR\xE9ef,300\n", 2, null, 'UTF-8'];
        yield 'a spreadsheet file' => ["PK\x03\x04abc", 1, null, 'not CSV'];
        yield 'a line after a note of two lines' => [
            "group,run note,distance\nKeel,\"a\nb\",300\nReef,,far\n", 4, 'distance', 'not a length',
        ];
    }

    #[DataProvider('faults')]
    public function testNamesEveryFaultByLineAndColumn(string $csv, int $line, ?string $column, string $message): void
    {
        $problems = (new SheetReader(UnitSystem::Metric))->read($csv)->problems;

        self::assertNotSame([], $problems);
        self::assertSame([$line, $column], [$problems[0]->line, $problems[0]->column], $problems[0]->remark->code);
        self::assertStringContainsString($message, Spoken::say($problems[0]->remark));
    }

    public function testAnUnknownColumnIsNamedOnceAndNothingElseIsHeldAgainstItsRows(): void
    {
        foreach (
            [
                "group,try,dist\nKeel,1,300\nReef,1,310\n", "group,try,distance,colour\nKeel,1,300,red\nReef,1,310,blue\n",
                "group,colour,try,distance,drift,side\nKeel,red,1,300,5,left\n",
            ] as $csv
        ) {
            $problems = (new SheetReader(UnitSystem::Metric))->read($csv)->problems;
            self::assertSame([1], array_unique(array_map(static fn($problem): int => $problem->line, $problems)), $csv);
        }
    }

    public function testWhatWasTypedInAnotherUnitLeavesAsItWasTyped(): void
    {
        $rows = (new SheetReader(UnitSystem::Metric))->read(
            "group,mass (g),nozzle length (cm),try,distance (cm)\nKeel,2 oz,15,1,\"10 ft 5 1/4 in\"\n",
        )->rows;
        $csv = (new SheetWriter(UnitSystem::Metric))->write($rows);
        self::assertStringContainsString('2 oz', $csv);
        self::assertStringContainsString('318.135', $csv, 'four decimals are no tail');
        $imperial = (new SheetWriter(UnitSystem::Imperial))->write(
            (new SheetReader(UnitSystem::Metric))->read("group,mass (g)\nKeel,100\n")->rows,
        );
        self::assertStringContainsString('100 g', $imperial);
        self::assertStringNotContainsString('3.527', $imperial);
    }

    public function testFindsAllFaultsAtOnce(): void
    {
        $problems = (new SheetReader(UnitSystem::Metric))->read("group,mass,distance\nKeel,heavy,300\nReef,58,far\n,58,300\n")->problems;

        self::assertSame([2, 3, 4], array_map(static fn($problem): int => $problem->line, $problems));
    }

    public function testRunsWithoutANumberGetTheNextFreeOne(): void
    {
        $rows = (new SheetReader(UnitSystem::Metric))->read(
            "group,try,distance,void\nKeel,,300,\nKeel,2,310,\nKeel,,320,\nKeel,,,no start\nReef,,200,\n",
        )->rows;

        self::assertSame([1, 2, 3, 4, 1], array_map(static fn(SheetRow $row): ?int => $row->run?->try, $rows));
    }

    public function testCellsThatASpreadsheetWouldRunAreMadeHarmlessAndComeBackAsTheyWere(): void
    {
        foreach (['=1+1', '+1', '-1', '@SUM(A1)', "'=quoted", '＝1'] as $name) {
            $csv = (new SheetWriter(UnitSystem::Metric))->write([new SheetRow(0, $name, null, 1, new Car(), null)]);
            $cell = explode(',', explode("\r\n", $csv)[1])[0];

            self::assertStringStartsWith("'", trim($cell, '"'), $name);
            self::assertSame($name, (new SheetReader(UnitSystem::Metric))->read($csv)->rows[0]->group);
        }
    }

    public function testNumbersAreWrittenAsNumbers(): void
    {
        $row = new SheetRow(
            0,
            'Keel',
            null,
            1,
            new Car(),
            new RunRow(1, new RunRecord(new Entry(Quantity::of('17/2', Unit::Inch), '8 1/2 in'))),
        );

        self::assertStringContainsString(',21.59,', (new SheetWriter(UnitSystem::Metric))->write([$row]));
        self::assertStringContainsString(',8.5,', (new SheetWriter(UnitSystem::Imperial))->write([$row]));
        self::assertStringContainsString(';21,59;', (new SheetWriter(UnitSystem::Metric, Separator::Semicolon))->write([$row]));
    }

    public function testWhatGoesOutComesBackTheSame(): void
    {
        $this->limitTo(60)->forAll(
            Generators::elements(UnitSystem::cases()),
            Generators::elements(Separator::cases()),
            Generators::elements(['Keel', 'a "quoted", name', "two\nlines", 'ملاحظة', '🚗 & <b>', "l'eau; \t x"]),
            Generators::choose(1, 99_999),
            Generators::choose(20, 990),
            Generators::elements([null, ...VoidReason::cases()]),
            Generators::elements(SizeMeasure::cases()),
        )->disableShrinking()->then(function (
            UnitSystem $units,
            Separator $separator,
            string $text,
            int $distance,
            int $part,
            ?VoidReason $void,
            SizeMeasure $measure,
        ): void {
            $length = static fn(float $si): Entry => new Entry(Quantity::fromSi($si, Dimension::Length), 'typed');
            $car = new Car(
                [
                    CarAttribute::NozzleBore->value => $length($part / 10_000),
                    CarAttribute::BalloonSize->value => $length($part / 900),
                    CarAttribute::Mass->value => new Entry(Quantity::fromSi($part / 3000, Dimension::Mass), 'typed'),
                ],
                [CarAttribute::PumpStrokes->value => $part % 400 + 1],
                [CarAttribute::Chassis->value => $text, CarAttribute::WheelMount->value => WheelMount::Spinning->value],
                $measure,
                $text,
            );
            $run = new RunRow(1, new RunRecord(
                $length($distance / 1000),
                new Entry(Quantity::fromSi($part / 77, Dimension::Time), 'typed'),
                $void,
                $text,
                $length($part / 900),
                $part % 2 === 0 ? Side::Left : Side::Right,
                new Entry(Quantity::fromSi($part / 3000, Dimension::Mass), 'typed'),
                match ($part % 4) {
                    0 => null,
                    1 => new Inflation(InflationKind::Full),
                    2 => new Inflation(InflationKind::Strokes, null, $part % 400 + 1),
                    default => new Inflation(InflationKind::Circumference, new Entry(Quantity::of(621, Unit::Millimetre), '62.1 cm')),
                },
                $length($part / 1000),
                new Entry(Quantity::fromSi($part / 50, Dimension::Time), 'typed'),
                $part % 12 + 1,
            ));
            $csv = (new SheetWriter($units, $separator))->write([new SheetRow(0, $text, 'hull-half', 2, $car, $run)]);
            // Read under the other system: the header must say it all.
            $other = $units === UnitSystem::Metric ? UnitSystem::Imperial : UnitSystem::Metric;
            $sheet = (new SheetReader($other))->read($csv);

            self::assertSame([], array_map(static fn($problem): string => Spoken::say($problem->remark), $sheet->problems), $csv);
            $row = $sheet->rows[0];
            self::assertSame([$text, 'hull-half', 2], [$row->group, $row->mark, $row->version]);
            self::assertSame([], $row->car->contradictions($car));
            self::assertSame($text, $row->car->note);
            self::assertNotNull($row->run);
            self::assertTrue($row->run->equals($run));
            self::assertSame($text, $row->run->record->note);
        });
    }

    public function testReadsAFullClass(): void
    {
        $csv = "group,nozzle bore (mm),mass (g),try,distance (cm)\n";
        foreach (range(1, 30) as $group) {
            foreach (range(1, 3) as $try) {
                $csv .= "Group {$group}," . ($group / 4 + 2) . ",58,{$try}," . (200 + $group * $try) . "\n";
            }
        }
        $sheet = (new SheetReader(UnitSystem::Metric))->read($csv);

        self::assertSame([], $sheet->problems);
        self::assertCount(90, $sheet->rows);
        self::assertCount(30, $sheet->byCar());
    }

    public function testRowsOfOneCarAddUp(): void
    {
        $rows = (new SheetReader(UnitSystem::Metric))->read("group,mass,nozzle,try,distance\nKeel,58,,1,300\nkeel ,,straw,2,310\n")->rows;
        $car = RunTable::merge([$rows[0], $rows[1]]);

        self::assertSame(0.058, $car->number(CarAttribute::Mass));
        self::assertSame('straw', $car->kind(CarAttribute::NozzleKind));
    }
}

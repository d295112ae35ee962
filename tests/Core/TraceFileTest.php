<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Exchange\SheetReader;
use Skivo\Core\Exchange\TraceFile;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantityException;
use Skivo\Core\Motion\Trace\UnreadableTraceException;
use Tests\Spoken;

final class TraceFileTest extends TestCase
{
    /** @return iterable<string, array{string, float, float}> header and cells as a program writes them; what the third line says in SI */
    public static function dialects(): iterable
    {
        yield 'plain' => ["%t,%x\n", 0.04, 0.02];
        yield 'header' => ["time (s),position (m)\n%t,%x\n", 0.04, 0.02];
        yield 'centimetres' => ["t,x (cm)\n%t,%x\n", 0.04, 0.0002];
        yield 'milliseconds and millimetres' => ["t (ms);x (mm)\n%t;%x\n", 0.00004, 0.00002];
        yield 'tabs' => ["t\tx\n%t\t%x\n", 0.04, 0.02];
        yield 'more columns, quotes and blank lines' => ["\"t\",\"x\",\"v\"\n\n%t,%x,9\n\n", 0.04, 0.02];
        yield 'byte order mark and CR LF' => ["\u{FEFF}t,x\r\n%t,%x\r\n", 0.04, 0.02];
    }

    #[DataProvider('dialects')]
    public function testReadsWhatProgramsSave(string $shape, float $t, float $x): void
    {
        [$before, $line] = preg_match('/^(.*?)([^\n]*%t[^\n]*\n+)$/s', $shape, $parts) === 1 ? [$parts[1], $parts[2]] : ['', $shape];
        $csv = $before;
        for ($i = 0; $i < 20; $i++) {
            $csv .= strtr($line, ['%t' => (string) ($i * 0.02), '%x' => (string) ($i * 0.01)]);
        }
        $points = TraceFile::read($csv);

        self::assertCount(20, $points);
        self::assertEqualsWithDelta([$t, $x], $points[2], 1e-12);
    }

    public function testADecimalCommaIsReadWhereItCanBeNothingElse(): void
    {
        $csv = implode("\n", array_map(static fn(int $i): string => str_replace('.', ',', ($i * 0.02) . ';' . ($i * 0.01)), range(0, 19)));

        self::assertEqualsWithDelta([0.04, 0.02], TraceFile::read($csv)[2], 1e-12);
    }

    public function testWhatIsNoTraceIsSaidByLine(): void
    {
        $good = implode("\n", array_map(static fn(int $i): string => "{$i},{$i}", range(0, 19)));
        foreach (
            [
                "{$good}\nfar,1" => 'Line 21', 'only words' => 'at least 12 points', "1,1\n2,2" => 'at least 12 points',
                "\x00\x01" => 'no text file',
            ] as $csv => $said
        ) {
            try {
                TraceFile::read((string) $csv);
                self::fail((string) $csv);
            } catch (UnreadableTraceException $unreadable) {
                self::assertStringContainsString($said, Spoken::say($unreadable));
            }
        }
    }

    public function testHowFullABalloonWasIsReadAsItIsWritten(): void
    {
        $reader = new QuantityReader();
        foreach (['full', '12 strokes', '20 cm', '62 cm around', '8 1/2 in around'] as $words) {
            $read = Inflation::read($words, $reader, UnitSystem::Metric);
            self::assertSame($words, $read->asWritten());
            self::assertTrue($read->agreesWith(Inflation::read($read->asWritten(), $reader, UnitSystem::Imperial)));
        }
        self::assertSame(InflationKind::Diameter, Inflation::read('20', $reader, UnitSystem::Metric)->kind);
        self::assertSame('1 strokes', Inflation::read('1 stroke', $reader, UnitSystem::Metric)->asWritten());
        $this->expectException(UnreadableQuantityException::class);
        Inflation::read('a lot', $reader, UnitSystem::Metric);
    }

    public function testASheetHoldsARunWholly(): void
    {
        $sheet = (new SheetReader(UnitSystem::Metric))->read(
            "group,nozzle points down by,try,distance,total time,limp mark,filled,lane,drift,drift side,load carried\nKeel,-15,1,300,4.2,120,12 strokes,2,30,Left,20\n",
        );
        $row = $sheet->rows[0];

        self::assertSame([], $sheet->problems);
        self::assertSame(-15, $row->car->counts['nozzle_angle']);
        self::assertSame([4.2, 1.2, '12 strokes', 2, 'left', 0.02], [
            $row->run?->record->totalTime?->quantity->si(), $row->run?->record->limp?->quantity
                ->si(), $row->run?->record->inflation
                ?->asWritten(), $row->run?->record->lane, $row->run?->record->side?->value, $row->run?->record->load?->quantity
                ->si(),
        ]);
        foreach (
            [
                'filled' => 'a lot', 'lane' => '99', 'drift side' => 'up', 'limp mark' => '3 kg', 'nozzle points down by' => '500',
            ] as $column => $wrong
        ) {
            $problems = (new SheetReader(UnitSystem::Metric))->read("group,distance,{$column}\nKeel,300,{$wrong}\n")->problems;
            self::assertSame([$column], array_map(static fn($problem): ?string => $problem->column, $problems), $column);
        }
        self::assertStringContainsString(
            'no side',
            Spoken::say((new SheetReader(UnitSystem::Metric))->read("group,distance,drift\nKeel,300,20\n")->problems[0]->remark),
        );
    }
}

<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\RunsSkivo;
use ZipArchive;

/** What whoever looks after the machine takes along, brings in, keeps every night and rehearses. */
final class TakeAlongTest extends TestCase
{
    use RunsSkivo;

    private string $first;

    private string $second;

    protected function setUp(): void
    {
        [$this->first, $this->second] = [$this->folder('take-first'), $this->folder('take-second')];
        foreach ([$this->first, $this->second] as $this->var) {
            $this->forget();
            mkdir($this->var);
            chmod($this->var, 0755);
        }
    }

    protected function tearDown(): void
    {
        foreach ([$this->first, $this->second] as $this->var) {
            $this->skivo('stop');
            $this->forget();
        }
    }

    public function testAnArchiveOfOneMachineIsReadOnAnother(): void
    {
        $this->var = $this->first;
        self::assertSame(0, $this->skivo('start', '--port', (string) $this->freePort())[0]);
        $file = "{$this->first}/class.zip";
        self::assertStringContainsString('There is no challenge 99', $this->skivo('archive', '99', $file)[1]);
        [$status, $said] = $this->skivo('archive', '1', $file);
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('Written:', $said);
        self::assertNotSame(0, $this->skivo('archive', '1', $file)[0], 'what is there is not written over');
        $runs = $this->runs($file);
        self::assertGreaterThan(10, count($runs));
        // Every night, three kept.
        $nights = "{$this->first}/nights";
        mkdir($nights);
        foreach (['2026-01-01', '2026-01-02', '2026-01-03', '2026-01-04'] as $night) {
            touch("{$nights}/skivo-{$night}.dump");
        }
        [$status, $said] = $this->skivo('backup', '--into', $nights, '--keep', '3');
        self::assertSame(0, $status, $said);
        $kept = array_map(basename(...), (array) glob("{$nights}/*"));
        self::assertCount(3, $kept);
        self::assertContains('skivo-2026-01-04.dump', $kept);
        self::assertNotContains('skivo-2026-01-02.dump', $kept);
        $newest = (string) array_values(
            array_filter((array) glob("{$nights}/*"), static fn(string|false $each): bool => filesize((string) $each) > 1000),
        )[0];
        // A rehearsal says whether it is whole, and touches nothing.
        [$status, $said] = $this->skivo('restore', '--rehearse', $newest);
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('It is whole', $said);
        file_put_contents("{$nights}/half.dump", substr((string) file_get_contents($newest), 0, 20_000));
        self::assertNotSame(0, $this->skivo('restore', '--rehearse', "{$nights}/half.dump")[0]);
        [$status, $said] = $this->skivo('administrator', 'demo@skivo.example');
        self::assertSame([0, true], [$status, str_contains($said, 'is an administrator')], $said);
        [$status, $said] = $this->skivo('password', 'demo@skivo.example');
        self::assertSame([0, true], [$status, str_contains($said, 'The new password of demo@skivo.example')], $said);
        $this->skivo('stop');

        $this->var = $this->second;
        self::assertSame(0, $this->skivo('start', '--port', (string) $this->freePort())[0]);
        self::assertStringContainsString('There is no account', $this->skivo('bring', $file, 'nobody@skivo.example')[1]);
        [$status, $said] = $this->skivo('bring', $file, 'demo@skivo.example');
        self::assertSame(0, $status, $said);
        self::assertSame(1, preg_match('/as challenge (\d+)/', $said, $number));
        [$status, $said] = $this->skivo('archive', $number[1], "{$this->second}/again.zip");
        self::assertSame(0, $status, $said);
        self::assertSame($runs, $this->runs("{$this->second}/again.zip"));
        // The other machine's backup takes the place of what is here.
        [$status, $said] = $this->skivo('restore', '--yes', $newest);
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('Restored', $said);
    }

    /** @return list<string> lines of its runs */
    private function runs(string $file): array
    {
        $zip = new ZipArchive();
        self::assertTrue($zip->open($file));

        return explode("\n", trim((string) $zip->getFromName('data/runs.csv')));
    }
}

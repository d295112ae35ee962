<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Physics\SizeMeasure;

/** A row of a run table while its cells are read. */
final class RowInHand
{
    public string $group = '';
    public ?string $mark = null;
    public int $version = 1;
    public ?string $carNote = null;

    /** @var array<string, Entry> by the value of a CarAttribute, as the two below */
    public array $quantities = [];

    /** @var array<string, int> */
    public array $counts = [];

    /** @var array<string, string> */
    public array $kinds = [];
    public ?SizeMeasure $measure = null;

    public ?int $try = null;
    public ?Entry $distance = null;
    public ?Entry $time = null;
    public ?Entry $total = null;
    public ?VoidReason $void = null;
    public ?string $note = null;
    public ?Entry $drift = null;
    public ?Side $side = null;
    public ?Entry $load = null;
    public ?Inflation $filled = null;
    public ?Entry $limp = null;
    public ?int $lane = null;
    public bool $pastEnd = false;
    public bool $farWall = false;
    public ?FilledBy $filledBy = null;
    public ?RunKind $kind = null;
    public ?string $surface = null;
    public ?Entry $ramp = null;

    /** @return array<string, SheetField> what a row with a run has to say and does not, by the code of what is said of it */
    public function lacks(): array
    {
        return match (true) {
            !$this->hasRun() => [],
            $this->distance === null && $this->void === null => ['no_distance' => SheetField::Distance],
            ($this->drift?->quantity->si() ?? 0.0) > 0.0 && $this->side === null => ['no_side' => SheetField::DriftSide],
            default => [],
        };
    }

    public function done(int $line): SheetRow
    {
        return new SheetRow(
            $line,
            $this->group,
            $this->mark,
            $this->version,
            new Car($this->quantities, $this->counts, $this->kinds, $this->measure, $this->carNote),
            $this->hasRun() ? new RunRow($this->try ?? 0, $this->run()) : null,
        );
    }

    private function hasRun(): bool
    {
        $said = [
            $this->try, $this->distance, $this->time, $this->void, $this->note, $this->drift, $this->side, $this->load, $this->total,
            $this->limp, $this->filled, $this->lane, $this->filledBy, $this->kind, $this->surface, $this->ramp,
        ];

        return array_filter($said, static fn(mixed $each): bool => $each !== null) !== [];
    }

    private function run(): RunRecord
    {
        $stands = $this->distance !== null && $this->void === null;

        return new RunRecord(
            $this->distance,
            $this->time,
            $this->void,
            $this->note,
            $this->drift,
            $this->drift === null ? null : $this->side,
            $this->load,
            $this->filled,
            $this->limp,
            $this->total,
            $this->lane,
            ($this->pastEnd || $this->farWall) && $stands,
            $this->filledBy,
            $this->kind ?? RunKind::Try,
            $this->surface,
            $this->ramp,
            $this->farWall && $stands,
        );
    }
}

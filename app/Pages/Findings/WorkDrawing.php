<?php

declare(strict_types=1);

namespace App\Pages\Findings;

use App\Language\TapeMarks;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Findings\Known;
use Skivo\Core\Findings\Work;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/**
 * Push and hold of every car as two blocks of equal area on one common scale: as long as the way, as high as the force.
 * Lengths are in percent of the width of a row, heights in percent of its height.
 */
final readonly class WorkDrawing
{
    private const ROOM = 1.04;


    /** Of the figure on a sheet of its own, in its own units: what stands above the rows, and a row. */
    public const SHEET_HEAD = 30;
    public const SHEET_ROW = 58;

    private float $longestM;
    private float $strongestN;

    /** @param array<array-key, Work> $works */
    public function __construct(private UnitSystem $units, public array $works)
    {
        $this->longestM = self::ROOM * max([1e-6, ...array_map(static fn(Work $work): float => $work->distanceM, array_values($works))]);
        $this->strongestN = max(
            [1e-9, ...array_map(static fn(Work $work): float => max($work->pushN, $work->holdN), array_values($works))],
        );
    }

    /** What a push is called here, of cars that are all driven by balloons or not. */
    public function pushKey(): string
    {
        $others = array_filter($this->works, static fn(Work $work): bool => $work->source !== EnergySource::Balloon);

        return $others === [] ? 'findings.work.push_while_the_balloon_blew' : 'findings.work.push_while_it_lasted';
    }

    public function x(float $m): float
    {
        return round(100 * $m / $this->longestM, 2);
    }

    public function height(float $n): float
    {
        return round(100 * $n / $this->strongestN, 2);
    }

    /** @return list<array{float, int, bool}> place, whole units there, and whether they are written */
    public function lines(): array
    {
        return array_map(
            fn(array $mark): array => [$this->x($mark[0]), $mark[1], $mark[2]],
            TapeMarks::upTo($this->longestM, $this->units),
        );
    }

    /** The top of a row on a sheet of its own, counted from 0; the row after the last is where the tape lies. */
    public static function sheetTop(int $row): int
    {
        return self::SHEET_HEAD + self::SHEET_ROW * $row;
    }

    /** Whether a block is drawn as known: what is only predicted is dashed. */
    public static function isDashed(Known ...$edges): bool
    {
        return in_array(Known::Predicted, $edges, true);
    }

    /** @return array<array-key, Work> farthest first, or by push, or by hold */
    public function sorted(string $by): array
    {
        $works = $this->works;
        uasort($works, static fn(Work $a, Work $b): int => match ($by) {
            'push' => $b->pushN <=> $a->pushN,
            'hold' => $a->holdN <=> $b->holdN,
            default => $b->distanceM <=> $a->distanceM,
        });

        return $works;
    }
}

<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Language\Label;
use App\Language\ReachWords;
use App\Language\Text;
use App\Record\ClassLine;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Reach;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Sample;

/** What the floor draws for a class, in the unit of its tape, and the same in words. */
final readonly class FloorDrawing
{
    private UnitSystem $units;

    /** @var array<string, string> by the id of a run: it is said in the drawing and in the table */
    private array $said;

    /** @param string|null $fresh the run that was logged a moment ago */
    public function __construct(
        private ClassRecord $record,
        private ?string $fresh = null,
    ) {
        $this->units = $record->challenge->units;
        $said = [];
        foreach ($record->lines() as $line) {
            foreach ($line->allRuns() as $run) {
                $said[$run->id] = $this->say($run);
            }
        }
        $this->said = $said;
    }

    /** @return array<string, mixed> */
    public function data(): array
    {
        $lane = $this->record->challenge->lane_length->quantity->si();
        $farthest = $this->record->farthest();
        $shown = $this->shown($lane, $farthest);

        return [
            'tape' => $this->units->value,
            'max' => round($this->units->fromSi($shown, Scale::Distance), 2),
            'lane' => $this->units->fromSi($lane, Scale::Distance),
            'timed' => $this->timed(),
            'rows' => array_map($this->row(...), $this->record->lines()),
        ];
    }

    /**
     * How much floor to draw (m): the whole lane until everybody had a run, so that the scale does not jump with each of the
     * first; then, where the cars use little of it, as many times less as they leave room for, in steps.
     */
    private function shown(float $lane, float $farthest): float
    {
        $needs = max($farthest * 1.1, $lane / 8);
        $isEarly = array_filter($this->record->lines(), static fn(ClassLine $line): bool => count($line->allRuns()) === 0) !== [];
        $shown = max($lane, $farthest);
        while (!$isEarly && $shown / 1.5 >= $needs) {
            $shown /= 1.5;
        }

        return $shown * 1.02;
    }

    public function isFresh(ClassLine $line): bool
    {
        return $this->fresh !== null && in_array($this->fresh, array_map(static fn(Run $run): string => $run->id, $line->allRuns()), true);
    }

    /** As in "2 of 3, 1 void". */
    public function count(ClassLine $line): string
    {
        $said = Text::of('run.floor_drawing.of', ['count' => count($line->tries->counted), 'allowed' => $line->tries->allowed]);
        $void = count($line->tries->void);
        $extra = count($line->tries->extra);

        return $said . (
            $extra > 0 ? Text::of('run.floor_drawing.extra', ['count' => $extra]) : ''
        ) . ($void > 0 ? Text::of('run.floor_drawing.voids', ['count' => $void]) : '');
    }

    /** The row for those who cannot see it. */
    public function inWords(ClassLine $line): string
    {
        $said = array_map(fn(Run $run): string => $this->said[$run->id], $line->allRuns());
        $sample = $line->tries->distances();
        if ($sample !== null) {
            $said[] = Text::of('run.floor_drawing.mean', ['mean' => ReachWords::mean($line->tries, $this->units)]);
        }
        $interval = $line->tries->passedTheEnd() ? null : $this->record->interval(Goal::Farthest, $sample);
        if ($interval !== null) {
            $said[] = Text::of(
                'run.floor_drawing.95_interval_to',
                ['low' => $this->show(max(0.0, $interval->low)), 'high' => $this->show($interval->high)],
            );
        }

        return $said === [] ? Text::of('run.floor_drawing.no_runs_yet') : implode('; ', $said);
    }

    /** @return array<string, mixed> */
    private function row(ClassLine $line): array
    {
        $sample = $line->tries->distances();
        $reach = Reach::of(new Award(Goal::Farthest), $line->tries, Scoring::Mean);
        $older = [];
        foreach ($line->otherCars as $car) {
            $tries = $this->record->tries($car);
            foreach ([...$tries->counted, ...$tries->extra] as $run) {
                $older[] = ['older' => true] + $this->drawn(
                    $run,
                    Text::of('run.floor_drawing.version', ['version' => $car->version]) . ' ',
                );
            }
        }

        return [
            'id' => $line->group->id,
            'mark' => $line->group->mark,
            'mean' => $reach === null ? null : $this->along($reach->value),
            // Of a car that passed the end the mean that is drawn is the least that it can be.
            'interval' => $reach?->isBound === true ? null : $this->interval($sample),
            'runs' => [
                ...$older,
                ...array_map($this->drawn(...), $line->tries->counted),
                ...array_map(fn(Run $run): array => ['extra' => true] + $this->drawn($run), $line->tries->extra),
                ...array_map($this->drawn(...), $line->tries->void),
                ...array_map(fn(Run $run): array => ['aside' => true] + $this->drawn($run), $line->tries->asides()),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function drawn(Run $run, string $before = ''): array
    {
        return [
            'x' => $this->along($run->distanceM ?? 0.0),
            'void' => $run->void?->value,
            'past' => $run->pastEnd,
            'fresh' => $run->id === $this->fresh,
            'say' => $before . ($this->said[$run->id] ?? $this->say($run)),
        ];
    }

    private function say(Run $run): string
    {
        $said = match (true) {
            $run->isApart => Text::of('run.floor_drawing.apart', ['try' => $run->try]),
            $run->kind === RunKind::Practice => Text::of('run.floor_drawing.practice', ['try' => $run->try]),
            $run->kind === RunKind::Heat => Text::of('run.floor_drawing.heat', ['try' => $run->try]),
            $run->kind === RunKind::Timed => Text::of('run.floor_drawing.timed', ['try' => $run->try]),
            default => Text::of('run.floor_drawing.try', ['try' => $run->try]),
        };
        if ($run->distanceM !== null) {
            $said .= ": {$this->show($run->distanceM)}" . ($run->pastEnd ? Text::of('run.floor_drawing.past_the_end') : '');
        }
        if ($run->timeS !== null) {
            $said .= ", {$this->units->show($run->timeS, Scale::Stopwatch)}";
        }

        return $said . ($run->void === null ? '' : Text::of('run.floor_drawing.void', ['void' => Label::of($run->void)]));
    }

    private function timed(): ?float
    {
        $length = $this->record->challenge->timed_length;

        return $length === null ? null : $this->units->fromSi($length->quantity->si(), Scale::Distance);
    }

    /** @return array{float, float}|null */
    private function interval(?Sample $sample): ?array
    {
        $interval = $this->record->interval(Goal::Farthest, $sample);

        // One that reaches back to the start would cross the whole floor and say nothing.
        return $interval instanceof Interval && $interval->low > 0.0 ? [$this->along($interval->low), $this->along($interval->high)] : null;
    }

    private function along(float $metres): float
    {
        return round($this->units->fromSi($metres, Scale::Distance), 3);
    }

    private function show(float $metres): string
    {
        return $this->units->show($metres, Scale::Distance);
    }
}

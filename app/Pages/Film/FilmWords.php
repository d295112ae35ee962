<?php

declare(strict_types=1);

namespace App\Pages\Film;

use App\Language\Text;
use App\Models\Challenge;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Motion\Film\FilmedRun;
use Skivo\Core\Motion\Film\LaneScale;
use Skivo\Core\Statistics\Estimate;

/** What a film says of a run, in words; ± is half of the 95 % interval. */
final readonly class FilmWords
{
    /** A figure is worth half of its interval; a mark off by more of the distance is pointed out. */
    private const NOT_A_FIGURE = 0.6;
    private const BENT = 0.01;

    /** A hand's stopwatch and the film that differ by more (s) do not tell of the same time. From memory. */
    private const BY_HAND_S = 0.5;

    /** A tape is read as well as this (m, and share of the distance). Common practice, no source. */
    private const TAPE_M = 0.03;
    private const TAPE_SHARE = 0.02;

    private function __construct(
        private FilmedRun $film,
        private LaneScale $scale,
        private UnitSystem $units,
        private ?float $timedM,
        private bool $isThroughBody,
    ) {}

    public static function of(FilmReading $film, Challenge $challenge): self
    {
        return new self($film->run, $film->scale, $challenge->units, $challenge->timed_length?->quantity->si(), $film->isThroughBody);
    }

    /** @return list<array{string, string}> what it says, line by line */
    public function figures(): array
    {
        $rows = $this->ofAnyCar();
        if ($this->film->push !== null) {
            $rows[] = [Text::of('film.says.push'), $this->isFigure($this->film->push)
                ? $this->pair($this->film->push->times(1000.0), 0) . "\u{00A0}mN" : Text::of('film.says.not_told')];
        }
        $rows[] = [
            Text::of('film.says.friction'),
            $this->isFigure($this->film->friction) ? $this->pair($this->film->friction, 3) : Text::of('film.says.not_told'),
        ];

        return $rows;
    }

    /** @return list<array{string, string}> what it says whatever car it was: for that, nobody needs its mass */
    public function ofAnyCar(): array
    {
        $lane = $this->units->symbol(Scale::Lane);
        $length = fn(Estimate $of): string => $this->pair(
            $of->times($this->units->fromSi(1.0, Scale::Distance)),
            0,
        ) . "\u{00A0}" . $this->units->symbol(Scale::Distance);
        $seconds = fn(Estimate $of): string => $this->pair($of, 2) . "\u{00A0}s";
        $rows = [[Text::of('film.says.stopped_at'), $length($this->film->distance)]];
        if ($this->film->limpAt !== null && $this->film->limpAfter !== null) {
            $rows[] = [Text::of('film.says.push_ended_at'), $length($this->film->limpAt)];
            $rows[] = [Text::of('film.says.push_lasted'), $seconds($this->film->limpAfter)];
        }
        $time = $this->timedM === null ? null : $this->film->timeAt($this->timedM);
        if ($time !== null) {
            $rows[] = [
                Text::of('film.says.time_over', ['length' => $this->units->show($this->timedM ?? 0.0, Scale::Lane)]),
                number_format($time, 2) . "\u{00A0}s",
            ];
        }
        $rows[] = [Text::of('film.says.lasted'), $seconds($this->film->lasts)];
        $rows[] = [
            Text::of('film.says.top_speed'),
            $this->pair($this->film->topSpeed->times($this->units->fromSi(1.0, Scale::Lane)), 2) . "\u{00A0}{$lane}/s",
        ];

        return $rows;
    }

    /**
     * @param Entry|null $timed by hand, over the timed length
     *
     * @return list<string> what to know about the figures
     */
    public function notes(?Entry $timed): array
    {
        $miss = $this->units->show($this->scale->greatestMissM(), Scale::Distance, 1);
        $notes = [$this->scale->isChecked()
            ? Text::of(
                $this->scale->greatestMissM() > self::BENT * max(1.0, $this->film->distance->value)
                    ? 'film.notes.bent'
                    : 'film.notes.marks',
                ['miss' => $miss],
            )
            : Text::of('film.notes.nothing_checks')];
        if ($this->isThroughBody) {
            $notes[] = Text::of('film.notes.through_body');
        }
        if ($this->film->endsBeforeStop) {
            $notes[] = Text::of('film.notes.ends_before_stop');
        }
        $time = $this->timedM === null || $timed === null ? null : $this->film->timeAt($this->timedM);
        if ($time !== null && $timed !== null && abs($time - $timed->quantity->si()) > self::BY_HAND_S) {
            $notes[] = Text::of(
                'film.notes.other_clock',
                ['film' => number_format($time, 2), 'hand' => number_format($timed->quantity->si(), 2)],
            );
        }

        return $notes;
    }

    /** What is asked where the run is on record with a distance that this film can't have; null where both may be right. */
    public function isOfAnother(?Entry $onRecord): ?string
    {
        $filmed = $this->film->distance;
        if ($onRecord === null || $this->film->endsBeforeStop) {
            return null;
        }
        $may = hypot(3.0 * $filmed->standardUncertainty, max(self::TAPE_M, self::TAPE_SHARE * $filmed->value));

        return abs($onRecord->quantity->si() - $filmed->value) <= $may ? null : Text::of('film.says.which_is_right', [
            'film' => $this->units->show($filmed->value, Scale::Distance),
            'record' => $this->units->show($onRecord->quantity->si(), Scale::Distance),
        ]);
    }

    /** What of it fills fields of a run that nobody filled. */
    public function record(): RunRecord
    {
        $length = function (float $metres): Entry {
            $text = $this->units->figure(max(0.0, $metres), Scale::Distance, 1);
            $unit = $this->units->unit(Scale::Distance) ?? Unit::Metre;

            return new Entry(Quantity::of($text, $unit), "{$text} {$this->units->symbol(Scale::Distance)}");
        };
        $seconds = static function (float $time): Entry {
            $text = number_format($time, 2, '.', '');

            return new Entry(Quantity::of($text, Unit::Second), "{$text} s");
        };
        $time = $this->timedM === null ? null : $this->film->timeAt($this->timedM);

        return new RunRecord(
            $this->film->endsBeforeStop ? null : $length($this->film->distance->value),
            $time === null ? null : $seconds($time),
            limp: $this->film->limpAt === null ? null : $length($this->film->limpAt->value),
            totalTime: $this->film->endsBeforeStop ? null : $seconds($this->film->lasts->value),
        );
    }

    /** @return array<string, string> the same by field, as one would type them */
    public function fills(): array
    {
        $record = $this->record();

        return array_map(
            static fn(Entry $entry): string => $entry->text,
            array_filter(
                ['distance' => $record->distance, 'time' => $record->time, 'limp' => $record->limp, 'total_time' => $record->totalTime],
            ),
        );
    }

    private function isFigure(Estimate $estimate): bool
    {
        return self::half($estimate) < self::NOT_A_FIGURE * abs($estimate->value);
    }

    private function pair(Estimate $estimate, int $decimals): string
    {
        return number_format($estimate->value, $decimals) . ' ± ' . number_format(self::half($estimate), $decimals);
    }

    private static function half(Estimate $estimate): float
    {
        $interval = $estimate->interval();

        return ($interval->high - $interval->low) / 2;
    }
}

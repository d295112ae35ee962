<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Language\Text;
use App\Models\Group;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\FillSweep;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\Run;

/**
 * What a group's next run is: a try, practice, one of a sweep or of the timed round; and how full its balloon was the last time, or shall
 * be.
 */
final readonly class NextRun
{
    private function __construct(
        public string $words,
        /** The same if it is one of the tries after all. */
        public string $asTry,
        public bool $isPractice,
        /** @var array{kind: string, size: string, strokes: string}|null of the run before, or as the sweep has it */
        public ?array $fill,
        public bool $isSweep,
        /** Whether it is one of the timed round. */
        public bool $isTimed,
        /** How many of its turns are over, in the order of practice, tries, sweep and timed round. */
        public int $made,
        /** How many turns it has in all. */
        public int $turns,
    ) {}

    public static function of(ClassRecord $record, Group $group): self
    {
        $challenge = $record->challenge;
        $tries = $record->tries($group->currentCar());
        $first = $challenge->practice_runs;
        $left = $tries->practiceLeft($first);
        $practiced = count(array_filter($tries->practice, static fn(Run $run): bool => $run->void === null));
        $sweep = FillSweep::read($group->sweep, $challenge->units);
        $next = $tries->areComplete() ? $sweep?->next($practiced) : null;
        $rounds = $challenge->timed_rounds;
        $timedLeft = $next === null ? $tries->timedLeft($rounds) : 0;

        $asTry = Text::of(
            $tries->next() > $tries->allowed ? 'run.try_beyond' : 'run.try_of',
            ['try' => $tries->next(), 'allowed' => $tries->allowed],
        );

        return new self(
            match (true) {
                $next !== null
                    && $sweep !== null => Text::of(
                        'run.sweep_of',
                        ['n' => $sweep->done($practiced) + 1, 'all' => count($sweep->fills), 'fill' => $next->asWritten()],
                    ),
                $timedLeft > 0 => Text::of('run.timed_of', ['n' => $rounds - $timedLeft + 1, 'all' => $rounds]),
                $left > 0 => Text::of('run.practice_of', ['n' => $first - $left + 1, 'all' => $first]),
                default => $asTry,
            },
            $asTry,
            $next !== null || $left > 0,
            $next === null ? $record->lastFill($group) : self::inFields($next),
            $next !== null,
            $timedLeft > 0,
            $first - $left + min($tries->made(), $challenge->tries) + ($tries->areComplete() ? $sweep?->done($practiced) ?? 0 : 0) + (
                $tries->areComplete() ? $rounds - $tries->timedLeft($rounds) : 0
            ),
            $first + $challenge->tries + count($sweep->fills ?? []) + $rounds,
        );
    }

    /** @return array{kind: string, size: string, strokes: string} as the strip has fields for it */
    private static function inFields(Inflation $fill): array
    {
        return [
            'kind' => $fill->kind->value,
            'size' => $fill->kind->isMeasured() ? $fill->size->text ?? '' : '',
            'strokes' => (string) ($fill->strokes ?? ''),
        ];
    }
}

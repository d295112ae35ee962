<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\Censored;
use Skivo\Core\Statistics\Sample;

/**
 * The runs of one car, sorted by the rule of the challenge: the first so many that are not void count,
 * any beyond them are extra, void ones are kept but never counted. Whether a car that did not start makes a void try or one
 * of no distance is a rule of the challenge. Practice, heats of races and runs under other conditions stand beside them.
 */
final readonly class Tries
{
    /** Tries of one car scatter by so much of how far it goes, where a class does not show it. Common practice, no source. */
    private const USUAL_SCATTER = 0.08;

    /** @var list<Run> */
    public array $counted;

    /** @var list<Run> */
    public array $extra;

    /** @var list<Run> */
    public array $void;

    /** @var list<Run> void or not */
    public array $practice;

    /** @var list<Run> of races, void or not */
    public array $heats;

    /** @var list<Run> of the timed round, void or not */
    public array $timed;

    /** @var list<Run> under other conditions, void or not */
    public array $apart;

    private ?Sample $distances;

    /**
     * @param list<Run> $runs in the order in which they were made
     * @param bool $voidIsRetried whether a void try is made again under its number; else it is lost
     * @param float $scatter of one try over how far a car goes (standard deviation), by which runs past the end are judged
     * @param bool $noStartIsZero whether a car that did not start went no distance at all; else the try is void
     */
    public function __construct(
        array $runs,
        public int $allowed,
        public bool $voidIsRetried = true,
        bool $noStartIsZero = false,
        private float $scatter = self::USUAL_SCATTER,
    ) {
        $of = static fn(RunKind $kind): array => array_values(
            array_filter($runs, static fn(Run $run): bool => $run->kind === $kind && !$run->isApart),
        );
        $this->practice = $of(RunKind::Practice);
        $this->heats = $of(RunKind::Heat);
        $this->timed = $of(RunKind::Timed);
        $this->apart = array_values(array_filter($runs, static fn(Run $run): bool => $run->isApart));
        $runs = $of(RunKind::Try);
        if ($noStartIsZero) {
            $runs = array_map(static fn(Run $run): Run => $run->void?->isNoStart() === true ? $run->asZero() : $run, $runs);
        }
        $valid = array_values(array_filter($runs, static fn(Run $run): bool => $run->void === null));
        usort($valid, static fn(Run $a, Run $b): int => $a->try <=> $b->try);
        $this->void = array_values(array_filter($runs, static fn(Run $run): bool => $run->void !== null));
        $places = max(0, $allowed - $this->lost());
        $this->counted = array_slice($valid, 0, $places);
        $this->extra = array_slice($valid, $places);
        $this->distances = self::completed(
            self::sample(array_map(static fn(Run $run): ?float => $run->distanceM, $this->counted)),
            array_keys(array_filter($this->counted, static fn(Run $run): bool => $run->pastEnd)),
            $this->scatter,
        );
    }

    /** The number of the next try. A void try is made again under its own number, unless it is lost. */
    public function next(): int
    {
        $taken = array_map(
            static fn(Run $run): int => $run->try,
            [...$this->counted, ...$this->extra, ...($this->voidIsRetried ? [] : $this->void)],
        );
        for ($try = 1; in_array($try, $taken, true); $try++);

        return $try;
    }

    /** The number of a run that is to come: of a try the next one's, of others how many there are of its kind, and one. */
    public function nextOf(RunRecord $record): int
    {
        return match (true) {
            $record->isApart() => count($this->apart) + 1,
            $record->kind === RunKind::Practice => count($this->practice) + 1,
            $record->kind === RunKind::Heat => count($this->heats) + 1,
            $record->kind === RunKind::Timed => count($this->timed) + 1,
            default => $this->next(),
        };
    }

    public function areComplete(): bool
    {
        return $this->made() >= $this->allowed;
    }

    /** Tries that are over: those that count, and the lost ones. */
    public function made(): int
    {
        return count($this->counted) + $this->lost();
    }

    private function lost(): int
    {
        return $this->voidIsRetried ? 0 : min($this->allowed, count($this->void));
    }

    /** With the heats of its races among the tries that count: findings ask how cars run, not where they are placed. */
    public function withHeats(): self
    {
        $heats = array_values(array_filter($this->heats, static fn(Run $run): bool => $run->void === null && $run->distanceM !== null));

        return $heats === [] ? $this : new self(
            [...$this->counted, ...$this->void, ...$this->timed, ...array_map(static fn(Run $run): Run => $run->asTry(), $heats)],
            $this->allowed + count($heats),
            $this->voidIsRetried,
            scatter: $this->scatter,
        );
    }

    /** @return list<Run> that stand beside the tries: practice, heats, the timed round, and what ran under other conditions */
    public function asides(): array
    {
        return [...$this->practice, ...$this->heats, ...$this->timed, ...$this->apart];
    }

    /** How many runs of the timed round are still to come, once the tries are over. */
    public function timedLeft(int $rounds): int
    {
        return $this->areComplete()
            ? max(0, $rounds - count(array_filter($this->timed, static fn(Run $run): bool => $run->void === null)))
            : 0;
    }

    /** How many runs of a car are still practice where its first so many are. */
    public function practiceLeft(int $first): int
    {
        return $this->made() > 0 || $this->extra !== []
            ? 0
            : max(0, $first - count(array_filter($this->practice, static fn(Run $run): bool => $run->void === null)));
    }

    /**
     * The counted tries alone, each with the distance that was logged.
     *
     * @param float $fartherM by which those that passed the end of the lane are taken to have gone farther
     */
    public function asLogged(float $fartherM = 0.0): self
    {
        return new self(
            [
                ...array_map(
                    static fn(Run $run): Run => $run->pastEnd ? $run->stoppedAt((float) $run->distanceM + $fartherM) : $run,
                    $this->counted,
                ),
                ...$this->timed,
            ],
            $this->allowed,
        );
    }

    /** Whether every counted try passed the end of the lane. */
    public function areAllPastEnd(): bool
    {
        return $this->counted !== [] && array_filter($this->counted, static fn(Run $run): bool => !$run->pastEnd) === [];
    }

    /** Whether some counted try passed the end of the lane. */
    public function passedTheEnd(): bool
    {
        return array_filter($this->counted, static fn(Run $run): bool => $run->pastEnd) !== [];
    }

    /**
     * Distances of the counted tries (m), or null where none counts yet. Of a try that passed the end of the lane it has how
     * far that went most likely, by the others; the bound itself where all passed it.
     */
    public function distances(): ?Sample
    {
        return $this->distances;
    }

    /**
     * Times of the counted tries and of the timed round (s), or null where none has one.
     *
     * @param float|null $lengthM that is timed: a car that stopped short of it did not arrive, whatever the watch says; null where none is
     * set
     */
    public function times(?float $lengthM = null): ?Sample
    {
        return self::sample(
            array_map(
                static fn(Run $run): ?float => $lengthM !== null
                    && $run->distanceM !== null
                    && $run->distanceM < $lengthM ? null : $run->timeS,
                [...$this->counted, ...array_filter($this->timed, static fn(Run $run): bool => $run->void === null)],
            ),
        );
    }

    /**
     * Any measure of the counted tries, or null where none has it.
     *
     * @param \Closure(Run): ?float $measure
     */
    public function each(\Closure $measure): ?Sample
    {
        return self::sample(array_map($measure, $this->counted));
    }

    /** @param list<int> $pastEnd which of the tries passed the end of the lane */
    private static function completed(?Sample $sample, array $pastEnd, float $scatter): ?Sample
    {
        return $sample === null || $pastEnd === [] || count($pastEnd) === $sample->n
            ? $sample
            : new Sample(Censored::complete($sample->values, $pastEnd, max(1e-6, $scatter * $sample->mean())));
    }

    /** @param list<float|null> $values */
    private static function sample(array $values): ?Sample
    {
        $known = array_values(array_filter($values, static fn(?float $value): bool => $value !== null));

        return $known === [] ? null : new Sample($known);
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\AnalysisOfVariance;
use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\Verdict;
use Skivo\Core\Statistics\WelchComparison;

/**
 * Who stands where under the rule of the challenge, and whether the tries can tell the leader from the rest.
 *
 * Ties share a rank and the ranks after them are left out (1, 2, 2, 4). Scores tie when they agree to a
 * tenth of a millimetre or a tenth of a millisecond, far finer than tape or stopwatch.
 *
 * Among many equal cars some pair often looks apart. So nobody is called clearly behind unless the class as a whole
 * differs by more than chance: one-way analysis of variance over all cars' tries first, then Welch's intervals (Fisher's
 * protected comparisons; The Design of Experiments, 1935, section 24). In a class without a difference somebody is
 * then wrongly called behind in one class of twenty at most.
 */
final readonly class Standings
{
    private const TIE = 1e-4;

    private const SIGNIFICANCE = 0.05;

    /** @param list<Standing> $places best first; groups without a score last, in their own order */
    private function __construct(
        public Award $award,
        public Scoring $scoring,
        public array $places,
        /** Whether the tries of the class differ from car to car by more than chance; null where that can't be judged. */
        public ?bool $classDiffers,
    ) {}

    /** @param list<Entrant> $entrants */
    public static function of(array $entrants, Award $award, Scoring $scoring): self
    {
        $goal = $award->goal;
        $scored = [];
        $waiting = [];
        foreach ($entrants as $entrant) {
            $sample = $award->measure($entrant->tries);
            if ($sample === null) {
                $waiting[] = new Standing($entrant, null, false, null, null, null);
            } else {
                $scored[] = [$entrant, $sample, $scoring->score($sample, $goal)];
            }
        }
        $sign = $goal->moreIsBetter() ? -1 : 1;
        usort($scored, static fn(array $a, array $b): int => $sign * ($a[2] <=> $b[2]));

        $differs = self::differs(array_column($scored, 1));
        $places = [];
        $rank = 0;
        foreach ($scored as $index => [$entrant, $sample, $score]) {
            $tiesWith = static fn(int $other): bool => isset($scored[$other]) && abs($scored[$other][2] - $score) < self::TIE;
            $rank = $tiesWith($index - 1) ? $rank : $index + 1;
            $against = $index === 0 ? null : WelchComparison::of($scored[0][1], $sample);
            $places[] = new Standing(
                $entrant,
                $rank,
                $tiesWith($index - 1) || $tiesWith($index + 1),
                $score,
                $sample,
                $differs === false ? $against?->withheld() : $against,
            );
        }

        return new self($award, $scoring, [...$places, ...$waiting], $differs);
    }

    /** @param list<Sample> $samples */
    private static function differs(array $samples): ?bool
    {
        $analysis = AnalysisOfVariance::of(array_map(static fn(Sample $sample): array => $sample->values, $samples));

        return $analysis === null ? null : $analysis->pValue < self::SIGNIFICANCE;
    }

    public function leader(): ?Standing
    {
        $first = $this->places[0] ?? null;

        return $first?->rank === null ? null : $first;
    }

    /**
     * The groups whose tries cannot be told from the leader's.
     *
     * @return list<Standing>
     */
    public function tooCloseToLeader(): array
    {
        return $this->withVerdict(Verdict::TooCloseToCall);
    }

    /**
     * The groups that cannot be judged against the leader, since one of the two has a single try.
     *
     * @return list<Standing>
     */
    public function notJudgedYet(): array
    {
        return $this->withVerdict(Verdict::NoSpreadYet);
    }

    /** @return list<Standing> */
    private function withVerdict(Verdict $verdict): array
    {
        return array_values(array_filter(
            $this->places,
            static fn(Standing $standing): bool => $standing->againstLeader?->verdict === $verdict,
        ));
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\LeadingGroup;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Verdict;

/**
 * Who stands where under the rule of the challenge, and whether the tries can tell the leader from the rest.
 *
 * Ties share a rank and the ranks after them are left out (1, 2, 2, 4). Scores tie when they agree to a
 * tenth of a millimetre or a tenth of a millisecond, far finer than tape or stopwatch.
 *
 * Among many equal cars some pair often looks apart. So who is clearly behind the leader is found step by step from the
 * last place upwards, by the range of those that are left (LeadingGroup).
 */
final readonly class Standings
{
    private const TIE = 1e-4;

    /** @param list<Standing> $places best first; groups without a score last, in their own order */
    private function __construct(
        public Award $award,
        public Scoring $scoring,
        public array $places,
        /** Of the tries about their cars' means; null where no car has two. */
        public ?ModeratedScatter $scatter,
    ) {}

    /**
     * @param list<Entrant> $entrants
     * @param ModeratedScatter|null $scatter of all the class's cars, where more than these have run
     */
    public static function of(array $entrants, Award $award, Scoring $scoring, ?ModeratedScatter $scatter = null): self
    {
        $scatter ??= $award->scatter(array_map(static fn(Entrant $entrant): Tries => $entrant->tries, $entrants));
        $goal = $award->goal;
        $scored = [];
        $waiting = [];
        foreach ($entrants as $entrant) {
            $sample = $award->measure($entrant->tries);
            if ($sample === null) {
                $waiting[] = new Standing($entrant, null, false, null, null, null, null);
            } else {
                $reach = Reach::of($award, $entrant->tries, $scoring);
                // The best of several is a run, not what one might have been.
                $score = $scoring === Scoring::Best && $reach !== null ? $reach->value : $scoring->score($sample, $goal);
                $scored[] = [$entrant, $sample, $score, $reach];
            }
        }
        $sign = $goal->moreIsBetter() ? -1 : 1;
        usort($scored, static fn(array $a, array $b): int => $sign * ($a[2] <=> $b[2]));

        $together = $scatter === null ? 0 : LeadingGroup::size(array_column($scored, 1), $scatter, $goal->moreIsBetter());
        $places = [];
        $rank = 0;
        foreach ($scored as $index => [$entrant, $sample, $score, $reach]) {
            $tiesWith = static fn(int $other): bool => isset($scored[$other]) && abs($scored[$other][2] - $score) < self::TIE;
            $rank = $tiesWith($index - 1) ? $rank : $index + 1;
            $places[] = new Standing(
                $entrant,
                $rank,
                $tiesWith($index - 1) || $tiesWith($index + 1),
                $score,
                $reach,
                $sample,
                match (true) {
                    $index === 0 => null,
                    $scatter === null => Verdict::NoSpreadYet,
                    default => $index < $together ? Verdict::TooCloseToCall : Verdict::ClearlyApart,
                },
            );
        }

        return new self($award, $scoring, [...$places, ...$waiting], $scatter);
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
        return array_values(array_filter(
            $this->places,
            static fn(Standing $standing): bool => $standing->againstLeader === Verdict::TooCloseToCall,
        ));
    }

}

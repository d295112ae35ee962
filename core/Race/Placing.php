<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/**
 * Who comes where. In a knockout by the round in which a car lost; everyone against everyone by the share of heats won, among
 * those that stayed to the end; where the winner stays on, the last one standing, then by heats won. Ties share a place.
 */
final readonly class Placing
{
    /** @var list<string> */
    public array $ranking;

    /** @var array<string, int> */
    public array $places;

    /** @var array<string, int> */
    public array $wins;

    public ?string $winner;

    /**
     * @param array<string, Heat> $heats
     * @param array<string, true> $out
     */
    public function __construct(RacePlan $plan, array $heats, array $out)
    {
        $wins = array_fill_keys($plan->entrants, 0);
        foreach ($heats as $heat) {
            if ($heat->winner !== null && !$heat->isWalkover) {
                $wins[$heat->winner]++;
            }
        }
        $this->wins = $wins;
        $isOver = array_filter($heats, static fn(Heat $heat): bool => $heat->winner === null && !$heat->isOff) === [];
        $last = $heats === [] ? null : $heats[array_key_last($heats)];
        $score = match ($plan->kind) {
            RaceKind::RoundRobin => array_map(static fn(int $of): array => [$of], $wins),
            RaceKind::StaysOn => self::ofChain($plan, $wins, $last),
            default => self::ofKnockout($plan, $heats),
        };
        // Who has left a round robin has no place in it: the others did not all meet it.
        $placed = array_values(array_filter($plan->entrants, static fn(string $entrant): bool => $isOver && !(
            $plan->kind === RaceKind::RoundRobin && isset($out[$entrant])
        )
            || $plan->kind === RaceKind::Knockout && isset($score[$entrant]) && self::isRoundOver($heats, $score[$entrant][0])));
        usort($placed, static fn(string $one, string $other): int => ($score[$other] ?? [0]) <=> ($score[$one] ?? [0]));
        $places = [];
        foreach ($placed as $entrant) {
            $better = array_filter($plan->entrants, static fn(string $other): bool => ($score[$other] ?? [0]) > ($score[$entrant] ?? [0])
                && !($plan->kind === RaceKind::RoundRobin && isset($out[$other])));
            $places[$entrant] = count($better) + 1;
        }
        $this->places = $places;
        $this->ranking = $placed;
        $first = array_map(strval(...), array_keys($places, 1, true));
        $this->winner = $isOver && count($first) === 1 && !isset($out[$first[0]]) ? $first[0] : null;
    }

    /**
     * Who lost in a round shares its place with those who lose in it later: until then nobody knows how many are better.
     *
     * @param array<string, Heat> $heats
     */
    private static function isRoundOver(array $heats, int $round): bool
    {
        return $round < PHP_INT_MAX
            && array_filter(
                $heats,
                static fn(Heat $heat): bool => $heat->round <= $round && $heat->winner === null && !$heat->isOff,
            ) === [];
    }

    /**
     * @param array<string, Heat> $heats
     *
     * @return array<string, array{int}> the round that a car reached; the greatest number while it is in
     */
    private static function ofKnockout(RacePlan $plan, array $heats): array
    {
        $score = array_fill_keys($plan->entrants, [PHP_INT_MAX]);
        foreach ($heats as $heat) {
            foreach ([$heat->a, $heat->b] as $entrant) {
                if ($entrant !== null && ($heat->isOff || $heat->winner !== null && $heat->winner !== $entrant)) {
                    $score[$entrant] = [$heat->round];
                }
            }
        }

        return $score;
    }

    /**
     * @param array<string, int> $wins
     *
     * @return array<string, array{int, int}>
     */
    private static function ofChain(RacePlan $plan, array $wins, ?Heat $last): array
    {
        $score = [];
        foreach ($plan->entrants as $entrant) {
            $score[$entrant] = [$last?->winner === $entrant ? 1 : 0, $wins[$entrant]];
        }

        return $score;
    }
}

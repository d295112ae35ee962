<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Statistics\Sample;

/**
 * How likely each group is to be the first, were the tries made again: its counted tries are drawn again and again, as
 * many as it has, each with the same chance (the bootstrap; Efron, Ann. Stat. 7, 1, 1979), and scored by the rule of the
 * challenge. A draw that several lead is shared among them.
 */
final readonly class ChanceOfFirst
{
    public const DRAWS = 10_000;

    /**
     * @param list<Standing> $places
     *
     * @return array<string, float> by the id of the entrant, summing to 1; empty where nobody has a score
     */
    public static function of(array $places, Award $award, Scoring $scoring, int $seed = 1, int $draws = self::DRAWS): array
    {
        $goal = $award->goal;
        $sign = $goal->moreIsBetter() ? 1.0 : -1.0;
        $samples = [];
        $chances = [];
        foreach ($places as $place) {
            if ($place->sample !== null) {
                $samples[$place->entrant->id] = array_map(static fn(float $value): float => $sign * $value, $place->sample->values);
                $chances[$place->entrant->id] = 0.0;
            }
        }
        if ($samples === []) {
            return [];
        }
        // Whose best is below what somebody has in every draw is never first: such need no drawing.
        $floor = max(array_map(static fn(array $values): float => min($values), $samples));
        $samples = array_filter($samples, static fn(array $values): bool => max($values) >= $floor);
        if (count($samples) === 1) {
            return [array_key_first($samples) => 1.0] + $chances;
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        for ($draw = 0; $draw < $draws; $draw++) {
            $best = -INF;
            $first = [];
            foreach ($samples as $id => $values) {
                $n = count($values);
                $drawn = [];
                foreach ($values as $value) {
                    $drawn[] = $n === 1 ? $value : $values[$random->getInt(0, $n - 1)];
                }
                $scored = self::score($scoring, $drawn);
                if ($scored > $best) {
                    $best = $scored;
                    $first = [$id];
                } elseif ($scored === $best) {
                    $first[] = $id;
                }
            }
            foreach ($first as $id) {
                $chances[$id] += 1.0 / count($first) / $draws;
            }
        }

        return $chances;
    }

    /** @param non-empty-list<float> $values where more is better */
    private static function score(Scoring $scoring, array $values): float
    {
        return match ($scoring) {
            Scoring::Best => max($values),
            Scoring::Mean => array_sum($values) / count($values),
            Scoring::Median => (new Sample($values))->median(),
        };
    }
}

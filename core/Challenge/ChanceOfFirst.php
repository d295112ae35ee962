<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;

/**
 * How likely each group is to be the first, were it all run again with the same cars.
 *
 * What the cars can do is drawn from a hierarchical normal model of what they showed: their own truths lie about one of the
 * class (flat), with a standard deviation between cars from 2 to 60 %, evenly in its logarithm, and tries scatter about a
 * car's truth as the class's tries do (Gelman et al., Bayesian Data Analysis, section 5.4). Then the tries are made anew and
 * scored by the rule of the challenge. Distances and times go by their logarithms. A draw that several lead is shared.
 */
final readonly class ChanceOfFirst
{
    public const DRAWS = 2000;

    private const LEAST_BETWEEN = 0.005;
    private const GREATEST_BETWEEN = 0.6;
    private const BETWEENS = 30;

    /** So many standard deviations behind the best, a car is never the first and need not be drawn. */
    private const NEVER = 6.0;

    /** @var non-empty-array<string, float> what a car showed, more is better */
    private array $shown;

    /** @var array<string, float> variance of that */
    private array $errors;

    /** @var array<string, float> of one try about a car's truth (standard deviation) */
    private array $scatters;

    /** @param non-empty-array<string, Standing> $places those with a score, by the id of the entrant */
    private function __construct(private array $places, private Award $award, private Scoring $scoring, ModeratedScatter $scatter)
    {
        $sign = $award->goal->moreIsBetter() ? 1.0 : -1.0;
        $samples = array_map(static fn(Standing $place): Sample => $place->sample ?? throw new \LogicException('It has a score.'), $places);
        $typical = array_sum(array_map(static fn(Sample $sample): float => abs($sample->mean()), $samples)) / count($samples);
        $shown = $errors = $scatters = [];
        foreach ($samples as $id => $sample) {
            $mean = abs($sample->mean());
            $least = max(1e-9, 0.05 * $typical);
            $scale = $award->goal->scattersInProportion() ? max($least, $mean) : max(1e-9, $typical);
            $shown[$id] = $sign * ($award->goal->scattersInProportion() ? log($scale) : $mean / $scale);
            $scatters[$id] = sqrt($scatter->variance($sample)) / $scale;
            $errors[$id] = $scatters[$id] ** 2 / $sample->n;
        }
        [$this->shown, $this->errors, $this->scatters] = [$shown, $errors, $scatters];
    }

    /** @return array<string, float> by the id of the entrant, summing to 1; empty where no car has two tries yet */
    public static function of(Standings $standings, int $seed = 1, int $draws = self::DRAWS): array
    {
        $places = self::scored($standings);
        if ($places === [] || $standings->scatter === null) {
            return [];
        }

        return (new self($places, $standings->award, $standings->scoring, $standings->scatter))->draw(
            new Randomizer(new Xoshiro256StarStar($seed)),
            $draws,
        );
    }

    /**
     * What the cars can do as it may well be, drawn as often as asked; more is better.
     *
     * @return list<array<string, array{float, float}>> by the id of the entrant: its truth, and how one try scatters about it
     */
    public static function truths(Standings $standings, int $draws, int $seed = 1): array
    {
        $places = self::scored($standings);
        if ($places === [] || $standings->scatter === null) {
            return [];
        }
        $of = new self($places, $standings->award, $standings->scoring, $standings->scatter);
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $betweens = $of->betweens();
        $drawn = [];
        for ($draw = 0; $draw < $draws; $draw++) {
            [$between, $middle, $error] = self::pick($betweens, ($draw + 0.5) / $draws);
            $class = $middle + $error * self::normal($random);
            $truths = [];
            foreach ($of->scatters as $id => $scatter) {
                $truths[$id] = [$of->truth((string) $id, $between, $class, $random), $scatter];
            }
            $drawn[] = $truths;
        }

        return $drawn;
    }

    /** What a car can do, between what it showed and what its class does. */
    private function truth(string $id, float $between, float $class, Randomizer $random): float
    {
        $own = 1.0 / $this->errors[$id];
        $all = 1.0 / $between ** 2;

        return ($own * $this->shown[$id] + $all * $class) / ($own + $all) + self::normal($random) / sqrt($own + $all);
    }

    /** @return array<string, Standing> by the id of the entrant */
    private static function scored(Standings $standings): array
    {
        $places = [];
        foreach ($standings->places as $place) {
            if ($place->sample !== null) {
                $places[$place->entrant->id] = $place;
            }
        }

        return $places;
    }

    /** @return array<string, float> */
    private function draw(Randomizer $random, int $draws): array
    {
        $chances = array_map(static fn(): float => 0.0, $this->shown);
        $betweens = $this->betweens();
        $inPlay = $this->inPlay();
        if (count($inPlay) === 1) {
            return [$inPlay[0] => 1.0] + $chances;
        }
        for ($draw = 0; $draw < $draws; $draw++) {
            // Each standard deviation between cars as often as it is likely.
            [$between, $middle, $error] = self::pick($betweens, ($draw + 0.5) / $draws);
            $class = $middle + $error * self::normal($random);
            $best = -INF;
            $first = [];
            foreach ($inPlay as $id) {
                $score = $this->score($id, $this->truth($id, $between, $class, $random), $random);
                if ($score > $best) {
                    $best = $score;
                    $first = [$id];
                } elseif ($score === $best) {
                    $first[] = $id;
                }
            }
            foreach ($first as $id) {
                $chances[$id] += 1.0 / count($first) / $draws;
            }
        }

        return $chances;
    }

    /** @return list<array{float, float, float, float}> standard deviation between cars, the class's middle, its error, and the chance of all so far */
    private function betweens(): array
    {
        $rows = $logs = [];
        for ($i = 0; $i < self::BETWEENS; $i++) {
            $between = self::LEAST_BETWEEN * (self::GREATEST_BETWEEN / self::LEAST_BETWEEN) ** ($i / (self::BETWEENS - 1));
            $weights = array_map(static fn(float $error): float => 1.0 / ($error + $between ** 2), $this->errors);
            $all = array_sum($weights);
            $middle = array_sum(
                array_map(static fn(float $weight, float $shown): float => $weight * $shown, $weights, $this->shown),
            ) / $all;
            $misses = array_map(static fn(float $weight, float $shown): float => $weight * ($shown - $middle) ** 2, $weights, $this->shown);
            $logs[] = 0.5 * (array_sum(array_map(log(...), $weights)) - log($all) - array_sum($misses));
            $rows[] = [$between, $middle, 1.0 / sqrt($all)];
        }
        $likely = array_map(static fn(float $log): float => exp($log - max($logs)), $logs);
        $sum = 0.0;
        foreach ($rows as $i => $row) {
            $sum += $likely[$i] / array_sum($likely);
            $rows[$i] = [...$row, $sum];
        }

        return $rows;
    }

    /**
     * @param list<array{float, float, float, float}> $betweens
     *
     * @return array{float, float, float}
     */
    private static function pick(array $betweens, float $chance): array
    {
        foreach ($betweens as [$between, $middle, $error, $upTo]) {
            if ($chance <= $upTo) {
                return [$between, $middle, $error];
            }
        }

        return array_slice($betweens[count($betweens) - 1], 0, 3);
    }

    /** @return non-empty-list<string> whoever has a chance worth drawing */
    private function inPlay(): array
    {
        $best = (string) array_search(max($this->shown), $this->shown, true);
        $apart = fn(string $id): float => ($this->shown[$best] - $this->shown[$id])
            / sqrt($this->errors[$best] + $this->errors[$id] + $this->scatters[$best] ** 2 + $this->scatters[$id] ** 2);

        return [$best, ...array_values(array_filter(
            array_map(strval(...), array_keys($this->shown)),
            static fn(string $id): bool => $id !== $best && $apart($id) < self::NEVER,
        ))];
    }

    /** Of a car with this truth, its tries made anew. */
    private function score(string $id, float $truth, Randomizer $random): float
    {
        $tries = max(1, $this->places[$id]->entrant->tries->allowed);
        if ($this->scoring === Scoring::Mean) {
            return $truth + $this->scatters[$id] / sqrt($tries) * self::normal($random);
        }
        $drawn = array_map(fn(): float => $truth + $this->scatters[$id] * self::normal($random), range(1, $tries));

        return $this->scoring === Scoring::Best ? max($drawn) : (new Sample($drawn))->median();
    }

    /** Box & Muller, Ann. Math. Stat. 29, 610, 1958. */
    private static function normal(Randomizer $random): float
    {
        return sqrt(-2.0 * log($random->getInt(1, 1 << 30) / (1 << 30))) * cos(2.0 * M_PI * $random->getInt(0, 1 << 30) / (1 << 30));
    }
}

<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Statistics\Sample;

/** What tries lose or gain from one to the next (balloons wear out, hands learn), learnt within all cars of a class at once. */
final readonly class Wear
{
    /** Each further try makes so much more or less (ln), where nothing is known of it. From trial. */
    private const EACH_TRY = 0.02;

    /**
     * @param list<float> $makes of each car's mean against the middle of all tries (ln)
     * @param list<float> $unsure the standard deviation of that, with its sign: the same error for all cars
     */
    private function __construct(public array $makes, public array $unsure) {}

    /**
     * @param list<ComparedCar> $cars
     * @param list<Sample> $samples the tries of each, in the order in which they were made
     * @param list<float> $variances of the logarithm of each mean
     * @param list<int> $bounds not 0 where a car's distance is only a bound
     */
    public static function among(array $cars, array $samples, array $variances, array $bounds): self
    {
        $order = array_keys($cars);
        usort($order, static fn(int $a, int $b): int => $cars[$a]->version <=> $cars[$b]->version);
        $made = $at = [];
        $squares = $products = 0.0;
        foreach ($order as $i) {
            $sample = $samples[$i];
            // A group's tries are counted on over its versions.
            $first = $made[$cars[$i]->group] ?? 0;
            $made[$cars[$i]->group] = $first + $sample->n;
            $middle = ($sample->n - 1) / 2;
            $at[$i] = $first + $middle;
            if ($sample->least() <= 0.0 || $bounds[$i] !== 0) {
                continue;
            }
            // The error of one try, from that of the mean.
            $weight = 1.0 / ($variances[$i] * $sample->n);
            foreach ($sample->values as $try => $value) {
                $squares += $weight * ($try - $middle) ** 2;
                $products += $weight * ($try - $middle) * log($value);
            }
        }
        $precision = $squares + 1.0 / self::EACH_TRY ** 2;
        $mean = $at === [] ? 0.0 : array_sum($at) / count($at);
        $off = array_map(static fn(int $i): float => $at[$i] - $mean, array_keys($cars));

        return new self(
            array_map(static fn(float $tries): float => $products / $precision * $tries, $off),
            array_map(static fn(float $tries): float => $tries / sqrt($precision), $off),
        );
    }
}

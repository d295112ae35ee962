<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Statistics\Normal;

/** Where one more try may stop, of a car that may go different distances, each with its scatter, or not start. */
final readonly class Spread
{
    /** Of the logarithm of a distance. */
    public const BIN = 0.03;

    private const REACH = 5.0;

    /** @var array<int, float> chance of a try up to the upper edge of each bin, not starting included */
    private array $upTo;

    private float $noStart;

    /**
     * @param array<int, float> $weights how likely the car goes the distance of each bin
     * @param float $noStart likewise of no start
     * @param float $scatter of one try over how far the car goes (standard deviation)
     */
    public function __construct(array $weights, float $noStart, float $scatter)
    {
        $all = $noStart + array_sum($weights);
        $reach = (int) ceil(self::REACH * $scatter / self::BIN) + 1;
        $shares = [];
        for ($step = -2 * $reach; $step <= $reach; $step++) {
            $shares[$step] = Normal::cumulative((exp(($step + 0.5) * self::BIN) - 1.0) / $scatter)
                - ($step === -2 * $reach ? 0.0 : Normal::cumulative((exp(($step - 0.5) * self::BIN) - 1.0) / $scatter));
        }
        $stops = [];
        foreach ($weights as $bin => $weight) {
            foreach ($shares as $step => $share) {
                $stops[$bin + $step] = ($stops[$bin + $step] ?? 0.0) + $weight * $share;
            }
        }
        ksort($stops);
        $sum = $noStart;
        $upTo = [];
        foreach ($stops as $bin => $weight) {
            $sum += $weight;
            $upTo[$bin] = $sum / $all;
        }
        $this->upTo = $upTo;
        $this->noStart = $noStart / $all;
    }

    /** The distance (m) that a share of the tries does not pass; 0 where so many do not start. */
    public function quantile(float $share): float
    {
        if ($share <= $this->noStart) {
            return 0.0;
        }
        $before = $this->noStart;
        foreach ($this->upTo as $bin => $upTo) {
            if ($share <= $upTo) {
                return exp(self::BIN * ($bin - 0.5 + ($share - $before) / ($upTo - $before)));
            }
            $before = $upTo;
        }

        return exp(self::BIN * ((int) array_key_last($this->upTo) + 0.5));
    }
}

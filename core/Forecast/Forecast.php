<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Normal;

/** How far one more try of a car will go. */
final readonly class Forecast
{
    private const WIDEST_RATIO = 6.0;

    /**
     * @param float $noStart chance that it does not start
     * @param float $medianM of all tries, those that do not start as 0
     * @param Interval $band50 with half of the tries, likewise
     * @param Interval $band95 with 95 % of them
     * @param float $friction f, the middle of what is likely
     * @param float $pressure of the emptying balloon over what the settings have, likewise
     */
    public function __construct(
        public float $noStart,
        public float $medianM,
        public Interval $band50,
        public Interval $band95,
        public float $friction,
        public float $pressure,
    ) {}

    /** Whether it says where a car will stop at all: its farthest is at most six times its shortest (common practice, no source). */
    public function saysWhere(): bool
    {
        return $this->band95->high <= self::WIDEST_RATIO * $this->band95->low;
    }

    /** Whether it says clearly more than another of the same car: its band is at most nine tenths as wide. */
    public function isNarrowerThan(self $other): bool
    {
        return $this->band95->high - $this->band95->low <= 0.9 * ($other->band95->high - $other->band95->low);
    }

    /**
     * The chance that a try goes farther than this (m): between the quantiles that are known, the logarithm of the distance is
     * taken to rise with the normal score, and on beyond them.
     */
    public function beyond(float $metres): float
    {
        $known = [];
        foreach (
            [
                [0.025, $this->band95->low], [0.25, $this->band50->low], [0.5, $this->medianM], [0.75, $this->band50->high],
                [0.975, $this->band95->high],
            ] as [$share, $quantile]
        ) {
            if ($quantile > 0.0) {
                $known[] = [Normal::quantile($share), log($quantile)];
            }
        }
        if (count($known) < 2 || $metres <= 0.0) {
            return $metres <= 0.0 ? 1.0 - $this->noStart : 0.0;
        }
        $at = log($metres);
        $last = count($known) - 2;
        for ($i = 0; $i < $last && $at > $known[$i + 1][1]; $i++);
        [[$z0, $y0], [$z1, $y1]] = [$known[$i], $known[$i + 1]];
        $score = $y1 > $y0 ? $z0 + ($at - $y0) / ($y1 - $y0) * ($z1 - $z0) : ($at > $y0 ? INF : -INF);

        return min(1.0 - $this->noStart, 1.0 - Normal::cumulative($score));
    }
}

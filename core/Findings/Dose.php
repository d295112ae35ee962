<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\LinearModel;
use Skivo\Core\Statistics\StudentT;

/**
 * Whether one car goes farthest with a medium fill, or wound by a medium number of turns: its tries with different ones, a parabola
 * through them, and where its top may lie (Fieller, J. R. Stat. Soc. B 16, 175, 1954).
 */
final readonly class Dose
{
    private const FEWEST_TRIES = 5;
    private const FEWEST_SIZES = 3;

    /** Fills that nobody could tell apart (m), and turns. Common practice, no source. */
    private const SAME_M = 0.004;
    private const SAME_TURNS = 0.4;

    /**
     * @param string $car its id
     * @param CarAttribute $of the balloon's size or the turns wound
     * @param non-empty-list<array{float, float}> $points fill (diameter, m) or turns, and distance (m), of each try
     * @param list<float> $curve of the parabola over the fill, lowest power first; none where the tries fix no parabola
     * @param float|null $best fill (m), or number of turns, that goes farthest; null where there is none inside what was tried
     * @param Interval|null $interval of that, likewise
     */
    private function __construct(
        public string $car,
        public CarAttribute $of,
        public array $points,
        public array $curve,
        public ?float $best,
        public ?Interval $interval,
    ) {}

    /**
     * Of every car whose tries differ enough in their fill; all of them together may be wrong in one class of twenty.
     *
     * @param array<array-key, Tries> $tries by the id of the car
     *
     * @return list<self>
     */
    public static function all(array $tries): array
    {
        $found = [];
        foreach ($tries as $car => $own) {
            foreach ([[CarAttribute::BalloonSize, self::SAME_M], [CarAttribute::TurnsWound, self::SAME_TURNS]] as [$of, $same]) {
                $points = self::points($own, $of);
                if (count($points) >= self::FEWEST_TRIES && self::sizes($points, $same) >= self::FEWEST_SIZES) {
                    $found[] = [(string) $car, $of, $points];
                }
            }
        }
        $doses = [];
        foreach ($found as [$car, $of, $points]) {
            $doses[] = self::of($car, $of, $points, 1.0 - Claims::LEVEL / count($found));
        }

        return $doses;
    }

    /** @param non-empty-list<array{float, float}> $points */
    private static function of(string $car, CarAttribute $of, array $points, float $confidence): self
    {
        $fills = array_column($points, 0);
        $middle = array_sum($fills) / count($fills);
        $fit = LinearModel::polynomial(
            array_map(static fn(float $fill): float => $fill - $middle, $fills),
            array_column($points, 1),
            2,
        );
        if ($fit === null) {
            return new self($car, $of, $points, [], null, null);
        }
        [$a, $b, $c] = $fit->coefficients;
        $curve = [$a - $b * $middle + $c * $middle ** 2, $b - 2 * $c * $middle, $c];
        $t = (new StudentT($fit->degreesOfFreedom))->intervalFactor($confidence);
        // Where the slope b + 2cz can't be told from nothing: (b + 2cz)² ≤ t²·Var(b + 2cz).
        $square = 4 * $c ** 2 - 4 * $t ** 2 * $fit->covariance[2][2];
        $linear = 4 * $b * $c - 4 * $t ** 2 * $fit->covariance[1][2];
        $constant = $b ** 2 - $t ** 2 * $fit->covariance[1][1];
        $root = $linear ** 2 - 4 * $square * $constant;
        if ($c >= 0.0 || $square <= 0.0 || $root < 0.0) {
            return new self($car, $of, $points, $curve, null, null);
        }
        $low = $middle + (-$linear - sqrt($root)) / (2 * $square);
        $high = $middle + (-$linear + sqrt($root)) / (2 * $square);

        return $low > min($fills) && $high < max($fills)
            ? new self($car, $of, $points, $curve, $middle - $b / (2 * $c), new Interval($low, $high, $confidence))
            : new self($car, $of, $points, $curve, null, null);
    }

    /** @return list<array{float, float}> */
    private static function points(Tries $tries, CarAttribute $of): array
    {
        $points = [];
        foreach ([...$tries->counted, ...$tries->extra, ...$tries->practice] as $run) {
            $dose = $of === CarAttribute::TurnsWound ? $run->turns : $run->fillDiameterM;
            if ($dose !== null && $run->distanceM !== null && $run->void === null && !$run->pastEnd) {
                $points[] = [$dose, $run->distanceM];
            }
        }

        return $points;
    }

    /** @param list<array{float, float}> $points */
    private static function sizes(array $points, float $same): int
    {
        $fills = array_column($points, 0);
        sort($fills);
        $sizes = 0;
        $last = -INF;
        foreach ($fills as $fill) {
            if ($fill - $last > $same) {
                $sizes++;
                $last = $fill;
            }
        }

        return $sizes;
    }
}

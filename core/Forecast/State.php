<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Normal;

/**
 * What is known of the hands that built a car and of its balloon: equally likely pairs of workmanship and pressure. Pushed
 * through the table of a design they say how far one more try of it goes, whether the car has that design or only might.
 */
final readonly class State
{
    /** Shares no divisor with the number of draws, so that it visits each. */
    private const STRIDE = 101;

    /**
     * @param non-empty-list<array{float, float}> $draws workmanship w, rising, and pressure over what the settings have
     * @param float $scatter of one try over how far the car goes (standard deviation)
     */
    public function __construct(
        public array $draws,
        public float $scatter,
    ) {}

    public function forecast(DistanceTable $table): Forecast
    {
        $distances = [];
        $noStart = 0;
        foreach ($this->draws as [$workmanship, $pressure]) {
            $distance = $table->distanceM($table->partsFriction + $workmanship, $pressure);
            if ($distance > 0.0) {
                $bin = (int) round(log($distance) / Spread::BIN);
                $distances[$bin] = ($distances[$bin] ?? 0.0) + 1.0;
            } else {
                $noStart++;
            }
        }
        $spread = new Spread($distances, $noStart, $this->scatter);

        return new Forecast(
            $noStart / count($this->draws),
            $spread->quantile(0.5),
            new Interval($spread->quantile(0.25), $spread->quantile(0.75), 0.5),
            new Interval($spread->quantile(0.025), $spread->quantile(0.975)),
            $table->partsFriction + $this->workmanship(),
            $this->pressure(),
        );
    }

    /**
     * What a careful bench test of friction would leave of this, if it read what is most likely now.
     *
     * @param float $partsFriction f as the parts make it
     * @param float $relative standard uncertainty that such a reading has, over f
     */
    public function onceMeasured(float $partsFriction, float $relative): self
    {
        $count = count($this->draws);
        $friction = $partsFriction + $this->workmanship();
        $draws = [];
        foreach (self::normals($count) as $i => $z) {
            // Pressure does not follow friction any more: it is taken from anywhere among the pairs.
            $draws[] = [max(1e-4, $friction * (1.0 + $relative * $z) - $partsFriction), $this->draws[$i * self::STRIDE % $count][1]];
        }

        return new self($draws, $this->scatter);
    }

    /**
     * The same about another middle, as where somebody turns it.
     *
     * @param float $workmanship w in the middle, above zero
     * @param float $pressure likewise
     * @param bool $isFrictionKnown whether the friction is given, and nothing is left open of it
     */
    public function about(float $workmanship, float $pressure, bool $isFrictionKnown): self
    {
        [$w, $p] = [$workmanship / $this->workmanship(), $pressure / $this->pressure()];

        return new self(
            array_map(static fn(array $draw): array => [$isFrictionKnown ? $workmanship : $draw[0] * $w, $draw[1] * $p], $this->draws),
            $this->scatter,
        );
    }

    /** What hands added to the friction of the parts, the middle of what is likely. */
    public function workmanship(): float
    {
        return $this->draws[intdiv(count($this->draws), 2)][0];
    }

    /** Of the emptying balloon over what the settings have, likewise. */
    public function pressure(): float
    {
        $pressures = array_column($this->draws, 1);
        sort($pressures);

        return $pressures[intdiv(count($pressures), 2)];
    }

    /**
     * @return non-empty-list<float> values that stand for equal shares of the standard normal distribution
     */
    private static function normals(int $count): array
    {
        /** @var array<int, non-empty-list<float>> $known */
        static $known = [];

        return $known[$count] ??= array_map(
            static fn(int $i): float => Normal::quantile(($i + 0.5) / $count),
            range(0, max(0, $count - 1)),
        );
    }
}

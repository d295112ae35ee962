<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/**
 * What a quantity will most likely be, before it is typed: about a middle, in proportion to it, and now and then anything less,
 * as when a car hits something. From it follows whether what was typed is more likely a slip: a slip is asked about, never refused,
 * since odd values happen.
 *
 * Decided by comparing the density of what was typed with that of what somebody may have meant, weighted by how often people slip so
 * (Bayes; Berger, Statistical Decision Theory and Bayesian Analysis, 1985, section 4.4.3). The weights are from memory; that they
 * catch slips and leave ordinary values alone is held by simulated classes.
 */
final readonly class Expected
{
    /** How often a number is meant in another unit than the one that it is read in, and how often a digit or the point is lost. */
    private const OTHER_UNIT = 0.04;
    private const OTHER_DIGITS = 0.04;

    /** Units that differ by less are told apart by a glance at the tape; and what they would explain, a bad run explains as well. */
    private const ALIKE_UNITS = 4.0;
    private const ALIKE_UNIT = 0.004;

    /** And in a unit of the other system seldom: a class has one kind of tape. */
    private const OTHER_SYSTEM = 0.2;

    /** Anything at all, over the logarithm: nobody expects it, and it happens. */
    private const ANYTHING = 0.0015;

    /** Less likely than this, and it is asked about whatever else it may have been. */
    private const ABSURD = 0.002;

    /**
     * @param float $middle above zero, in SI
     * @param float $spread standard deviation of its logarithm
     * @param float $short how often it is anywhere between nothing and the middle instead (share)
     */
    public function __construct(
        public float $middle,
        public float $spread,
        public float $short = 0.0,
    ) {}

    /** Of a quantity that lies between two bounds in 95 of 100 cases, each above zero. */
    public static function between(float $low, float $high): self
    {
        return new self(sqrt($low * $high), max(0.02, log($high / $low) / (2 * 1.96)));
    }

    /** The same, less surely: as somebody may guess. */
    public function atLeast(float $spread): self
    {
        return new self($this->middle, max($spread, $this->spread), $this->short);
    }

    /**
     * @param float $si what was typed, as it is read
     * @param Unit|null $unit in which a bare number was read; null where its unit was typed
     *
     * @return Slip|null null where it is as it may be
     */
    public function slip(float $si, ?Unit $unit): ?Slip
    {
        if ($si <= 0.0) {
            return null;
        }
        $density = $this->density($si);
        $best = null;
        foreach ($this->meant($si, $unit) as [$weight, $value, $as]) {
            $likelihood = $weight * $this->core($value);
            // Of two that fit about as well, the one with a unit tells more.
            $preferred = $likelihood * ($as === null ? 1.0 : 2.0);
            if ($likelihood > $density && ($best === null || $preferred > $best[0])) {
                $best = [$preferred, $value, $as];
            }
        }

        return match (true) {
            $best !== null => new Slip($si, $this->middle, $best[1], $best[2]),
            $density < self::ABSURD => new Slip($si, $this->middle),
            default => null,
        };
    }

    /** @return list<array{float, float, Unit|null}> how often people slip so, what they meant (SI), and in which unit where it was another */
    private function meant(float $si, ?Unit $unit): array
    {
        $meant = [];
        foreach (Unit::cases() as $other) {
            if (
                $unit !== null
                && $other !== $unit
                && $other->dimension() === $unit->dimension()
                && $other !== Unit::Stud
                && $other !== Unit::Yard
            ) {
                $factor = $other->inSiRoughly() / $unit->inSiRoughly();
                $isAlike = max($factor, 1.0 / $factor) < self::ALIKE_UNITS;
                $isOfItsSystem = self::isImperial($other) === self::isImperial($unit);
                $meant[] = [
                    ($isAlike ? self::ALIKE_UNIT : self::OTHER_UNIT) * ($isOfItsSystem ? 1.0 : self::OTHER_SYSTEM), $si * $factor, $other,
                ];
            }
        }
        foreach ([0.01, 0.1, 10.0, 100.0] as $factor) {
            $meant[] = [self::OTHER_DIGITS, $si * $factor, null];
        }

        return $meant;
    }

    private static function isImperial(Unit $unit): bool
    {
        return in_array($unit, [Unit::Inch, Unit::Foot, Unit::Yard, Unit::Ounce, Unit::Pound], true);
    }

    /** Of the logarithm. */
    private function density(float $si): float
    {
        return (1.0 - $this->short) * $this->core($si)
            + ($si < $this->middle ? $this->short * $si / $this->middle : 0.0)
            + self::ANYTHING;
    }

    private function core(float $si): float
    {
        $score = log($si / $this->middle) / $this->spread;

        return exp(-$score ** 2 / 2) / ($this->spread * sqrt(2 * M_PI));
    }
}

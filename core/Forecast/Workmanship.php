<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Normal;
use Skivo\Core\Statistics\StudentT;

/**
 * What a class's hands add to friction, and what its balloons give: f = f_parts + w, with the workmanship w > 0 of each car
 * from ln w ~ N(μ, τ²) over the class, μ ~ N(ln 0.03, 0.8²), τ ~ half-normal(0.5); and the pressure of the emptying balloon
 * over the model's, ln p about ln P and ln P about ln 0.8, with tails (StrengthPrior; starting values from memory and trial; that
 * rubber gives back less than it took: Mullins, Rubber Chem. Technol. 42, 339, 1969). Of a wound band it is the pull, with a prior
 * of its own.
 *
 * A car that failed checks has ln w − s in that place of ln w, s being what they shift (CheckShifts).
 *
 * All of it on grids: each car's evidence is a likelihood over its own w and p, the class's is the product of what remains
 * of them once w and p are summed out (Gelman et al., Bayesian Data Analysis, sections 5.3 and 10.1).
 */
final readonly class Workmanship
{
    private const MU = [-3.5065578973, 0.8];
    private const TAU = 0.5;

    /** Steps of the grids: of ln w, of a car's ln p, and of the class's μ, τ and ln P. */
    private const LOG_W = [-7.6, 0.2, 79];
    private const MUS = 17;
    /** @var list<float> */
    private const TAUS = [0.05, 0.15, 0.3, 0.5, 0.75, 1.05, 1.4];

    /** So many pairs stand for what is known of a car. */
    private const DRAWS = 240;

    /** One try in so many has nothing to do with the model. From memory. */
    private const OFF = 0.01;
    private const ANYWHERE_M = 10.0;

    /** What of the class is this much less likely than the likeliest adds nothing. */
    private const NOTHING = 1e-3;

    /** A reading with so much of its weight at the ends of the grid is a bound, and one wider than this (of ln w) says nothing. */
    private const BOUND = 0.01;
    private const VAGUE = 0.8;

    /** What of a car is so much less likely (ln) than the likeliest is left out. */
    private const HARDLY = 14.0;

    /** @var non-empty-list<float> */
    private array $w;

    /** @var non-empty-list<float> */
    private array $p;

    /** @var list<array{float, float, float}> μ and τ with what they were likely beforehand */
    private array $shapes;

    /** @var non-empty-list<array{float, float, float}> ln P with what it was likely beforehand, and the width that it stands for */
    private array $pressures;

    /** @var list<list<float>> weight of each w, by shape */
    private array $ofW;

    /** @var list<list<float>> weight of each p, by the class's pressure */
    private array $ofP;

    /** @var list<list<float>> how likely each shape and pressure of the class is */
    private array $posterior;

    /** @var array<string, array<int, array<int, float>>> how likely a car's evidence is, by p and w */
    private array $likelihoods;

    /** @var array<string, list<list<float>>> what remains of that for the class, by shape and pressure */
    private array $remains;

    private StrengthPrior $prior;

    /**
     * @param list<Evidence> $cars that one kind of drive drives, or a ramp alone
     * @param StrengthPrior|null $prior of that drive; a balloon's where null
     */
    public function __construct(array $cars, ?StrengthPrior $prior = null)
    {
        $this->prior = $prior ?? StrengthPrior::of(EnergySource::Balloon);
        $this->w = array_map(exp(...), self::steps(...self::LOG_W));
        $this->p = array_map(exp(...), self::steps(...$this->prior->grid));
        $this->shapes = self::shapes();
        $this->pressures = $this->prior->steps();
        $this->ofW = array_map(fn(array $shape): array => self::weights($this->w, $shape[0], $shape[1]), $this->shapes);
        $this->ofP = array_map(fn(float $logP): array => $this->weightsOfP($logP, true), array_column($this->pressures, 0));
        $likelihoods = $remains = [];
        foreach ($cars as $car) {
            if ($car->saysMore() || $car->pressure !== null) {
                $likelihoods[$car->id] = $this->likelihood($car);
                $remains[$car->id] = $this->remaining($likelihoods[$car->id]);
            }
        }
        [$this->likelihoods, $this->remains] = [$likelihoods, $remains];
        $this->posterior = $this->posterior();
    }

    /** Of a car of this class, whether it has any evidence of its own or not. */
    public function stateOf(Evidence $car): State
    {
        return $this->state($this->weightsOf($car->id, $this->likelihoods[$car->id] ?? null), $car->scatter, $car->shift);
    }

    /** Of a car of which nothing is known but that this class builds it. */
    public function usual(float $scatter): State
    {
        return $this->state($this->weightsOf('', null), $scatter);
    }

    public function forecast(Evidence $car): Forecast
    {
        return $this->stateOf($car)->forecast($car->table);
    }

    /**
     * What could be said of a car before its first try, from its bench and everything that the other groups did.
     *
     * @param list<string> $ofGroup the ids of all versions of its group
     */
    public function forecastBeforeRuns(Evidence $car, array $ofGroup = []): Forecast
    {
        $before = $car->beforeRuns();
        $saysAnything = $before->saysMore() || $before->pressure !== null;
        $weights = $this->weightsOf($car->id, $saysAnything ? $this->likelihood($before) : null, $ofGroup);

        return $this->state($weights, $car->scatter, $car->shift)->forecast($car->table);
    }

    /**
     * What a car's own evidence says of ln w, whatever the others are like and as long as its push is not odd; null where it only bounds
     * it.
     */
    public function reading(Evidence $car): ?Estimate
    {
        $likelihood = $this->likelihoods[$car->id] ?? [];
        $classes = array_fill(0, count($this->pressures), 0.0);
        foreach ($this->posterior as $byPressure) {
            foreach ($byPressure as $q => $weight) {
                $classes[$q] += $weight;
            }
        }
        $ofP = array_map(fn(float $logP): array => $this->weightsOfP($logP, false), array_column($this->pressures, 0));
        $sums = array_fill(0, count($this->w), 0.0);
        foreach ($likelihood as $j => $row) {
            $weight = 0.0;
            foreach ($classes as $q => $class) {
                $weight += $class * $ofP[$q][$j];
            }
            foreach ($row as $k => $each) {
                $sums[$k] += $weight * $each;
            }
        }
        $all = array_sum($sums);
        if ($all <= 0.0 || ($sums[0] + $sums[count($sums) - 1]) / $all > self::BOUND) {
            return null;
        }
        $logs = array_map(static fn(float $w): float => log($w) + $car->shift, $this->w);
        $mean = array_sum(array_map(static fn(float $log, float $sum): float => $log * $sum, $logs, $sums)) / $all;
        $variance = array_sum(array_map(static fn(float $log, float $sum): float => ($log - $mean) ** 2 * $sum, $logs, $sums)) / $all;

        return sqrt($variance) > self::VAGUE ? null : new Estimate($mean, sqrt($variance));
    }

    /**
     * Pairs that stand for equal shares of the weight, in the order of the workmanship.
     *
     * @param array<int, array<int, float>> $weights by p and w
     */
    private function state(array $weights, float $scatter, float $shift = 0.0): State
    {
        $columns = [];
        $sum = 0.0;
        foreach ($weights as $j => $row) {
            foreach ($row as $k => $weight) {
                $columns[$k][$j] = $weight;
                $sum += $weight;
            }
        }
        ksort($columns);
        $draws = [];
        $before = 0.0;
        foreach ($columns as $k => $column) {
            foreach ($column as $j => $weight) {
                $share = $weight / $sum * self::DRAWS;
                while (count($draws) < self::DRAWS && count($draws) + 0.5 <= $before + $share) {
                    // Within a step every value is as likely as the next.
                    $part = $share > 0.0 ? (count($draws) + 0.5 - $before) / $share - 0.5 : 0.0;
                    $draws[] = [
                        $this->w[$k] * exp($shift + $part * (self::LOG_W[1] - self::LOG_W[0]) / (self::LOG_W[2] - 1)), $this->p[$j],
                    ];
                }
                $before += $share;
            }
        }

        // Within a step the pairs come by pressure, each from its lower end.
        usort($draws, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return new State($draws ?: throw new \LogicException('Weights that sum to something leave draws.'), $scatter);
    }

    /** What hands add to the friction of a usual car of the class, and what its balloons give. */
    public function hands(): Hands
    {
        $w = $p = [];
        foreach ($this->posterior as $s => $row) {
            foreach ($row as $q => $weight) {
                $w[intdiv($s, count(self::TAUS))] = ($w[intdiv($s, count(self::TAUS))] ?? 0.0) + $weight;
                $p[$q] = ($p[$q] ?? 0.0) + $weight;
            }
        }
        $mu = [self::MU[0] - 3 * self::MU[1], self::MU[0] + 3 * self::MU[1], self::MUS];
        $pressure = fn(float $share): float => exp($this->pressureAt($p, $share));

        return new Hands(
            exp(self::quantile($w, $mu, 0.5)),
            new Interval(exp(self::quantile($w, $mu, 0.025)), exp(self::quantile($w, $mu, 0.975))),
            $pressure(0.5),
            new Interval($pressure(0.025), $pressure(0.975)),
        );
    }

    /**
     * @param array<int, array<int, float>>|null $likelihood by p and w
     * @param list<string> $without ids of further cars that the class is looked at without
     *
     * @return array<int, array<int, float>> weight of each p and w, not summing to anything
     */
    private function weightsOf(string $id, ?array $likelihood, array $without = []): array
    {
        $columns = [];
        foreach ($likelihood ?? [array_fill(0, count($this->w), 1.0)] as $row) {
            $columns += $row;
        }
        // What the class knows already holds what it knows of this car.
        $held = array_intersect_key($this->remains, [$id => true] + array_flip($without));
        $weights = [];
        foreach ($this->pressures as $q => $_) {
            $row = array_map(static fn(): float => 0.0, $columns);
            foreach ($this->posterior as $s => $byPressure) {
                if ($byPressure[$q] > 0.0) {
                    $weight = $byPressure[$q];
                    foreach ($held as $remains) {
                        $weight /= $remains[$s][$q];
                    }
                    $shares = $this->ofW[$s];
                    foreach ($columns as $k => $_) {
                        $row[$k] += $weight * $shares[$k];
                    }
                }
            }
            foreach ($this->ofP[$q] as $j => $share) {
                if ($likelihood === null || isset($likelihood[$j])) {
                    foreach ($likelihood[$j] ?? $columns as $k => $each) {
                        $weights[$j][$k] = ($weights[$j][$k] ?? 0.0) + $share * $row[$k] * $each;
                    }
                }
            }
        }

        return $weights;
    }

    /** @return array<int, array<int, float>> of a car's evidence, by p and w; the likeliest is 1, what is hardly possible is left out */
    private function likelihood(Evidence $car): array
    {
        $ofFriction = array_map(
            static fn(float $w): float => self::bench($car->friction, $car->table->partsFriction + $w, $car->table->partsFriction),
            $this->wOf($car),
        );
        $ofTries = [];
        $rows = [];
        $most = -INF;
        foreach ($this->reach($car) as $j => $steps) {
            $ofPressure = $car->pressure === null ? 0.0 : self::logDensity($car->pressure, $this->p[$j]);
            foreach ($steps as $k => $step) {
                $ofTries[$step ?? 'none'] ??= self::tries($car, $step === null ? 0.0 : exp($step * Spread::BIN));
                $log = $ofPressure + $ofFriction[$k] + $ofTries[$step ?? 'none'];
                $most = $log > $most ? $log : $most;
                $rows[$j][$k] = $log;
            }
        }
        $likelihood = [];
        foreach ($rows as $j => $row) {
            foreach ($row as $k => $log) {
                if ($log > $most - self::HARDLY) {
                    $likelihood[$j][$k] = exp($log - $most);
                }
            }
        }

        return $likelihood;
    }

    /** @return list<list<int|null>> how far the car goes, in bins of its spread, by p and w; null where it does not start */
    private function reach(Evidence $car): array
    {
        return $car->table->steps($this->p, $this->wOf($car), Spread::BIN);
    }

    /** @return non-empty-list<float> workmanship at the steps of the grid, for what checks say of the car */
    private function wOf(Evidence $car): array
    {
        return $car->shift === 0.0 ? $this->w : array_map(static fn(float $w): float => $w * exp($car->shift), $this->w);
    }

    /** Of what a bench read, at a friction; no more than a bound from above where it is hardly more than the parts have. */
    private static function bench(?Estimate $read, float $friction, float $parts): float
    {
        if ($read === null) {
            return 0.0;
        }
        if ($read->value > $parts + $read->standardUncertainty) {
            return self::logDensity($read, $friction);
        }
        $t = ($friction - $read->value) / $read->standardUncertainty;

        return log(max(1e-30, is_infinite($read->degreesOfFreedom)
            ? Normal::cumulative(-$t)
            : (new StudentT($read->degreesOfFreedom))->cumulative(-$t)));
    }

    /** ln of Student's density but for a constant. */
    private static function logDensity(Estimate $read, float $at): float
    {
        $square = (($at - $read->value) / $read->standardUncertainty) ** 2;

        return is_infinite($read->degreesOfFreedom)
            ? -0.5 * $square
            : -0.5 * ($read->degreesOfFreedom + 1.0) * log1p($square / $read->degreesOfFreedom);
    }

    /** ln of how likely the tries of a car are that goes so far (m). */
    private static function tries(Evidence $car, float $distance): float
    {
        $log = 0.0;
        $deviation = $car->scatter * $distance;
        foreach ($car->distancesM as $each) {
            $log += log(self::OFF / self::ANYWHERE_M + ($distance > 0.0
                ? (1.0 - self::OFF) * Normal::density(($each - $distance) / $deviation) / $deviation
                : 0.0));
        }
        foreach ($car->atLeastM as $bound) {
            $log += log(self::OFF + ($distance > 0.0 ? (1.0 - self::OFF) * Normal::cumulative(($distance - $bound) / $deviation) : 0.0));
        }

        return $log + $car->noStarts * log($distance > 0.0 ? self::OFF : 1.0);
    }

    /**
     * @param array<int, array<int, float>> $likelihood by p and w
     *
     * @return list<list<float>> by shape and pressure of the class
     */
    private function remaining(array $likelihood): array
    {
        $columns = [];
        foreach ($likelihood as $row) {
            $columns += $row;
        }
        $columns = array_keys($columns);
        $places = array_flip($columns);
        $byPressure = [];
        foreach ($this->ofP as $shares) {
            $sums = array_fill(0, count($columns), 0.0);
            foreach ($likelihood as $j => $row) {
                $share = $shares[$j];
                foreach ($row as $k => $each) {
                    $sums[$places[$k]] += $share * $each;
                }
            }
            $byPressure[] = $sums;
        }
        $remains = [];
        $count = count($columns);
        foreach ($this->ofW as $weights) {
            $own = [];
            foreach ($columns as $k) {
                $own[] = $weights[$k];
            }
            $ofShape = [];
            foreach ($byPressure as $sums) {
                $sum = 1e-300;
                for ($i = 0; $i < $count; $i++) {
                    $sum += $own[$i] * $sums[$i];
                }
                $ofShape[] = $sum;
            }
            $remains[] = $ofShape;
        }

        return $remains;
    }

    /** @return list<list<float>> by shape and pressure; 0 for what is hardly possible */
    private function posterior(): array
    {
        $logs = [];
        $most = -INF;
        foreach ($this->shapes as $s => [, , $shape]) {
            foreach ($this->pressures as $q => [, $pressure]) {
                $log = log($shape) + log($pressure);
                foreach ($this->remains as $ofCar) {
                    $log += log($ofCar[$s][$q]);
                }
                $logs[$s][$q] = $log;
                $most = max($most, $log);
            }
        }

        return array_values(array_map(
            static fn(array $row): array => array_values(array_map(static function (float $log) use ($most): float {
                $weight = exp($log - $most);

                return $weight < self::NOTHING ? 0.0 : $weight;
            }, $row)),
            $logs,
        ));
    }

    /** @return list<array{float, float, float}> */
    private static function shapes(): array
    {
        $shapes = [];
        foreach (self::normalSteps(self::MU[0], self::MU[1], self::MUS) as [$mu, $ofMu]) {
            foreach (self::TAUS as $i => $tau) {
                // A half-normal density times how much of τ each step stands for.
                $width = ((self::TAUS[$i + 1] ?? 2 * $tau - (self::TAUS[$i - 1] ?? 0.0)) - (self::TAUS[$i - 1] ?? 0.0)) / 2;
                $shapes[] = [$mu, $tau, $ofMu * exp(-0.5 * ($tau / self::TAU) ** 2) * $width];
            }
        }

        return $shapes;
    }

    /**
     * @param int<2, max> $count
     *
     * @return list<array{float, float}> within three standard deviations, with how likely each is
     */
    private static function normalSteps(float $mean, float $deviation, int $count): array
    {
        return array_map(
            static fn(float $z): array => [$mean + $deviation * $z, exp(-0.5 * $z * $z)],
            self::steps(-3.0, 3.0, $count),
        );
    }

    /**
     * @param int<2, max> $count
     *
     * @return non-empty-list<float> from one number to another
     */
    private static function steps(float $from, float $to, int $count): array
    {
        return array_map(static fn(int $i): float => $from + ($to - $from) * $i / ($count - 1), range(0, $count - 1));
    }

    /**
     * @param list<float> $values in equal steps of their logarithm
     *
     * @return list<float> how likely each is, by a normal distribution of the logarithm; they sum to 1
     */
    private static function weights(array $values, float $mean, float $deviation): array
    {
        $weights = array_map(static fn(float $value): float => exp(-0.5 * ((log($value) - $mean) / $deviation) ** 2), $values);
        $sum = array_sum($weights);

        return array_map(static fn(float $weight): float => $weight / $sum, $weights);
    }

    /** @return list<float> how likely each p of a car, or of one that is not odd, is where its class has that ln P; they sum to 1 */
    private function weightsOfP(float $classLogP, bool $mayBeOdd): array
    {
        $weights = array_map(fn(float $p): float => $this->prior->ofCar(log($p), $classLogP, $mayBeOdd), $this->p);
        $sum = array_sum($weights);

        return array_map(static fn(float $weight): float => $weight / $sum, $weights);
    }

    /**
     * ln P of the class below which such a share of it lies.
     *
     * @param array<int, float> $weights of its steps
     */
    private function pressureAt(array $weights, float $share): float
    {
        ksort($weights);
        $left = $share * array_sum($weights);
        $from = $this->pressures[0][0] - $this->pressures[0][2] / 2;
        foreach ($weights as $q => $weight) {
            $to = ($this->pressures[$q][0] + ($this->pressures[$q + 1] ?? $this->pressures[$q])[0]) / 2;
            if ($left <= $weight) {
                // Within a step every value is as likely as the next.
                return $from + ($to - $from) * ($weight > 0.0 ? $left / $weight : 0.0);
            }
            $left -= $weight;
            $from = $to;
        }

        return $from;
    }

    /**
     * @param array<int, float> $weights of the steps
     * @param array{float, float, int} $steps
     */
    private static function quantile(array $weights, array $steps, float $share): float
    {
        ksort($weights);
        $half = $share * array_sum($weights);
        $width = ($steps[1] - $steps[0]) / ($steps[2] - 1);
        foreach ($weights as $step => $weight) {
            if ($half <= $weight) {
                // Within a step every value is as likely as the next.
                return $steps[0] + $width * ($step - 0.5 + $half / $weight);
            }
            $half -= $weight;
        }

        return $steps[1];
    }
}

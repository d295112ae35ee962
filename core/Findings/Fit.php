<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\MixedModel;

/** One attribute fitted to one outcome. Distances and times are fitted by their logarithms, straightness as it is. */
final readonly class Fit
{
    /**
     * @param list<FittedCar> $cars
     * @param list<ComparedCar> $left cars that have the outcome and could not be taken
     * @param float $slope of the outcome over the whole span, in logarithms or in units
     * @param float $base of the outcome in the middle of the span, likewise
     * @param float|null $unit in which the outcome is fitted; null where by its logarithm
     * @param MixedModel|null $model null where it says nothing of how sure it is
     * @param array<string, array{float, float}> $beside what else differs: its share r² with the attribute, and ln of what it makes between the cars at both ends, by the value of a CarAttribute
     * @param array{float, float} $ends mean outcomes of the cars at both ends
     */
    public function __construct(
        public array $cars,
        public array $left,
        public Span $span,
        public float $slope,
        private float $base,
        private ?float $unit,
        public ?MixedModel $model,
        private array $beside,
        private array $ends,
    ) {}

    /** The same, said of too few to be sure of. */
    public function unsaid(): self
    {
        return new self(
            $this->cars,
            $this->left,
            $this->span,
            $this->slope,
            $this->base,
            $this->unit,
            null,
            $this->beside,
            $this->ends,
        );
    }

    /** How much the outcome differs over the span, of a slope. */
    public function difference(float $slope): float
    {
        return $this->unit === null ? 2.0 * exp($this->base) * sinh($slope / 2) : $this->unit * $slope;
    }

    public function interval(float $confidence = 0.95): ?Interval
    {
        $slope = $this->model?->interval($confidence);

        return $slope === null ? null : new Interval($this->difference($slope->low), $this->difference($slope->high), $confidence);
    }

    /** The outcome of a car that is in the middle of the class in all else. */
    public function at(float $x): float
    {
        return $this->outcome($this->base + $this->slope * $this->span->place($x));
    }

    /** In which the outcome of such a car lies if nothing but the slope is unsure. */
    public function bandAt(float $x): ?Interval
    {
        $slope = $this->model?->interval();
        if ($slope === null) {
            return null;
        }
        $place = $this->span->place($x);
        $ends = [$this->outcome($this->base + $slope->low * $place), $this->outcome($this->base + $slope->high * $place)];

        return new Interval(min($ends), max($ends));
    }

    /** @return list<AllowedFor> what makes most first */
    public function allowed(): array
    {
        $allowed = [];
        foreach ($this->beside as $key => [$rSquared, $log]) {
            $said = CarAttribute::from($key)->saidOf();
            $known = $allowed[$said->value] ?? new AllowedFor($said, 0.0, 0.0);
            $allowed[$said->value] = new AllowedFor($said, max($known->rSquared, $rSquared), $known->makes + $this->perLog() * $log);
        }
        usort($allowed, static fn(AllowedFor $a, AllowedFor $b): int => abs($b->makes) <=> abs($a->makes));

        return $allowed;
    }

    /** Null where outcomes do not multiply, or one end stopped at nothing. */
    public function shares(): ?Shares
    {
        [$least, $most] = $this->ends;
        if ($this->unit !== null || $least <= 0.0 || $most <= 0.0) {
            return null;
        }
        return new Shares($least, $most, $this->perLog() * $this->slope, $this->allowed());
    }

    /** What a factor makes, for each unit of its logarithm: the logarithmic mean of the outcomes at both ends. */
    private function perLog(): float
    {
        [$least, $most] = $this->ends;
        if ($least <= 0.0 || $most <= 0.0) {
            return 0.0;
        }

        return abs($most / $least - 1.0) < 1e-6 ? $least : ($most - $least) / log($most / $least);
    }

    private function outcome(float $fitted): float
    {
        return $this->unit === null ? exp($fitted) : $this->unit * $fitted;
    }
}

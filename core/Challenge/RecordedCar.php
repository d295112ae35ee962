<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Statistics\Sample;

/** One version of a group's car with all that is on record of it. */
final readonly class RecordedCar
{
    /** Its tries with the heats of its races among them. */
    public Tries $runs;

    /**
     * @param string $id names it to whoever asks
     * @param string $group whose car it is
     * @param int $version from 1, over all cars of its group: the one that counts for awards last
     * @param array<string, non-empty-list<list<float>>> $bench by the value of a BenchTest: repeats, each with its readings (SI)
     * @param Sample|null $distances of its tries (m), where other tries are looked at than the rule of the challenge counts
     * @param bool $isIn whether its group is still in and may rebuild it
     * @param list<CheckItem>|null $failed what it failed of its check card; null where it was not checked
     * @param bool $isNominated whether it is the one of its group's cars that counts for awards
     * @param float|null $lostM what its full balloon loses of its diameter in ten seconds (m); null where nobody checked
     */
    public function __construct(
        public string $id,
        public string $group,
        public int $version,
        public Car $choices,
        public Tries $tries,
        public array $bench = [],
        public ?Sample $distances = null,
        public bool $isIn = true,
        public ?array $failed = null,
        public bool $isNominated = true,
        public ?float $lostM = null,
    ) {
        $this->runs = $tries->withHeats();
    }

    /** The same with its kinds by other names. */
    public function called(Car $choices): self
    {
        return $choices === $this->choices ? $this : new self(
            $this->id,
            $this->group,
            $this->version,
            $choices,
            $this->tries,
            $this->bench,
            $this->distances,
            $this->isIn,
            $this->failed,
            $this->isNominated,
            $this->lostM,
        );
    }

    /** Distances that findings look at (m): of its tries and of its heats; null where there are none. */
    public function sample(): ?Sample
    {
        return $this->distances ?? $this->runs->distances();
    }

    /** What it is, with its balloon as filled and its band as wound for its counted tries, where they say. */
    public function asRun(): Car
    {
        $filled = $this->runs->each(static fn(Run $run): ?float => $run->fillDiameterM)?->mean();
        $wound = $this->runs->each(static fn(Run $run): ?float => $run->turns)?->mean();
        $car = $filled === null || !$this->choices->blows() ? $this->choices : $this->choices->with(CarAttribute::BalloonSize, $filled);

        return $wound === null || $this->choices->source()?->winds() !== true
            ? $car
            : $car->with(CarAttribute::TurnsWound, (string) round($wound));
    }
}

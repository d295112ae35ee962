<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Allowance;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\Fault;
use Skivo\Core\Car\Geometry\Faults;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\MassSum;
use Skivo\Core\Car\KnownFrom;
use Skivo\Core\Challenge\Breach;
use Skivo\Core\Simulation\Beyond;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;

/** A car as recorded, with what its measures say: where everything is, what cannot work, what breaks the rules. */
final readonly class CarReading
{
    public Layout $layout;

    /** @var list<Fault> */
    public array $faults;

    /** @var list<Breach> those that nobody allowed */
    public array $breaches;

    /** @var list<array{Breach, Allowance}> */
    public array $allowed;

    public MassSum $mass;

    /** @param iterable<Allowance> $allowances */
    public function __construct(public Car $car, private ClassPlan $plan, private Car $kit, iterable $allowances = [])
    {
        $faults = new Faults($car, $plan->catalogue, $plan->kit);
        $this->layout = $faults->layout;
        $this->faults = $faults->all();
        $this->mass = MassSum::of($car);
        $byRule = [];
        foreach ($allowances as $allowance) {
            $byRule[$allowance->rule] = $allowance;
        }
        $breaches = $allowed = [];
        foreach ($plan->challenge->rules()->breaches($car, $kit) as $breach) {
            if (isset($byRule[$breach->rule])) {
                $allowed[] = [$breach, $byRule[$breach->rule]];
            } else {
                $breaches[] = $breach;
            }
        }
        $this->breaches = $breaches;
        $this->allowed = $allowed;
    }

    /** @return array<string, KnownFrom> how well each part is known, by the value of a Step */
    public function known(): array
    {
        $known = [];
        foreach (Step::cases() as $step) {
            $known[$step->value] = KnownFrom::of($this->car, $this->kit, $step);
        }

        return $known;
    }

    /** @return array<string, Beyond>|null what is recorded and the run model can't compute with, by CarAttribute; none where its drive is another; null where it computes */
    public function beyondModel(): ?array
    {
        try {
            CarModel::of($this->car, $this->plan->catalogue, $this->plan->challenge->surface, pump: $this->plan->challenge->pumpCurve());
        } catch (BeyondModelException $found) {
            return $found->beyond;
        }

        return null;
    }
}

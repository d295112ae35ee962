<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Models\Car;
use App\Models\Challenge;
use App\Models\Run;
use App\Record\ClassForces;
use App\Record\ClassPlan;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Diagnosis\Cause;
use Skivo\Core\Diagnosis\Diagnosis;
use Skivo\Core\Diagnosis\Symptom;
use Skivo\Core\Physics\Steering;

/** What was seen on a car, what its runs and checks point to, and the causes behind it. */
final readonly class DiagnosisReading
{
    /** @var list<Symptom> that its runs and its check card point to */
    public array $suggested;

    /** What drives the car. */
    public EnergySource $source;

    private Diagnosis $diagnosis;

    public function __construct(Challenge $challenge, private ?Car $car)
    {
        $plan = ClassPlan::of($challenge);
        $this->source = $car?->choices->source() ?? EnergySource::Balloon;
        $card = $car?->checkCard($challenge->checkTolerances()) ?? new CheckCard([]);
        $this->diagnosis = new Diagnosis(
            $car->choices ?? new Choices(),
            $card,
            $plan->catalogue,
            $challenge->surface,
            $plan->kit,
            $car === null ? null : ClassForces::modelOf($challenge, $car),
        );
        $suggested = Symptom::ofCard($card);
        foreach ($car->runs ?? [] as $run) {
            $suggested[] = $run->void_reason === null ? null : Symptom::ofVoid($run->void_reason);
            $suggested[] = ($run->drift?->quantity->si() ?? 0.0) > 0.0 ? Symptom::Veers : null;
        }
        $this->suggested = array_values(array_unique(array_filter($suggested), SORT_REGULAR));
    }

    /** The newest run that strayed; null where none did. */
    public function strayed(): ?Run
    {
        return $this->car?->runs->last(
            static fn(Run $run): bool => ($run->drift?->quantity->si() ?? 0.0) > 0.0 && ($run->distance?->quantity->si() ?? 0.0) > 0.0,
        );
    }

    /** @return list<Cause> */
    public function causes(Symptom $symptom, ?float $driftM, ?float $overM): array
    {
        return $this->diagnosis->of($symptom, $driftM, $overM);
    }

    public function steering(float $driftM, float $overM): ?Steering
    {
        return $this->diagnosis->steering($driftM, $overM);
    }
}

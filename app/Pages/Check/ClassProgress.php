<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Models\Group;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Forecast\Forecast;

/** How each car looks, what was measured of it, and what measuring would gain. */
final readonly class ClassProgress
{
    /**
     * @param list<array{
     *     group: Group, card: CheckCard|null, missing: list<Step>, hasRun: bool, forces: Forces|null, forecast: Forecast|null,
     *     once: Forecast|null,
     * }> $rows
     * @param Group|null $waiting the first whose car is recorded, not ready, and has tries to run
     */
    private function __construct(public array $rows, public ?Group $waiting) {}

    public static function of(ClassRecord $record, ClassForces $forces): self
    {
        $rows = [];
        $waiting = null;
        foreach ($record->groups as $group) {
            $car = $group->currentCar();
            $tries = $record->tries($car);
            $card = $record->card($group);
            $missing = $car === null ? Step::ofCar() : array_values(array_filter(
                Step::ofCar(),
                static fn(Step $step): bool => array_filter($step->attributes(), $car->choices->has(...)) === [],
            ));
            $hasRun = count($tries->counted) >= $tries->allowed;
            if (count($missing) < count(Step::ofCar()) && $card?->isReady() !== true && !$hasRun) {
                $waiting ??= $group;
            }
            $rows[] = [
                'group' => $group,
                'card' => $card,
                'missing' => $missing,
                'hasRun' => $hasRun,
                'forces' => $forces->of($car),
                'forecast' => $forces->forecast($car),
                'once' => $forces->onceMeasured($car),
            ];
        }

        return new self($rows, $waiting);
    }
}

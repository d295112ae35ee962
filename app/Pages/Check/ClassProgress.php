<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Models\Group;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Check\CheckCard;

/** How far each group is through building, checking and running, and what holds it up. */
final readonly class ClassProgress
{
    /** @param list<array{group: Group, built: int, card: CheckCard|null, counted: int, allowed: int, void: int, missing: list<Step>}> $rows */
    private function __construct(public array $rows) {}

    public static function of(ClassRecord $record): self
    {
        $rows = [];
        foreach ($record->groups as $group) {
            $car = $group->currentCar();
            $tries = $record->tries($car);
            $card = $record->card($group);
            $missing = $car === null ? Step::ofCar() : array_values(array_filter(
                Step::ofCar(),
                static fn(Step $step): bool => array_filter($step->attributes(), $car->choices->has(...)) === [],
            ));
            $rows[] = [
                'group' => $group,
                'built' => count(Step::ofCar()) - count($missing),
                'card' => $card,
                'counted' => count($tries->counted),
                'allowed' => $tries->allowed,
                'void' => count($tries->void),
                'missing' => $missing,
            ];
        }

        return new self($rows);
    }
}

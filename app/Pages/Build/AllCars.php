<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Models\Challenge;
use App\Models\Group;
use App\Record\CarReading;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;

/** The cars of all groups as one table: a row a group, a column for each thing that may differ. */
final readonly class AllCars
{
    /** @var list<CarAttribute> */
    public array $columns;

    /** @var list<CarAttribute> of them, those that were asked for beside the usual ones */
    public array $added;

    private ClassPlan $plan;

    /** @param list<CarAttribute> $more columns that were asked for beside the usual ones */
    public function __construct(public Challenge $challenge, public ClassRecord $record, array $more = [])
    {
        $this->plan = ClassPlan::of($challenge);
        $usual = $challenge->rules()->recorded($challenge->asks);
        $this->columns = array_values(array_filter(
            self::possible(),
            static fn(CarAttribute $each): bool => in_array($each, $usual, true) || in_array($each, $more, true),
        ));
        $this->added = array_values(array_filter($this->columns, static fn(CarAttribute $each): bool => !in_array($each, $usual, true)));
    }

    /** @return list<CarAttribute> that a column may be for */
    public static function possible(): array
    {
        return array_values(array_filter(
            CarAttribute::recorded(),
            // An outline is drawn, not typed.
            static fn(CarAttribute $each): bool => $each !== CarAttribute::ChassisOutline,
        ));
    }

    /** @return list<CarAttribute> that further columns may be for */
    public function further(): array
    {
        return array_values(array_filter(self::possible(), fn(CarAttribute $each): bool => !in_array($each, $this->columns, true)));
    }

    /** What stands in a cell, as it was typed. */
    public static function typed(Car $car, CarAttribute $column): string
    {
        return (string) (($car->quantities[$column->value] ?? null)->text ?? $car->counts[$column->value] ?? $car->kind($column) ?? '');
    }

    /** What the group's kit gives it: where nothing is typed. */
    public function kit(Group $group): Car
    {
        return $this->plan->forGroup($group)->kitCar();
    }

    public function reading(Group $group, ?Car $car = null): CarReading
    {
        return new CarReading($car ?? $group->currentCar()->choices ?? new Car(), $this->plan, $this->kit($group));
    }
}

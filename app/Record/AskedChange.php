<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Group;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Findings\Difference;

/** What a group is asked to change on its car, and nothing else: by the educator, or by the plan once its tries are in. */
final readonly class AskedChange
{
    private function __construct(
        public CarAttribute $attribute,
        public float|string $to,
        private bool $keepsMass,
    ) {}

    /** Null where it is asked nothing, or has done it. */
    public static function of(ClassRecord $record, Group $group, ClassDesign $design): ?self
    {
        $car = $group->currentCar();
        $asked = self::byEducator($group) ?? self::byPlan($record, $group, $design);
        if ($asked === null || $car === null || $car->choices->isEmpty()) {
            return null;
        }
        [$attribute, $to] = $asked;

        return Difference::isSame($attribute, $car->choices->explanation($attribute), $to)
            ? null
            : new self($attribute, $to, $record->challenge->is_mass_even);
    }

    /** Its car once that is done. */
    public function on(Car $car): Car
    {
        return $car->rebuilt($this->attribute, $this->to, $this->keepsMass);
    }

    /** @return array{CarAttribute, float|string}|null */
    private static function byEducator(Group $group): ?array
    {
        [$attribute, $to] = [$group->asked_attribute, $group->asked_to];
        if ($attribute === null || $to === null) {
            return null;
        }

        return [$attribute, $attribute->explainsAsNumber() ? (float) $to : $to];
    }

    /** @return array{CarAttribute, float|string}|null the other of the two, after the tries of the first car */
    private static function byPlan(ClassRecord $record, Group $group, ClassDesign $design): ?array
    {
        $contrast = $design->contrast();
        if (
            $contrast === null || !$record->challenge->way()->isRebuilt() || $group->builds_other === null || $group->cars->count() !== 1
            || !$record->tries($group->currentCar())->areComplete()
        ) {
            return null;
        }
        $isOther = !$group->builds_other;
        $part = $contrast->part($isOther);
        $kind = Contrast::partOf($contrast->attribute);
        $value = $isOther ? $contrast->other : $contrast->one;

        return $part !== null && $kind !== null
            ? [$kind->named(), $kind->named()->isKind() ? $part->name : $part->value($kind->named())]
            : [$contrast->attribute, is_float($value) && !$contrast->attribute->explainsAsNumber() ? (string) (int) $value : $value];
    }
}

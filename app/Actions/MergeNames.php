<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\CarChange;
use App\Models\Challenge;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\CarAttribute;

/** Calls a part by one name on every car of a class that has it by another, and takes that back. What was there stays on record. */
final class MergeNames
{
    /**
     * @param list<int>|null $only these cars; null for all of the class that have the name
     *
     * @return list<int> the ids of the cars that were changed
     */
    public function __invoke(Challenge $challenge, CarAttribute $attribute, string $from, string $to, User $by, ?array $only = null): array
    {
        return DB::transaction(static function () use ($challenge, $attribute, $from, $to, $by, $only): array {
            $cars = Car::query()
                ->whereHas('group', static fn(Builder $groups): Builder => $groups->where('challenge_id', $challenge->id))
                ->when($only !== null, static fn(Builder $cars): Builder => $cars->whereKey($only ?? []))
                ->where("choices->{$attribute->value}", $from)
                ->lock(Lock::ROW)
                ->orderBy('id')
                ->get();
            foreach ($cars as $car) {
                $car->choices = $car->choices->with($attribute, $to);
                $car->edition++;
                $car->save();
                $car->changes()->create(CarChange::madeBy($by) + [
                    'before' => [$attribute->value => $from], 'after' => [$attribute->value => $to],
                ]);
            }

            return array_values($cars->map(static fn(Car $car): int => $car->id)->all());
        });
    }
}

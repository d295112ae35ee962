<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Lets a car run though it breaks a rule, with the reason on record, and takes that back. */
final class AllowBreach
{
    public function allow(Car $car, string $rule, User $educator, string $reason): void
    {
        DB::transaction(
            static fn() => $car->allowances()->updateOrCreate(['rule' => $rule], ['user_id' => $educator->id, 'reason' => $reason]),
        );
    }

    public function withdraw(Car $car, string $rule): void
    {
        DB::transaction(static fn() => $car->allowances()->where('rule', $rule)->delete());
    }
}

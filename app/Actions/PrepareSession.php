<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\MaterialLine;
use Illuminate\Support\Facades\DB;

/** Changes how the session is prepared: timetable, cut sizes, materials. */
final class PrepareSession
{
    /**
     * @param array<string, mixed> $plan by column
     * @param array<string, mixed> $rules of the challenge that go with it, by column
     */
    public function plan(Challenge $challenge, array $plan, array $rules = []): void
    {
        DB::transaction(static function () use ($challenge, $plan, $rules): void {
            $challenge->update($rules);
            $challenge->sessionPlan()->fill($plan)->save();
        });
    }

    /**
     * @param array<string, mixed> $plan by column
     * @param array<string, array{float|null, float|null}> $changes amount and price of a line, by its key; neither takes a change back
     */
    public function materials(Challenge $challenge, array $plan, array $changes): void
    {
        DB::transaction(function () use ($challenge, $plan, $changes): void {
            $this->plan($challenge, $plan);
            foreach ($changes as $key => [$amount, $price]) {
                if ($amount === null && $price === null) {
                    $challenge->materialLines()->where('key', $key)->delete();
                } else {
                    $challenge->materialLines()->updateOrCreate(['key' => $key], ['amount' => $amount, 'price' => $price]);
                }
            }
        });
    }

    /** @param array<string, mixed> $line by column */
    public function addMaterial(Challenge $challenge, array $line): MaterialLine
    {
        return DB::transaction(static fn(): MaterialLine => $challenge->materialLines()->create($line));
    }

    public function removeMaterial(MaterialLine $line): void
    {
        DB::transaction(static fn(): ?bool => $line->delete());
    }
}

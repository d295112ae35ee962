<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\MaterialLine;
use App\Record\ClassPlan;
use Carbon\CarbonImmutable;
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
            // Another kit, or another way to build, may call for what nobody has read yet.
            $challenge->update(['safety_unread' => array_column(ClassPlan::of($challenge->refresh())->safety()->newCautions(), 'value')]);
        });
    }

    /**
     * @param array<string, mixed> $plan by column
     * @param array<string, array{float|null, float|null, int|null}> $changes amount, price and pack of a line, by its key; none of them takes a change back
     */
    public function materials(Challenge $challenge, array $plan, array $changes): void
    {
        DB::transaction(function () use ($challenge, $plan, $changes): void {
            $this->plan($challenge, $plan);
            foreach ($changes as $key => [$amount, $price, $pack]) {
                if ($amount === null && $price === null && $pack === null) {
                    $challenge->materialLines()->where('key', $key)->delete();
                } else {
                    $challenge->materialLines()->updateOrCreate(['key' => $key], ['amount' => $amount, 'price' => $price, 'pack' => $pack]);
                }
            }
        });
    }

    /** Notes how many of a line are there on a day; what was noted for that day before is replaced. */
    public function count(Challenge $challenge, string $key, int $count, CarbonImmutable $on): void
    {
        DB::transaction(static function () use ($challenge, $key, $count, $on): void {
            $challenge->materialCounts()->updateOrCreate(['key' => $key, 'counted_on' => $on], ['count' => $count]);
        });
    }

    /** Takes the last count of a line back. */
    public function takeBackCount(Challenge $challenge, string $key): void
    {
        DB::transaction(
            static fn(): mixed => $challenge->materialCounts()->where('key', $key)->reorder('counted_on', 'desc')->first()?->delete(),
        );
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

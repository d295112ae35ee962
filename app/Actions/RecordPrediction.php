<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Measurement\Entry;

/** Records how far a group expects its next try to go. */
final class RecordPrediction
{
    /**
     * @param int|null $for the try it was said of; null for whichever is next
     *
     * @return int|null the try it is kept for; null where that one has been run meanwhile, and nothing was kept
     */
    public function __invoke(Challenge $challenge, Group $group, Entry $distance, ?int $for): ?int
    {
        return DB::transaction(static function () use ($challenge, $group, $distance, $for): ?int {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $car = CarToRun::of($group);
            $try = $car->load('runs')->tries($challenge)->next();
            if ($for !== null && $for !== $try) {
                return null;
            }
            $car->predictions()->updateOrCreate(['try' => $try], ['distance' => $distance, 'made_at' => now()]);

            return $try;
        });
    }
}

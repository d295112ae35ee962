<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BenchReading;
use App\Models\Car;
use App\Models\Group;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Measurement\Entry;

/** Records the repeats of one bench test of a car. What they replace stays on record, and can come back. */
final class RecordBench
{
    /**
     * @param int|null $version of the group's car; null for the one that runs next
     * @param list<list<Entry>> $repeats none to clear the test
     *
     * @return array{int, bool} the version that was measured, and whether anything was replaced
     */
    public function __invoke(Group $group, ?int $version, BenchTest $test, array $repeats, User $by): array
    {
        return DB::transaction(static function () use ($group, $version, $test, $repeats, $by): array {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $car = $group->load('cars')->cars->firstWhere('version', $version) ?? CarToRun::of($group);
            $replaced = $car->benchReadings()->where('test', $test->value)->delete();
            foreach ($repeats as $entries) {
                $reading = $car->benchReadings()->make(['user_id' => $by->id, 'test' => $test]);
                $reading->put($entries);
                $reading->save();
            }

            return [$car->version, $replaced > 0];
        });
    }

    /** What was typed over last comes back; what stands there now goes on record in its place. False where nothing stood there. */
    public function restore(Car $car, BenchTest $test): bool
    {
        return DB::transaction(static function () use ($car, $test): bool {
            Group::query()->whereKey($car->group_id)->lock(Lock::ROW)->firstOrFail();
            $readings = $car->benchReadings()->withTrashed()->where('test', $test->value)->get();
            $last = $readings->max(static fn(BenchReading $reading): ?CarbonImmutable => $reading->deleted_at);
            if ($last === null) {
                return false;
            }
            $before = $readings->filter(static fn(BenchReading $reading): bool => $reading->deleted_at?->equalTo($last) === true);
            BenchReading::query()->whereKey($readings->whereNull('deleted_at')->modelKeys())->delete();
            BenchReading::query()->onlyTrashed()->whereKey($before->modelKeys())->restore();

            return true;
        });
    }
}

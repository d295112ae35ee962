<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\ApiToken;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\Invitation;
use App\Models\JoinCode;
use App\Models\SignIn;
use App\Record\DrawnOf;
use Illuminate\Cache\DatabaseStore;
use Illuminate\Cache\FileStore;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Deletes for good what was removed, cut off or ran out some time ago. */
final class PurgeRemoved
{
    /** How long what was removed can be put back (d). The README says so. */
    public const DAYS = 30;

    /** How long it is known where somebody was signed in (d). */
    public const SIGN_INS_DAYS = 90;

    /** @return int how many challenges and groups are gone */
    public function __invoke(): int
    {
        $before = now()->subDays(self::DAYS);
        $gone = DB::transaction(static function () use ($before): array {
            self::removeUntouched();
            SignIn::query()->where('seen_at', '<', now()->subDays(self::SIGN_INS_DAYS))->delete();
            Invitation::query()->where('expires_at', '<', $before)->delete();
            ApiToken::query()->where('revoked_at', '<', $before)->delete();
            JoinCode::query()->where('expires_at', '<', $before)->delete();
            Device::query()->where('revoked_at', '<', $before)->delete();
            $challenges = Challenge::query()->onlyTrashed()->where('deleted_at', '<', $before)->pluck('id')->all();
            // A car that was put back alone keeps its group's row, which would take it along.
            $groups = Group::query()->onlyTrashed()
                ->where('deleted_at', '<', $before)
                ->whereDoesntHave('furtherCars')
                ->pluck('challenge_id', 'id');
            Challenge::query()->onlyTrashed()->whereKey($challenges)->forceDelete();
            Group::query()->onlyTrashed()->whereKey($groups->keys())->forceDelete();

            return [count($challenges) + $groups->count(), [...$challenges, ...$groups->values()->unique()]];
        });
        DrawnOf::forget($gone[1]);
        self::removeExpired();

        return $gone[0];
    }

    /** What was held for a while stays in a file or row after its time: nobody asks for it, and it has names in it. */
    private static function removeExpired(): void
    {
        $store = Cache::getStore();
        if ($store instanceof DatabaseStore) {
            $store->getConnection()
                ->table((string) config('cache.stores.database.table'))
                ->where('expiration', '<', now()->getTimestamp())
                ->delete();
        }
        foreach ($store instanceof FileStore && is_dir($store->getDirectory()) ? File::allFiles($store->getDirectory()) : [] as $file) {
            // Its first ten characters say until when (s) it holds. Another may have taken it away meanwhile.
            $until = @file_get_contents($file->getPathname(), length: 10);
            if (is_string($until) && ctype_digit($until) && (int) $until < now()->getTimestamp()) {
                @unlink($file->getPathname());
            }
        }
    }

    /** By the school's own rule: what nobody has touched for so many months is removed, and can still be put back. */
    private static function removeUntouched(): void
    {
        $months = config('skivo.retention_months');
        if ($months === null) {
            return;
        }
        $before = now()->subMonths((int) $months);
        // Whatever was recorded of a class touched it; what is worked out of it, or looked at, did not.
        $touched = [
            'groups' => ['updated_at', null], 'races' => ['created_at', null], 'race_events' => ['made_at', null],
            'readings' => ['received_at', null],
            'material_counts' => ['counted_on', null], 'plans' => ['updated_at', null], 'acts' => ['made_at', null],
            'cars' => ['updated_at', 'group_id'], 'entries' => ['created_at', 'group_id'], 'home_links' => ['created_at', 'group_id'],
            'runs' => ['updated_at', 'car_id'], 'check_readings' => ['updated_at', 'car_id'], 'bench_readings' => ['made_at', 'car_id'],
            'predictions' => ['made_at', 'car_id'], 'allowances' => ['made_at', 'car_id'], 'car_changes' => ['made_at', 'car_id'],
        ];
        $old = Challenge::query()->where('updated_at', '<', $before);
        foreach ($touched as $table => [$column, $by]) {
            $old->whereNotExists(static fn($rows) => $rows->from($table)->where("{$table}.{$column}", '>=', $before)->when(
                $by === null,
                static fn($of) => $of->whereColumn("{$table}.challenge_id", 'challenges.id'),
                static fn($of) => $of->when($by === 'car_id', static fn($cars) => $cars->join('cars', 'cars.id', "{$table}.car_id"))
                    ->join(
                        'groups',
                        'groups.id',
                        $by === 'car_id' ? 'cars.group_id' : "{$table}.group_id",
                    )->whereColumn('groups.challenge_id', 'challenges.id'),
            ));
        }
        $old->delete();
    }
}

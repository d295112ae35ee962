<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\JoinCode;
use Illuminate\Support\Facades\DB;

/** Deletes for good what was removed, cut off or ran out some time ago. */
final class PurgeRemoved
{
    /** How long what was removed can be put back (d). The README says so. */
    public const DAYS = 30;

    /** @return int how many challenges and groups are gone */
    public function __invoke(): int
    {
        return DB::transaction(static function (): int {
            $before = now()->subDays(self::DAYS);
            JoinCode::query()->where('expires_at', '<', $before)->delete();
            Device::query()->where('revoked_at', '<', $before)->delete();
            $gone = 0;
            foreach ([Challenge::class, Group::class] as $model) {
                $gone += $model::query()->onlyTrashed()->where('deleted_at', '<', $before)->forceDelete();
            }

            return $gone;
        });
    }
}

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
use Illuminate\Support\Facades\DB;

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
        return DB::transaction(static function (): int {
            $before = now()->subDays(self::DAYS);
            self::removeUntouched();
            SignIn::query()->where('seen_at', '<', now()->subDays(self::SIGN_INS_DAYS))->delete();
            Invitation::query()->where('expires_at', '<', $before)->delete();
            ApiToken::query()->where('revoked_at', '<', $before)->delete();
            JoinCode::query()->where('expires_at', '<', $before)->delete();
            Device::query()->where('revoked_at', '<', $before)->delete();
            $gone = 0;
            foreach ([Challenge::class, Group::class] as $model) {
                $gone += $model::query()->onlyTrashed()->where('deleted_at', '<', $before)->forceDelete();
            }

            return $gone;
        });
    }

    /** By the school's own rule: what nobody has touched for so many months is removed, and can still be put back. */
    private static function removeUntouched(): void
    {
        $months = config('skivo.retention_months');
        if ($months === null) {
            return;
        }
        $before = now()->subMonths((int) $months);
        Challenge::query()->where('updated_at', '<', $before)
            ->whereNotExists(static fn($acts) => $acts->from('acts')->whereColumn('acts.challenge_id', 'challenges.id')->where('made_at', '>=', $before))
            ->whereNotExists(static fn($groups) => $groups->from('groups')->leftJoin('cars', 'cars.group_id', '=', 'groups.id')
                ->leftJoin('entries', 'entries.group_id', '=', 'groups.id')->whereColumn('groups.challenge_id', 'challenges.id')
                ->where(static fn($any) => $any->where('groups.updated_at', '>=', $before)->orWhere('cars.updated_at', '>=', $before)->orWhere('entries.created_at', '>=', $before)))
            ->delete();
    }
}

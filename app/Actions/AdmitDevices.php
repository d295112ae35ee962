<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\JoinCode;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Skivo\Core\People\DeviceRole;

/** Lets devices without an account take part, and cuts them off. */
final class AdmitDevices
{
    /** The code by which the tablets of all groups join; the one that holds, where there is one. */
    public function openForClass(Challenge $challenge): JoinCode
    {
        return DB::transaction(static function () use ($challenge): JoinCode {
            Challenge::query()->whereKey($challenge->id)->lock(Lock::ROW)->firstOrFail();

            return $challenge->joinCodes()
                ->where('role', DeviceRole::Group)
                ->whereNull('group_id')
                ->where('expires_at', '>', now()->addHour())
                ->first()
                ?? $challenge->joinCodes()->create(
                    ['role' => DeviceRole::Group, 'code' => JoinCode::draw(), 'expires_at' => now()->addDays(JoinCode::CLASS_DAYS)],
                );
        });
    }

    /** A code by which helpers, or the devices of one group, can join for a while. */
    public function openJoining(Challenge $challenge, ?Group $group): JoinCode
    {
        return DB::transaction(static fn(): JoinCode => $challenge->joinCodes()->create([
            'role' => $group === null ? DeviceRole::Log : DeviceRole::Group,
            'group_id' => $group?->id,
            'code' => JoinCode::draw(),
            'expires_at' => now()->addMinutes(JoinCode::MINUTES),
        ]));
    }

    public function closeJoining(JoinCode $code): void
    {
        DB::transaction(static fn(): ?bool => $code->delete());
    }

    /**
     * @param bool $mayWait whether it asks to be let in where the group has a tablet already
     *
     * @return array{Device, string} with its token, which is not kept
     */
    public function admit(Challenge $challenge, DeviceRole $role, string $name, ?Group $group = null, bool $mayWait = false): array
    {
        return DB::transaction(static function () use ($challenge, $role, $name, $group, $mayWait): array {
            if ($group !== null) {
                Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            }
            $isTaken = $group !== null && $mayWait
                && Device::query()->where('group_id', $group->id)
                    ->where('role', DeviceRole::Group)
                    ->where('is_waiting', false)
                    ->whereNull('revoked_at')
                    ->exists();

            return self::join($challenge, $role, $name, $group, $isTaken);
        });
    }

    /**
     * Joins a device to a challenge, whoever else is there.
     *
     * @return array{Device, string} with its token, which nobody can find out again
     */
    public static function join(Challenge $challenge, DeviceRole $role, string $name, ?Group $group = null, bool $isWaiting = false): array
    {
        $token = Str::random(40);
        $device = new Device(
            ['role' => $role, 'group_id' => $group?->id, 'name' => $name, 'token_hash' => Device::hash($token), 'is_waiting' => $isWaiting],
        );
        $device->challenge()->associate($challenge);
        $device->save();

        return [$device, $token];
    }

    public function cutOff(Device $device): void
    {
        DB::transaction(static fn(): bool => $device->update(['revoked_at' => now()]));
    }
}

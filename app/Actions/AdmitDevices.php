<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\JoinCode;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\DeviceRole;

/** Lets devices without an account take part, and cuts them off. */
final class AdmitDevices
{
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

    /** @return array{Device, string} with its token, which is not kept */
    public function admit(Challenge $challenge, DeviceRole $role, string $name, ?Group $group = null): array
    {
        return DB::transaction(static fn(): array => Device::join($challenge, $role, $name, $group));
    }

    public function cutOff(Device $device): void
    {
        DB::transaction(static fn(): bool => $device->update(['revoked_at' => now()]));
    }
}

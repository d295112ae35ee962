<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\JoinCode;
use App\Reading\Addresses;
use App\Reading\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Skivo\Core\Challenge\DeviceRole;

/** The tablets, boards and instruments of a challenge: letting them in, and cutting them off. */
final class DeviceController
{
    public function index(Request $request, Challenge $challenge): View
    {
        return view('devices.index', [
            'addresses' => Addresses::forTablets($request->getSchemeAndHttpHost()),
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'codes' => $challenge->joinCodes()->where('expires_at', '>', now())->with('group')->get(),
            'devices' => $challenge->devices()->whereNull('revoked_at')->with('group')->get(),
        ]);
    }

    /** Opens joining: a code for helpers, or for one group. */
    public function openJoining(Request $request, Challenge $challenge): RedirectResponse
    {
        $request->validate([
            'for' => ['required', 'string', 'max:20'],
        ], ['for.*' => 'Choose who is to join.']);
        $for = $request->string('for')->toString();
        $group = $for === 'log' ? null : $challenge->groups()->findOrFail((int) $for);
        DB::transaction(static fn() => $challenge->joinCodes()->create([
            'role' => $group === null ? DeviceRole::Log : DeviceRole::Group,
            'group_id' => $group?->id,
            'code' => JoinCode::draw(),
            'expires_at' => now()->addMinutes(JoinCode::MINUTES),
        ]));

        return redirect()->route('devices.index', $challenge)->with('status', $group === null ? 'A helper can join now.' : "{$group->name} can join now.");
    }

    public function closeJoining(Challenge $challenge, JoinCode $joinCode): RedirectResponse
    {
        DB::transaction(static fn() => $joinCode->delete());

        return redirect()->route('devices.index', $challenge)->with('status', 'That code holds no longer. Who has joined with it stays in.');
    }

    /** A board or an instrument, whose token is shown once. */
    public function store(Request $request, Challenge $challenge): RedirectResponse
    {
        $request->validate([
            'role' => ['required', Rule::in([DeviceRole::Board->value, DeviceRole::Instrument->value])],
            'name' => ['nullable', 'string', 'max:40'],
        ], ['name.*' => 'A name can have 40 letters at most.']);
        $role = DeviceRole::from($request->string('role')->toString());
        $name = $request->input('name');
        [$device, $token] = DB::transaction(static fn(): array => Device::join($challenge, $role, is_string($name) ? $name : ucfirst($role->label())));

        return redirect()->route('devices.index', $challenge)->with('made', [$device->id, $token])->with('status', $role === DeviceRole::Board ? 'The board has its link.' : 'The instrument has its token.');
    }

    public function destroy(Challenge $challenge, Device $device): RedirectResponse
    {
        DB::transaction(static fn() => $device->update(['revoked_at' => now()]));

        return redirect()->route('devices.index', $challenge)->with('status', "{$device->name} is cut off. What it logged stays on record.");
    }

    public function lock(Request $request, Challenge $challenge): RedirectResponse
    {
        $isLocked = $request->boolean('locked');
        DB::transaction(static fn() => $challenge->update(['groups_are_locked' => $isLocked]));

        return redirect()->route('devices.index', $challenge)->with('status', $isLocked ? 'Groups can look, and change nothing.' : 'Groups can change their own car and runs again.');
    }
}

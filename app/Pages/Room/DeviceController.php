<?php

declare(strict_types=1);

namespace App\Pages\Room;

use App\Actions\AdmitDevices;
use App\Actions\ChangeChallenge;
use App\Language\DesignWords;
use App\Language\Label;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\JoinCode;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Skivo\Core\People\DeviceRole;

/** The tablets, boards and instruments of a challenge: letting them in, and cutting them off. */
final class DeviceController
{
    public function index(Request $request, Challenge $challenge): View
    {
        return view('room.devices', [
            'addresses' => Addresses::forTablets($request->getSchemeAndHttpHost()),
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            // A code lets in whoever has it: who only looks on has no use for one.
            'codes' => Gate::allows('update', $challenge)
                ? $challenge->joinCodes()->where('expires_at', '>', now())->with('group')->get()
                : collect(),
            'devices' => $challenge->devices()->whereNull('revoked_at')->with('group')->get(),
        ]);
    }

    /** Opens joining: a code for helpers, or for one group. */
    public function openJoining(Request $request, Challenge $challenge, AdmitDevices $devices): RedirectResponse
    {
        $request->validate(
            [
                'for' => ['required', 'string', 'max:20'],
            ],
            ['for.*' => Text::of('device.done.choose_who_is_to_join')],
        );
        $for = $request->string('for')->toString();
        if ($for === 'class') {
            $devices->openForClass($challenge);

            return redirect()->route('devices.index', $challenge)->with('status', Text::of('device.done.all_groups_can_join_now'));
        }
        $group = $for === 'log' ? null : $challenge->teams()->findOrFail((int) $for);
        $devices->openJoining($challenge, $group);

        return redirect()->route('devices.index', $challenge)->with(
            'status',
            $group === null
                ? Text::of('device.done.a_helper_can_join_now')
                : Text::of('device.done.can_join_now', ['group' => $group->name]),
        );
    }

    /** A card for each group's table: a code to scan that names the group already. */
    public function cards(Request $request, Challenge $challenge, AdmitDevices $devices): View
    {
        return view('room.cards', [
            'builds' => new DesignWords(ClassPlan::of($challenge)),
            'challenge' => $challenge,
            'record' => ClassRecord::of($challenge),
            'addresses' => Addresses::forTablets($request->getSchemeAndHttpHost()),
            'code' => $devices->openForClass($challenge),
        ]);
    }

    public function closeJoining(Challenge $challenge, JoinCode $joinCode, AdmitDevices $devices): RedirectResponse
    {
        $devices->closeJoining($joinCode);

        return redirect()->route('devices.index', $challenge)->with('status', Text::of('device.done.that_code_holds_no_longer_who'));
    }

    /** A board or an instrument, whose token is shown once. */
    public function store(Request $request, Challenge $challenge, AdmitDevices $devices): RedirectResponse
    {
        $request->validate(
            [
                'role' => ['required', Rule::in([DeviceRole::Board->value, DeviceRole::Instrument->value])],
                'name' => ['nullable', 'string', 'max:40'],
            ],
            ['name.*' => Text::of('device.done.a_name_can_have_40_letters')],
        );
        $role = DeviceRole::from($request->string('role')->toString());
        $name = $request->input('name');
        [$device, $token] = $devices->admit($challenge, $role, is_string($name) ? $name : Label::title($role));

        return redirect()->route('devices.index', $challenge)->with('made', [$device->id, $token])->with(
            'status',
            $role === DeviceRole::Board
                ? Text::of('device.done.the_board_has_its_link')
                : Text::of('device.done.the_instrument_has_its_token'),
        );
    }

    public function destroy(Challenge $challenge, Device $device, AdmitDevices $devices): RedirectResponse
    {
        $devices->cutOff($device);

        return redirect()->route('devices.index', $challenge)->with(
            'status',
            Text::of('device.done.is_cut_off_what_it_logged', ['device' => $device->name]),
        );
    }

    public function lock(Request $request, Challenge $challenge, ChangeChallenge $change): RedirectResponse
    {
        $isLocked = $request->boolean('locked');
        $change->lockGroups($challenge, $isLocked);

        return redirect()->route('devices.index', $challenge)->with(
            'status',
            $isLocked
                ? Text::of('device.done.groups_can_look_and_change_nothing')
                : Text::of('device.done.groups_can_change_their_own_car'),
        );
    }
}

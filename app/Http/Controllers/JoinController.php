<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdmitDevices;
use App\Models\Device;
use App\Models\JoinCode;
use App\Presenters\Text;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Skivo\Core\Challenge\DeviceRole;

/** A tablet joins a challenge with a code. */
final class JoinController
{
    public function create(?string $code = null): View
    {
        return view('devices.join', ['code' => $code]);
    }

    public function store(Request $request, AdmitDevices $devices): RedirectResponse
    {
        $request->validate(
            ['code' => ['required', 'string', 'max:20'], 'name' => ['nullable', 'string', 'max:40']],
            [
                'code.*' => Text::of('device.done.type_the_code_that_the_adult'),
                'name.*' => Text::of('device.done.a_name_can_have_40_letters'),
            ],
        );
        $code = JoinCode::holding($request->string('code')->toString());
        if ($code === null) {
            return redirect()->route('join')->withInput()->withErrors(['code' => Text::of('device.done.this_code_does_not_hold_or')]);
        }
        $name = $request->input('name');
        $name = is_string($name)
            ? $name
            : (
                $code->group->name ?? Text::of(
                    'device.done.helper',
                    ['count' => $code->challenge->devices()->where('role', DeviceRole::Log)->count() + 1],
                )
            );
        [, $token] = $devices->admit($code->challenge, $code->role, mb_strimwidth($name, 0, 80), $code->group);

        return redirect()->route('join.home')->withCookie(
            cookie(Device::COOKIE, $token, 60 * 24 * 14, null, null, null, true, false, 'lax'),
        );
    }

    /** Where a device that has joined belongs. */
    public function home(Request $request): RedirectResponse
    {
        $device = $request->user('device');

        return match (true) {
            !$device instanceof Device => redirect()->route('join'),
            $device->role === DeviceRole::Group => redirect()->route('groups.own', [$device->challenge_id, $device->group_id]),
            default => redirect()->route('runs.show', $device->challenge_id),
        };
    }
}

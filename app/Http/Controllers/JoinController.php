<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Device;
use App\Models\JoinCode;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\DeviceRole;

/** A tablet joins a challenge with a code. */
final class JoinController
{
    public function create(?string $code = null): View
    {
        return view('devices.join', ['code' => $code]);
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['code' => ['required', 'string', 'max:20'], 'name' => ['nullable', 'string', 'max:40']],
            ['code.*' => 'Type the code that the adult shows you.', 'name.*' => 'A name can have 40 letters at most.'],
        );
        $code = JoinCode::holding($request->string('code')->toString());
        if ($code === null) {
            return redirect()->route('join')->withInput()->withErrors(['code' => 'This code does not hold, or holds no longer. Ask for a new one.']);
        }
        $name = $request->input('name');
        $name = is_string($name) ? $name : ($code->group->name ?? 'Helper ' . ($code->challenge->devices()->where('role', DeviceRole::Log)->count() + 1));
        [, $token] = DB::transaction(static fn(): array => Device::join($code->challenge, $code->role, mb_strimwidth($name, 0, 80), $code->group));

        return redirect()->route('join.home')->withCookie(cookie(Device::COOKIE, $token, 60 * 24 * 14, null, null, null, true, false, 'lax'));
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

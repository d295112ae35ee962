<?php

declare(strict_types=1);

namespace App\Pages\Room;

use App\Actions\AdmitDevices;
use App\Language\Text;
use App\Models\Device;
use App\Models\GroupPlace;
use App\Models\JoinCode;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Skivo\Core\Notebook\Station;
use Skivo\Core\People\DeviceRole;

/** A tablet joins a challenge with a code. */
final class JoinController
{
    /** Wrong codes that one address may try in a minute: a class mistypes fewer. */
    private const MOST_WRONG = 60;

    /** Where a code is typed; with the class's own code, the marks of its groups to tap. A card names its group along. */
    public function create(Request $request, ?string $code = null): View|RedirectResponse
    {
        // A tablet that has joined is where it belongs.
        if ($code === null && $request->user('device') instanceof Device && !$request->boolean('again')) {
            return redirect()->route('join.home');
        }
        $held = $code === null ? null : self::holding($request, $code);
        if ($held === null || $held->role !== DeviceRole::Group || $held->group !== null) {
            $cookie = $request->cookie(Device::COOKIE);
            $formerly = Device::formerly(is_string($cookie) ? $cookie : null);

            $another = $formerly?->group_id === null ? null : Device::query()->where('group_id', $formerly->group_id)
                ->whereNull('revoked_at')->where('is_waiting', false)->exists();

            return view('room.join', ['code' => $code, 'formerly' => $formerly, 'another' => $another]);
        }
        $groups = $held->challenge->teams()->get();
        $named = $groups->firstWhere('id', $request->integer('group'));

        return view('room.pick', [
            'challenge' => $held->challenge,
            'code' => $held->code,
            'groups' => $named === null ? $groups : collect([$named]),
            'taken' => $held->challenge->devices()
                ->where('role', DeviceRole::Group)
                ->where('is_waiting', false)
                ->whereNull('revoked_at')
                ->pluck('group_id')
                ->all(),
        ]);
    }

    /** A tablet picks its group's mark; where that has a tablet already, it asks to be let in. */
    public function pick(Request $request, AdmitDevices $devices): RedirectResponse
    {
        $code = self::holding($request, $request->string('code')->toString());
        if ($code === null || $code->role !== DeviceRole::Group) {
            return redirect()->route('join')->withErrors(['code' => Text::of('device.done.this_code_does_not_hold_or')]);
        }
        $group = $code->challenge->teams()->find($request->integer('group'));
        if ($group === null) {
            return redirect()->route('join.scan', $code->code)->withErrors(['group' => Text::of('path.join.tap_your_mark')]);
        }
        // Known again: the tablet that had this mark goes on where it was.
        $own = Device::withToken(is_string($held = $request->cookie(Device::COOKIE)) ? $held : null);
        if ($own !== null && $own->challenge_id === $code->challenge_id && $own->group_id === $group->id) {
            return redirect()->route('join.home');
        }

        return $this->in($devices->admit($code->challenge, DeviceRole::Group, $group->name, $group, mayWait: true)[1]);
    }

    /** A code that holds; whoever tries many wrong ones waits, whatever is tried next. */
    private static function holding(Request $request, string $code): ?JoinCode
    {
        $key = 'wrong-code|' . $request->ip();
        abort_if(RateLimiter::tooManyAttempts($key, self::MOST_WRONG), 429);
        $held = JoinCode::holding($code);
        if ($held === null) {
            RateLimiter::hit($key);
        }

        return $held;
    }

    private function in(string $token): RedirectResponse
    {
        return redirect()->route('join.home')->withCookie(
            cookie(Device::COOKIE, $token, 60 * 24 * 14, null, null, null, true, false, 'lax'),
        );
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
        $code = self::holding($request, $request->string('code')->toString());
        if ($code === null) {
            return redirect()->route('join')->withInput()->withErrors(['code' => Text::of('device.done.this_code_does_not_hold_or')]);
        }
        if ($code->role === DeviceRole::Group && $code->group === null) {
            return redirect()->route('join.scan', $code->code);
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

        return $this->in($token);
    }

    /** The house's door: a tablet that joined goes where it belongs, whoever has an account to their challenges. */
    public function start(Request $request): RedirectResponse
    {
        return redirect()->route($request->user('device') instanceof Device ? 'join.home' : 'challenges.index');
    }

    /** Where a device that has joined belongs. */
    public function home(Request $request): View|RedirectResponse
    {
        $device = $request->user('device');

        return match (true) {
            !$device instanceof Device => redirect()->route('join'),
            $device->is_waiting => view('room.waiting', ['challenge' => $device->challenge, 'group' => $device->group]),
            $device->role === DeviceRole::Group => redirect()->route(...self::station($device)),
            default => redirect()->route('runs.show', $device->challenge_id),
        };
    }

    /** @return array{string, list<mixed>} the route of the station at which the device's group stands */
    private static function station(Device $device): array
    {
        $station = GroupPlace::query()->find($device->group_id)->station ?? Station::Idea;

        return ['path.show', [$device->challenge_id, $device->group_id, $station]];
    }
}

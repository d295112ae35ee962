@php
    use Illuminate\Support\Facades\Gate;
    use Skivo\Core\People\DeviceRole;
    [$madeId, $token] = session('made', [null, null]);
    $reached = $addresses[0] ?? null;
    $at = fn (string $path) => ($reached ?? '') . $path;
@endphp
<x-layout
    :title="Text::of('device.index.tablets_and_the_board', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in"><div class="prose"><h2>{{ Text::of('device.index.tablets_and_the_board_2') }}</h2>
        @if ($reached !== null)
            <p class="mt-1">
                {!! Text::html('device.index.a_tablet_on_the_same_network', [
                    'reached' => preg_replace('~^https?://~', '', $reached),
                    'minutes' => intdiv(\App\Models\JoinCode::MINUTES, 60),
                ]) !!}
            </p>
            @if (count($addresses) > 1)<p class="small mt-1">
                {!! Text::html('device.index.this_machine_has_other_addresses_too', [
                    'addresses' => implode(', ', array_map(fn ($each) => preg_replace('~^https?://~', '', $each) . '/join', array_slice($addresses, 1, 4))),
                ]) !!}
            </p>@endif
        @else
            <x-tablets-command />
        @endif
    </div></div>
    @can('update', $challenge)
    <section class="form-part">
        <h2>{{ Text::of('device.index.let_in') }}</h2>
        <div class="grid gap-4">
            <form method="post" action="{{ route('devices.open', $challenge) }}" class="flex flex-wrap gap-3 items-end">
                @csrf
                <div class="field"><label for="f-for">{{ Text::of('device.index.who_is_to_join') }}</label>
                    <select id="f-for" name="for" class="input"><option value="class">{{ Text::of('device.index.all_groups_one_code') }}</option><option
                        value="log">
                            {{ Text::of('device.index.a_helper_logs_the_runs_of') }}</option>@foreach ($record->teams() as $group)
                        <option value="{{ $group->id }}">
                            {{ Text::of('device.index.its_own_car_and_runs', ['group' => \Illuminate\Support\Str::limit($group->name, 40)]) }}
                        </option>@endforeach</select>
                </div>
                <button @class(['button', 'do' => $codes->isEmpty()])>{{ Text::of('device.index.open_joining') }}</button>
                <a class="button" href="{{ route('devices.cards', $challenge) }}">{{ Text::of('device.cards.table_cards') }}</a>
                <a class="button" href="{{ route('room.show', $challenge) }}">{{ Text::of('device.index.the_room') }}</a>
            </form>
            @error('for')<p class="error">{{ $message }}</p>@enderror
            <div class="codes">
                @foreach ($codes as $code)
                    <div class="code">
                        <div
                            data-qr="{{ $reached === null ? route('join.scan', $code->code) : $at(route('join.scan', $code->code, false)) }}"
                            class="qr" aria-hidden="true">
                        </div>
                        <div>
                            <p class="code-letters num">{{ substr($code->code, 0, 3) }} {{ substr($code->code, 3) }}</p>
                            <p>{{ $code->role === DeviceRole::Group && $code->group === null ? Text::of('device.index.all_groups')
                                : ($code->group === null ? Text::of('device.index.helper') : $code->group->name) }}</p>
                            <p class="small">{!! Text::html('device.index.until', ['at' => Moment::of($code->expires_at)]) !!}</p>
                            <form method="post" action="{{ route('devices.close', [$challenge, $code]) }}">@csrf @method('delete')<button
                                class="button plain -ml-3"
                                aria-label="{{ Text::of('device.index.close_joining_with',
                                    ['code' => $code->code]) }}">{{ Text::of('device.index.close') }}</button>
                            </form>
                        </div>
                    </div>
                @endforeach
            </div>
        </div>
    </section>
    @endcan
    <section class="form-part">
        <h2>{{ Text::of('device.index.in_now') }}</h2>
        <div class="grid gap-4">
            @php($joined = $devices->whereNotNull('group_id')->groupBy('group_id'))
            @if ($record->groups->isNotEmpty())<div class="start-strip"><ul class="start-boxes">@foreach ($record->teams() as $group)
                @php($tablets = $joined->get($group->id, collect()))
                <li @class(['start-box', 'is-in' => $tablets->contains('is_waiting', false)])>{{ Glyph::of($group->mark) }}<bdi>{{ $group->name }}</bdi>
                    <span class="small">{{ $tablets->isEmpty() ? Text::of('device.index.free_box') : ($tablets->contains('is_waiting', false)
                        ? Text::of('device.index.in_its_box') : Text::of('device.index.waits_at_its_box')) }}</span></li>@endforeach</ul></div>
            @elseif ($devices->isEmpty())<p>{{ Text::of('device.index.no_device_has_joined') }}</p>@endif
            <ul class="devices">
                @foreach ($devices as $device)
                    <li>
                        <span><bdi>{{ $device->name }}</bdi>
                        @if ($device->is_waiting && Gate::allows('update', $challenge))
                        <form method="post" action="{{ route('room.let-in', [$challenge, $device]) }}" class="inline">@csrf
                            @method('put')
                            <button class="button do"
                                aria-label="{{ Text::of('room.allow_label', ['group' => $device->group?->name]) }}">{{ Text::of('room.allow') }}</button>
                        </form>@endif
                        <span class="small">{{ $device->role === DeviceRole::Group
                            ? Text::of('device.index.group', ['group' => $device->group?->name])
                            : Label::of($device->role) }}{{ $device->seen_at === null ? Text::of('device.index.not_seen_yet')
                            : '' }}@if ($device->seen_at !== null){!! Text::html('device.index.seen',
                            ['at' => Moment::of($device->seen_at)]) !!}@endif</span></span>
                        @if ($device->id === $madeId)
                            <span class="made">@if ($device->role === DeviceRole::Board)<a
                                href="{{ route('board', $token) }}">{{ $reached === null ? route('board', $token)
                                : $at(route('board', $token, false)) }}</a>@else<span class="num">{{ $token }}</span>@endif
                            <span class="small">{{ Text::of('device.index.shown_this_once_keep_it_or') }}</span></span>
                        @endif
                        @can('update', $challenge)<form method="post" action="{{ route('devices.destroy', [$challenge, $device]) }}">@csrf
                        @method('delete')<button class="button plain"
                            aria-label="{{ Text::of('device.index.cut_off',
                            ['device' => $device->name]) }}">{{ Text::of('device.index.cut_off_2') }}</button>
                        </form>@endcan
                    </li>
                @endforeach
            </ul>
            @can('update', $challenge)<form method="post" action="{{ route('devices.lock', $challenge) }}">@csrf @method('put')
                <input type="hidden" name="locked" value="{{ $challenge->groups_are_locked ? '0' : '1' }}"><button
                    class="button">{{ $challenge->groups_are_locked ? Text::of('device.index.let_groups_change_their_own_again')
                    : Text::of('device.index.lock_groups_look_change_nothing') }}</button>
            </form>@endcan
        </div>
    </section>
    @can('update', $challenge)
    <section class="form-part">
        <h2>{{ Text::of('device.index.board_and_instruments') }}</h2>
        <div class="flex flex-wrap gap-4">
            <form method="post" action="{{ route('devices.store', $challenge) }}">@csrf
                <input type="hidden" name="role" value="board"><button class="button">{{ Text::of('device.index.make_a_link_for_the_board') }}</button>
            </form>
            <form method="post" action="{{ route('devices.store', $challenge) }}" class="flex flex-wrap gap-3">@csrf
                <input type="hidden" name="role" value="instrument">
                <input
                    class="input" name="name" aria-label="{{ Text::of('device.index.name_of_the_instrument') }}"
                    placeholder="{{ Text::of('device.index.such_as_gate_lane_1') }}" maxlength="40">
                <button class="button">{{ Text::of('device.index.make_a_token') }}</button></form>
        </div>
    </section>
    @endcan
</x-layout>

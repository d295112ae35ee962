@php
    use Skivo\Core\Challenge\DeviceRole;
    [$madeId, $token] = session('made', [null, null]);
    $address = route('join');
@endphp
<x-layout :title="'Tablets and the board · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in"><div class="prose"><h2>Tablets and the board</h2><p class="small mt-1">A tablet opens <span class="num">{{ preg_replace('~^https?://~', '', $address) }}</span> and types a code, or scans it. It needs no account. Codes hold for {{ intdiv(\App\Models\JoinCode::MINUTES, 60) }} hours.</p></div></div>
    <section class="form-part">
        <h2>Let in</h2>
        <div class="grid gap-4">
            <form method="post" action="{{ route('devices.open', $challenge) }}" class="flex flex-wrap gap-3 items-end">
                @csrf
                <div class="field"><label for="f-for">Who is to join?</label>
                    <select id="f-for" name="for" class="input"><option value="log">a helper: logs the runs of all groups</option>@foreach ($record->groups as $group)<option value="{{ $group->id }}">{{ \Illuminate\Support\Str::limit($group->name, 40) }}: its own car and runs</option>@endforeach</select>
                </div>
                <button @class(['button', 'do' => $codes->isEmpty()])>Open joining</button>
            </form>
            @error('for')<p class="error">{{ $message }}</p>@enderror
            <div class="codes">
                @foreach ($codes as $code)
                    <div class="code">
                        <div data-qr="{{ route('join.scan', $code->code) }}" class="qr" aria-hidden="true"></div>
                        <div>
                            <p class="code-letters num">{{ substr($code->code, 0, 3) }} {{ substr($code->code, 3) }}</p>
                            <p>{{ $code->group === null ? 'helper' : $code->group->name }}</p>
                            <p class="small">until <x-moment :at="$code->expires_at" /></p>
                            <form method="post" action="{{ route('devices.close', [$challenge, $code]) }}">@csrf @method('delete')<button class="button plain -ml-3" aria-label="Close joining with {{ $code->code }}">Close</button></form>
                        </div>
                    </div>
                @endforeach
            </div>
        </div>
    </section>
    <section class="form-part">
        <h2>In now</h2>
        <div class="grid gap-4">
            @if ($devices->isEmpty())<p>No device has joined.</p>@endif
            <ul class="devices">
                @foreach ($devices as $device)
                    <li>
                        <span><bdi>{{ $device->name }}</bdi> <span class="small">{{ $device->role === DeviceRole::Group ? 'group ' . $device->group?->name : $device->role->label() }}{{ $device->seen_at === null ? ', not seen yet' : '' }}@if ($device->seen_at !== null), seen <x-moment :at="$device->seen_at" />@endif</span></span>
                        @if ($device->id === $madeId)
                            <span class="made">@if ($device->role === DeviceRole::Board)<a href="{{ route('board', $token) }}">{{ route('board', $token) }}</a>@else<span class="num">{{ $token }}</span>@endif <span class="small">shown this once: keep it, or make another</span></span>
                        @endif
                        <form method="post" action="{{ route('devices.destroy', [$challenge, $device]) }}">@csrf @method('delete')<button class="button plain" aria-label="Cut off {{ $device->name }}">Cut off</button></form>
                    </li>
                @endforeach
            </ul>
            <form method="post" action="{{ route('devices.lock', $challenge) }}">@csrf @method('put')<input type="hidden" name="locked" value="{{ $challenge->groups_are_locked ? '0' : '1' }}"><button class="button">{{ $challenge->groups_are_locked ? 'Let groups change their own again' : 'Lock groups: look, change nothing' }}</button></form>
        </div>
    </section>
    <section class="form-part">
        <h2>Board and instruments</h2>
        <div class="flex flex-wrap gap-4">
            <form method="post" action="{{ route('devices.store', $challenge) }}">@csrf<input type="hidden" name="role" value="board"><button class="button">Make a link for the board</button></form>
            <form method="post" action="{{ route('devices.store', $challenge) }}" class="flex gap-3">@csrf<input type="hidden" name="role" value="instrument"><input class="input" name="name" aria-label="Name of the instrument" placeholder="such as gate, lane 1" maxlength="40"><button class="button">Make a token</button></form>
        </div>
    </section>
</x-layout>

@php
    use Skivo\Core\Challenge\DeviceRole;
    [$madeId, $token] = session('made', [null, null]);
    $reached = $addresses[0] ?? null;
    $at = fn (string $path) => ($reached ?? '') . $path;
@endphp
<x-layout :title="'Tablets and the board · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in"><div class="prose"><h2>Tablets and the board</h2>
        @if ($reached !== null)
            <p class="mt-1">A tablet on the same network opens <strong class="num">{{ preg_replace('~^https?://~', '', $reached) }}/join</strong> and types a code, or scans it. It needs no account. Codes hold for {{ intdiv(\App\Models\JoinCode::MINUTES, 60) }} hours.</p>
            @if (count($addresses) > 1)<p class="small mt-1">This machine has other addresses, too; if that one does not open, try <span class="num">{{ implode(', ', array_map(fn ($each) => preg_replace('~^https?://~', '', $each) . '/join', array_slice($addresses, 1, 4))) }}</span>.</p>@endif
        @else
            <p class="caution"><strong>Tablets can’t reach Skivo yet:</strong> it serves this machine alone. Start it again with <span class="num">bin/skivo start --host 0.0.0.0</span> and this page shows the address they open. Whoever is on the same network can then reach the sign-in page, so use a network that you trust.</p>
        @endif
    </div></div>
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
                        <div data-qr="{{ $reached === null ? route('join.scan', $code->code) : $at(route('join.scan', $code->code, false)) }}" class="qr" aria-hidden="true"></div>
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
                            <span class="made">@if ($device->role === DeviceRole::Board)<a href="{{ route('board', $token) }}">{{ $reached === null ? route('board', $token) : $at(route('board', $token, false)) }}</a>@else<span class="num">{{ $token }}</span>@endif <span class="small">shown this once: keep it, or make another</span></span>
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

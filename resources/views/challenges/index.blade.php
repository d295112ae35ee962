@php
    use App\Wording\StandingWords;
    use Skivo\Core\Measurement\Scale;
@endphp
<x-layout title="Challenges" line="Set a challenge, record the cars, log the runs, find out what made the difference.">
    <div class="lead-in">
        <p class="small">{{ $list->challenges->count() === 1 ? '1 challenge' : $list->challenges->count() . ' challenges' }}, newest first</p>
        <a class="button do" href="{{ route('challenges.create') }}">Set a challenge</a>
    </div>
    @if ($list->challenges->isEmpty())
        <div class="py-10 prose border-t-[1.5px] border-ink">
            <h2>No challenge yet</h2>
            <p class="mt-2">A challenge is a goal, a lane and a class of groups with their cars. Set one and you can log the first run within a minute.</p>
            <p class="mt-2">Is the class on a sheet already? <a href="{{ route('challenges.create', ['then' => 'sheet']) }}">Set the challenge, then bring the sheet in</a>: groups, cars and runs come with it.</p>
        </div>
    @else
        <div class="challenge-list">
            @foreach ($list->challenges as $challenge)
                @php($groups = $list->groups($challenge))
                @php($max = max([$challenge->lane_length->quantity->si(), ...array_map(fn ($group) => (float) $group['best'], $groups)]) * 1.03)
                <article class="challenge-row">
                    <div class="min-w-0">
                        <h2><a href="{{ route('runs.show', $challenge) }}"><bdi>{{ $challenge->name }}</bdi></a></h2>
                        @if ($challenge->question)<p class="mt-1 [overflow-wrap:anywhere]"><bdi>{{ $challenge->question }}</bdi></p>@endif
                        <p class="small mt-1">{{ StandingWords::rule($challenge) }}</p>
                        <p class="small">{{ count($groups) }} {{ \Illuminate\Support\Str::plural('group', count($groups)) }}, {{ $list->runs($challenge) }} {{ \Illuminate\Support\Str::plural('run', $list->runs($challenge)) }} that count</p>
                    </div>
                    <div class="mini-floor" role="img" aria-label="Each group’s best run on the lane of {{ $challenge->units->show($challenge->lane_length->quantity->si(), Scale::Lane) }}">
                        @php($unit = $challenge->units->perSi(Scale::Lane))
                        @php($step = $max * $unit > 24 ? 5 : 1)
                        <svg aria-hidden="true">
                            @for ($i = $step; $i <= $max * $unit; $i += $step)
                                <line x1="{{ $x = round(100 * $i / $unit / $max, 3) }}%" x2="{{ $x }}%" y1="0" y2="44" class="lane-tick" /><line x1="{{ $x }}%" x2="{{ $x }}%" y1="44" y2="66" class="tape-major" />
                                @if ($step === 5 || $unit < 2 || $i % 5 === 0)<text x="{{ $x }}%" dx="-5" y="60" text-anchor="end" class="tape-whole">{{ $i }} {{ $challenge->units->symbol(Scale::Lane) }}</text>@endif
                            @endfor
                        </svg>
                        @foreach ($groups as $group)
                            @if ($group['best'] !== null)
                                <svg aria-hidden="true"><use href="#mark-{{ $group['mark'] }}" class="mark-{{ explode('-', $group['mark'])[0] }}" x="{{ round(100 * $group['best'] / $max, 2) }}%" y="12" width="20" height="20" transform="translate(-10 0)" /></svg>
                            @endif
                        @endforeach
                    </div>
                </article>
            @endforeach
        </div>
    @endif
    @if ($list->removed->isNotEmpty())
        <details class="disclosure py-4">
            <summary>Removed challenges ({{ $list->removed->count() }})</summary>
            <p class="small py-2">A removed challenge can be put back for {{ \App\Actions\PurgeRemoved::DAYS }} days. Then it is deleted for good, with its groups, cars and runs.</p>
            @foreach ($list->removed as $challenge)
                <div class="flex flex-wrap gap-3 items-center">
                    <bdi>{{ $challenge->name }}</bdi>
                    <form method="post" action="{{ route('challenges.restore', $challenge) }}">@csrf<button class="button plain" aria-label="Put back {{ $challenge->name }}">Put it back</button></form>
                    <details class="disclosure"><summary>Delete for good</summary>
                        <form method="post" action="{{ route('challenges.delete', $challenge) }}">@csrf @method('delete')<button class="button" aria-label="Delete {{ $challenge->name }} for good">Yes, delete it with everything in it</button> <span class="small">Nothing brings it back but a backup.</span></form>
                    </details>
                </div>
            @endforeach
        </details>
    @endif
</x-layout>

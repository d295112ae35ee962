{{-- One heat as two strips of floor: whoever won has rolled to the end, and rolls on into the next. --}}
@props(['reading', 'heat', 'fresh' => null])
@php use App\Pages\Race\RaceWords; @endphp
@php($notBefore = $reading->isNow($heat) ? $reading->notBefore($heat) : null)
<div @class(['heat', 'is-now' => $reading->isNow($heat), 'is-fresh' => $heat->key === $fresh]) id="heat-{{ $heat->key }}">
    @foreach ([[$heat->a, true], [$heat->b, false]] as [$entrant, $isFirst])
        @php($group = $reading->group($entrant))
        @php($isWinner = $heat->winner !== null && $heat->winner === $entrant)
        <div @class(['heat-lane', 'is-winner' => $isWinner, 'is-loser' => $heat->winner !== null && $group !== null && ! $isWinner,
            'is-out' => in_array($entrant, $reading->state->out, true)])>
            @if ($group === null)
                <span class="heat-nobody">{{ RaceWords::comesFrom($reading, $heat, $isFirst) }}</span>
            @else
                <bdi class="heat-name">{{ \Illuminate\Support\Str::limit($group->name, 22) }}</bdi>
                @if ($isWinner)<span class="sr-only">{{ Text::of('race.heat.won') }}</span>@endif
                <span class="heat-track"></span>{{ Glyph::of($group->mark) }}
            @endif
        </div>
    @endforeach
    <p class="heat-note">{{ RaceWords::note($reading, $heat) }}@if ($notBefore !== null).
        {{ Text::of('race.heat.until') }} {{ Moment::clock($notBefore) }}@endif</p>
</div>

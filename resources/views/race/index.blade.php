@php use App\Pages\Race\RaceWords; @endphp
<x-layout
    :title="Text::of('race.index.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="run"
    :line="Text::of('race.index.lead')">
    <h2 class="pt-4">{{ Text::of('race.index.races') }}</h2>
    @if ($races->isEmpty())<p class="pt-1">{{ Text::of('race.index.none') }} @unless ($mayPlan){{ Text::of('race.index.ask_the_educator') }}@endunless</p>@endif
    <ul class="race-list">
        @foreach ($races as $reading)
            <li><a href="{{ route('races.show', [$challenge, $reading->race]) }}"><bdi>{{ RaceWords::rule($reading) }}</bdi></a>
                <span class="small">{{ Moment::of($reading->race->created_at) }}.
                    @if ($reading->state->winner !== null)
                        {{ Text::of('race.index.won_by', ['group' => $reading->name($reading->state->winner)]) }}
                    @else
                        {{ RaceWords::progress($reading) }}
                    @endif
                    ({{ $reading->race->ended_at === null ? Text::of('race.index.is_on') : Text::of('race.index.ended') }})</span></li>
        @endforeach
    </ul>
    @if ($mayPlan && $record->groups->count() >= \Skivo\Core\Race\RacePlan::FEWEST)
        <h2 class="pt-6">{{ Text::of('race.index.set_a_race') }}</h2>
        @include('race.form')
    @endif
</x-layout>

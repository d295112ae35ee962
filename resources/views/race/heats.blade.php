{{-- A knockout as it narrows; all others as what is on, what comes next, and the rounds. --}}
@php
    use App\Pages\Race\RaceWords;
    use Skivo\Core\Race\RaceKind;
    $kind = $reading->race->kind;
    $fresh = $reading->freshHeat();
@endphp
@if ($kind === RaceKind::Knockout)
    <div class="heats-tree" tabindex="0" role="group" aria-label="{{ Text::of('race.heats.tree') }}">
        @include('race.tree', ['round' => $reading->rounds(), 'place' => 1])</div>
    @if ($reading->byes() !== [])
        <p class="small pt-3">{!! Text::html('race.heats.byes', [
            'groups' => \App\Language\Lists::and($reading->byes(), 30)]) !!}</p>@endif
@elseif ($kind === RaceKind::RoundRobin)
    <ol class="heats-row">@foreach ([...$reading->state->now, ...array_slice($reading->state->next, 0, 5)] as $heat)
        <li><x-heat :reading="$reading" :heat="$heat" :fresh="$fresh" /></li>@endforeach</ol>
    <details class="disclosure pt-3"><summary>{{ Text::of('race.show.later_rounds') }}</summary>
        <div class="heats-rounds">
            @for ($round = 1; $round <= $reading->rounds(); $round++)
                <section><h3>{{ Text::of('race.heat.round', ['round' => $round]) }}</h3>
                    <ul>@foreach ($reading->round($round) as $heat)<li>{{ RaceWords::line($reading, $heat) }}</li>@endforeach</ul></section>
            @endfor
        </div></details>
@else
    <ol class="heats-row">@foreach ($reading->state->heats as $heat)
        <li><x-heat :reading="$reading" :heat="$heat" :fresh="$fresh" /></li>@endforeach</ol>
@endif

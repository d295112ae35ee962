@php use App\Pages\Race\RaceWords; @endphp
<h2>{{ RaceWords::rule($reading) }}</h2>
<p>{{ RaceWords::order($reading) }} {{ RaceWords::progress($reading) }}@if ($reading->race->ended_at !== null) {{ Text::of('race.show.has_ended') }}@endif</p>
@if ($reading->race->events->isNotEmpty())<span hidden data-begun></span>@endif
@if ($reading->race->ended_at !== null)<span hidden data-ended></span>@endif

{{-- How far one more try of a car will go: the one forecast. --}}
@props(['challenge', 'record', 'car'])
@php
    $forces = new \App\Record\ClassForces($record);
    $forecast = $forces->forecast($car);
    $once = $forces->onceMeasured($car);
    $missing = $forces->missing($car);
    $say = new \App\Language\ForecastWords($challenge->units);
@endphp
@if ($forecast !== null)
    <p class="forecast" data-forecast><strong>{{ Text::of('dry_run.forecast.one_more_try') }}</strong> {{ $say->said($forecast) }}.
        @if ($once?->saysWhere() && $once->isNarrowerThan($forecast))<span class="small">{{ $say->onceMeasured($once) }}</span>@endif</p>
@elseif ($missing !== [])
    <p class="forecast small">{{ Text::of('dry_run.forecast.missing', [
        'what' => \App\Language\Lists::and(array_map(fn ($each) => Label::of($each), $missing), 4),
    ]) }}</p>
@endif

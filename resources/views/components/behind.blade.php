{{-- The runs behind a claim. --}}
@props(['challenge', 'cars'])
@php($cars = array_values(array_unique($cars)))
<a class="behind no-print" href="{{ route('runs.index', [$challenge, 'cars' => implode(',', $cars)]) }}">{{ count($cars) === 1
    ? Text::of('findings.behind.its_runs') : Text::of('findings.behind.the_runs_of_these_cars', ['count' => count($cars)]) }}</a>

{{-- The runs behind a claim. --}}
@props(['challenge', 'cars'])
@php($cars = array_values(array_unique($cars)))
<a class="behind no-print" href="{{ route('runs.index', [$challenge, 'cars' => implode(',', $cars)]) }}">{{ count($cars) === 1 ? 'its runs' : 'the runs of these ' . count($cars) . ' cars' }}</a>

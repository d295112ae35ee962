{{-- The one thing that the class waits for. --}}
@props(['challenge', 'record', 'here' => Route::currentRouteName()])
@php($next = new \App\Language\NextThingWords(\App\Record\NextThing::of($record)))
@if ($here === $next->page)<bdi>{{ $next->said }}</bdi>@else<a href="{{ $next->address($challenge) }}"><bdi>{{ $next->said }}</bdi></a>@endif

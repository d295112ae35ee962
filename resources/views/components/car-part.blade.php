{{-- A part of a drawn car, by how well it is known; leads to where it is chosen, where it is drawn as a form. --}}
@props(['step', 'known' => [], 'leads' => false])
@php
    $from = $known[$step->value] ?? null;
@endphp
@if ($leads)
<a @class(['part', "is-{$from?->value}" => $from !== null]) href="{{ is_string($leads) ? $leads : '' }}#{{ $step->value }}" @if ($leads === true)
    data-part="{{ $step->value }}" @endif
    aria-label="{{ Label::of($step) }}: {{ $from === null ? '' : Label::of($from) }}">{{ $slot }}</a>
@else
<g @class(['part', "is-{$from?->value}" => $from !== null])>{{ $slot }}</g>
@endif

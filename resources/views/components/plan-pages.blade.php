@props(['challenge', 'here'])
@php
    $pages = [
        'rules' => ['Rules', route('challenges.edit', $challenge)],
        'materials' => ['Materials', route('materials.show', $challenge)],
        'cuts' => ['Cut sizes', route('cuts.show', $challenge)],
        'timetable' => ['Timetable', route('timetable.show', $challenge)],
        'safety' => ['Safety' . ($challenge->safety_read_at === null ? ' (to read)' : ''), route('safety.show', $challenge)],
        'brief-class' => ['Class sheet', route('brief.show', [$challenge, 'class'])],
        'brief-helpers' => ['Helpers’ sheet', route('brief.show', [$challenge, 'helpers'])],
    ];
@endphp
<nav class="subpages no-print" aria-label="Pages of the plan">
    <ol>@foreach ($pages as $key => [$name, $address])<li><a href="{{ $address }}" @if ($here === $key) aria-current="page" @endif>{{ $name }}</a></li>@endforeach</ol>
</nav>

{{-- The head of every page of a group's own path: its stations, a word to all, and the next thing to do. --}}
@props(['challenge', 'group', 'own', 'words', 'here' => null])
@php
    use Skivo\Core\Notebook\Station;
    $next = $own->path->next();
    $race = \App\Record\RaceReading::current($challenge);
    $inRace = $race === null ? null : \App\Pages\Race\RaceWords::own($race, (string) $group->id);
@endphp
<nav class="stations no-print" data-part="stations" aria-label="{{ Text::of('path.page.stations') }}">
    <ol>@foreach (Station::cases() as $station)
        @php([$isHere, $isOpen, $isDone] = [$station === $here, $own->path->isOpen($station), $own->path->isDone($station)])
        <li @class(['here' => $isHere, 'is-closed' => ! $isOpen, 'is-done' => $isDone])>
            @if ($isHere)<span class="station-mark">{{ Glyph::of($group->mark) }}</span>@endif
            <a href="{{ route('path.show', [$challenge, $group, $station]) }}" @if ($isHere) aria-current="step"
                @endif>{{ Text::of("path.station.{$station->value}") }}
                @if (! $isOpen)<span class="sr-only">({{ Text::of('path.page.is_closed') }})</span>@elseif ($isDone)<span
                    class="sr-only">({{ Text::of('path.page.is_done') }})</span>@endif</a></li>@endforeach</ol>
</nav>
<div data-part="told" class="path-told">
    @if ($challenge->groups_are_locked)<p class="caution" role="status">{{ Text::of('path.page.locked') }}</p>@endif
    @if ($challenge->word_to_all !== null)<p class="told" role="status"><strong>{{ Text::of('path.page.word') }}</strong>
        <bdi>{{ $challenge->word_to_all }}</bdi></p>@endif
    @if ($inRace !== null)<p class="told" role="status"><bdi>{{ $inRace }}</bdi></p>@endif
    @if ($challenge->answer_told_at !== null)<p class="told" role="status">{{ Text::of('path.page.class_answer') }}
        <a class="button" href="{{ route('groups.answer', [$challenge, $group]) }}">{{ Text::of('path.page.see_it') }}</a></p>@endif
</div>
<div data-part="next">
    @if ($here !== null && ! $own->path->isOpen($here))<p class="caution">{{ $words->say('closed') }}</p>@endif
    @if ($here !== $next && $own->path->isOpen($next))<p class="next-thing no-print"><span>{{ $words->next($next) }}</span>
        <a class="button do" href="{{ route('path.show', [$challenge, $group, $next]) }}">{{ Text::of("path.station.{$next->value}") }}</a></p>@endif
</div>

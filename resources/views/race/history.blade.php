@php use App\Pages\Race\RaceWords; @endphp
<h2 id="race-history">{{ Text::of('race.history.heading') }}</h2>
@if ($reading->history() === [])<p class="small">{{ Text::of('race.history.none') }}</p>@endif
<ol class="race-history">
    @foreach ($reading->history() as $event)
        @php($says = RaceWords::said($reading, $event))
        <li @class(['is-undone' => ! $reading->stands($event) && $event->kind !== \Skivo\Core\Race\EventKind::Undone])>
            <span><bdi>{{ $says }}</bdi>
                <span class="small"><bdi>{{ Text::of('race.history.by', ['who' => $event->by()]) }}</bdi> {{ Moment::of($event->made_at) }}
                    @if ($event->kind === \Skivo\Core\Race\EventKind::Undone)
                    @elseif (! $reading->stands($event)) · {{ Text::of('race.history.undone') }}
                    @elseif (! $reading->counts($event)) · {{ Text::of('race.history.waits') }}@endif</span></span>
            @if ($reading->mayBeUndone($event))
                <button class="button plain" form="race" name="do" value="undone:{{ $event->event_id }}"
                    aria-label="{{ $event->kind === \Skivo\Core\Race\EventKind::Undone ? Text::of('race.history.put_back_label', ['what' => $says])
                    : Text::of('race.history.take_back_label', ['what' => $says]) }}">{{ $event->kind === \Skivo\Core\Race\EventKind::Undone
                    ? Text::of('race.history.put_back') : Text::of('race.history.take_back') }}</button>
            @endif
        </li>
    @endforeach
</ol>

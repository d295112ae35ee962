@use('Skivo\Core\Notebook\EntryKind')
@use('Skivo\Core\Notebook\Station')
<x-layout :title="Text::of('room.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in"><div><h2>{{ Text::of('room.heading') }}</h2><p class="small">{{ Text::of('room.lead') }}</p></div>
        <p class="actions">@can('update', $challenge)<a class="button" href="{{ route('devices.cards', $challenge) }}">{{
            Text::of('device.cards.table_cards') }}</a>@endcan
            <a class="button" href="{{ route('devices.index', $challenge) }}">{{ Text::of('frame.layout.tablets_and_the_board') }}</a></p></div>
    <x-errors />
    <div data-room>
    @foreach ($room->asking as $device)
        <form method="post" action="{{ route('room.let-in', [$challenge, $device]) }}" class="told">@csrf @method('put')
            <span><bdi>{{ $device->name }}</bdi> {{ Text::of('room.asking', ['group' => $device->group?->name]) }}</span>
            <button class="button do"
                aria-label="{{ Text::of('room.allow_label', ['group' => $device->group?->name]) }}">{{ Text::of('room.allow') }}</button></form>
    @endforeach
    <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('room.heading') }}">
    <table class="figures-table room-table">
        <thead><tr>@foreach (['group', 'station', 'adult', 'fix', 'guessed', 'runs', 'newest'] as $column)<th scope="col"
            @class(['num' => in_array($column, ['fix', 'runs'], true)])>{{ Text::of("room.{$column}") }}</th>@endforeach</tr></thead>
        <tbody>@foreach ($room->rows as $row)
            @php([$group, $place] = [$row['group'], $row['place']])
            <tr @class(['wants-adult' => $place?->wants_adult_at !== null])>
                <th scope="row"><a class="with-mark"
                    href="{{ route('path.show', [$challenge, $group, $place->station ?? Station::Idea]) }}">{{ Glyph::of($group->mark) }}
                    <bdi>{{ $group->name }}</bdi></a></th>
                <td>@if ($place === null)<span class="small">{{ Text::of('room.no_tablet') }}</span>@else{{ Text::of("path.station.{$place->station->value}") }}
                    <span class="small">{{ Text::of('room.since') }} {{ Moment::of($place->since) }}</span>@endif</td>
                <td>@if ($place?->wants_adult_at !== null)<form method="post" action="{{ route('room.helped', [$challenge, $group]) }}">@csrf @method('put')
                    <strong class="adult">{{ Text::of('room.wants_adult') }}</strong>
                    <button class="button"
                        aria-label="{{ Text::of('room.helped_label', ['group' => $group->name]) }}">{{ Text::of('room.helped') }}</button></form>@endif</td>
                <td class="num">{{ $row['fixes'] === 0 ? '' : $row['fixes'] }}</td>
                <td>{{ $row['hasTriesLeft'] ? Text::of($row['hasGuessed'] ? 'room.yes' : 'room.not_yet') : '' }}</td>
                <td class="num">{{ $row['runs'] }}</td>
                <td><a href="{{ route('path.notebook', [$challenge, $group]) }}" aria-label="{{ Text::of('room.notebook_of', ['group' => $group->name]) }}">
                    @if ($row['newest']?->picture !== null)<img class="room-picture"
                    src="{{ route('path.picture', [$challenge, $group, $row['newest']]) }}" alt="">@elseif ($row['newest']?->sketch() !== null)<span
                    class="room-picture"><x-sketch :sketch="$row['newest']->sketch()" /></span>@else<span
                        class="small">{{ Text::of('room.notebook') }}</span>@endif</a></td>
            </tr>@endforeach</tbody>
    </table></div>
    <section class="form-part" aria-labelledby="pictures-title">
        <h2 id="pictures-title">{{ Text::of('room.pictures') }}</h2>
        <div><p class="small mb-2">{{ Text::of('room.pictures_lead') }}</p>
        @if ($room->pictures->isEmpty())<p>{{ Text::of('room.none') }}</p>@endif
        <ul class="room-pictures">@foreach ($room->pictures as $entry)
            @php($named = ['what' => Text::of("room.{$entry->kind->value}"), 'group' => $entry->group->name])
            <li @class(['is-hidden' => $entry->hidden_at !== null])>
                <p class="with-mark small">{{ Glyph::of($entry->group->mark) }}<bdi>{{ $entry->group->name }}</bdi>
                    @if ($entry->hidden_at !== null)<strong>{{ Text::of('room.is_hidden') }}</strong>@elseif ($entry->looked_at !== null)
                    <span>{{ Text::of('room.is_looked_at') }}</span>@endif</p>
                @if ($entry->picture !== null)<img src="{{ route('path.picture', [$challenge, $entry->group_id, $entry]) }}" alt="{{ $entry->text() }}"
                    loading="lazy">
                @elseif ($entry->sketch() !== null)<x-sketch :sketch="$entry->sketch()" />@endif
                @if ($entry->text() !== '')<p class="small"><bdi>{{ $entry->text() }}</bdi></p>@endif
                <form method="post" action="{{ route('room.look', [$challenge, $entry]) }}" class="actions">@csrf @method('put')
                    <button class="button" name="shown" value="1" aria-label="{{ Text::of('room.show_label', $named) }}">{{ Text::of('room.show') }}</button>
                    <button class="button" name="shown" value="0"
                        aria-label="{{ Text::of('room.hide_label', $named) }}">{{ Text::of('room.hide') }}</button></form>
            </li>@endforeach</ul></div>
    </section>
    @if ($room->closing !== [] || $room->warmUps !== [])
    <section class="form-part" aria-labelledby="answers-title"><h2 id="answers-title">{{ Text::of('room.answers') }}</h2>
        <div class="room-answers">@foreach ($room->closing as $question => $counts)<div><h3>{{ Text::of("path.older.closing.{$question}") }}</h3>
            <ul>@foreach ($counts as $answer => $count)<li><span class="num">{{ $count }} ×</span>
                {{ Text::of("path.closing_answer.{$answer}") }}</li>@endforeach</ul></div>@endforeach
        @foreach ($room->warmUps as $question => $counts)<div><h3>{{ Text::of("path.older.warm_up.{$question}") }}</h3>
            <ul>@foreach ($counts as $answer => $count)<li><span class="num">{{ $count }} ×</span>
                {{ Text::of("path.older.direction.{$answer}") }}</li>@endforeach</ul></div>@endforeach</div>
    </section>
    @endif
    </div>
    <section class="form-part"><h2>{{ Text::of('room.word') }}</h2>
        <form method="post" action="{{ route('room.word', $challenge) }}" class="grid gap-3">@csrf @method('put')
            <x-field name="word" :label="Text::of('room.word')" :value="$challenge->word_to_all" maxlength="200" :hint="Text::of('room.word_hint')" />
            <p class="actions"><button class="button do">{{ Text::of('room.say') }}</button></p></form></section>
    <section class="form-part"><h2>{{ Text::of('room.stations') }}</h2>
        <form method="post" action="{{ route('room.stations', $challenge) }}">@csrf @method('put')
            <div class="ticks">@foreach (Station::cases() as $station)<x-tick :name="'open_' . $station->value"
                :checked="! in_array($station->value, $challenge->closed_stations,
                    true)">{{ Text::of("path.station.{$station->value}") }}</x-tick>@endforeach</div>
            <p class="mt-2"><button class="button">{{ Text::of('room.save_stations') }}</button></p></form></section>
    <section class="form-part"><h2>{{ Text::of('room.closing') }}</h2>
        <form method="post" action="{{ route('room.closing', $challenge) }}">@csrf @method('put')<p class="small mb-2">{{ Text::of('room.closing_lead') }}</p>
            <input type="hidden" name="open" value="{{ $challenge->closing_is_open ? '0' : '1' }}">
            <button class="button">{{ $challenge->closing_is_open ? Text::of('room.close_closing') : Text::of('room.open_closing') }}</button></form></section>
</x-layout>

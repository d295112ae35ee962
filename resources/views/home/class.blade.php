<x-layout :title="Text::of('home.class.title')" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in"><div><h2>{{ Text::of('home.class.heading') }}</h2>
        <p class="small prose mt-1">{{ Text::of('home.class.how') }}</p></div></div>
    <x-errors />
    @include('sharing.link')
    @foreach ($record->groups as $group)
        @php([$own, $comparison] = [$atHome->linksOf($group), $atHome->of($group)])
        <section class="home-group"><h3 class="with-mark">{{ Glyph::of($group->mark) }}<span><bdi>{{ $group->name }}</bdi></span></h3>
            @if ($comparison !== null)<p class="small">{{ Text::of('home.class.mean', $comparison) }}</p>@endif
            <ul class="people">@foreach ($own as $link)
                @foreach ($link->items as $item)<li id="item-{{ $item->id }}">@include('home.item', ['item' => $item])
                    @if ($item->kind === 'photo')<a href="{{ route('home.picture', [$challenge, $item->id]) }}">{{ Text::of('home.class.look') }}</a>@endif
                    @if ($item->accepted_at !== null)<span class="small">{{ Text::of('home.class.at_home') }}</span>@endif
                    <form method="post" action="{{ route('home.judge', [$challenge, $item->id]) }}">@csrf @method('put')
                        @if ($item->accepted_at === null)<button class="button" name="yes" value="1">{{ Text::of('home.class.yes') }}</button>@endif
                        @if ($item->refused_at === null)<button class="button plain" name="yes" value="0">{{ Text::of('home.class.no') }}</button>@endif</form>
                    </li>@endforeach
                <li class="small">{{ $link->isOpen() ? Text::of('home.class.open_until', ['date' => $link->ends_at->isoFormat('D MMMM')])
                    : Text::of('home.class.closed') }}
                    @if ($link->isOpen())<form method="post" action="{{ route('home.revoke', [$challenge, $link->id]) }}">@csrf @method('delete')
                        <button class="button plain">{{ Text::of('sharing.show.revoke') }}</button></form>@endif</li>
            @endforeach</ul>
            @if ($own->every(fn ($link) => $link->items->isEmpty()) && $own->isNotEmpty())<p class="small">{{ Text::of('home.class.none') }}</p>@endif
            <form method="post" action="{{ route('home.link', [$challenge, $group]) }}" class="actions my-2">
                @csrf<input type="hidden" name="of" value="{{ $group->id }}">
                <label>{{ Text::of('home.class.until') }} <input name="until" class="input w-auto"
                    value="{{ Moment::inField((old('of') === (string) $group->id ? old('until') : null) ?? $until->format('Y-m-d')) }}"
                    data-day="date" data-pick="{{ Text::of('frame.field.pick', ['field' => Text::of('home.class.until')]) }}"
                    aria-label="{{ Text::of('home.class.for', ['group' => $group->name]) }}: {{ Text::of('home.class.until') }}"></label>
                <button class="button">{{ Text::of('home.class.for', ['group' => $group->name]) }}</button></form></section>
    @endforeach
</x-layout>

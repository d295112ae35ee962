<x-layout :title="Text::of('path.join.tap_your_mark')" :line="$challenge->name">
    <form method="post" action="{{ route('join.pick') }}" class="py-6">
        @csrf<input type="hidden" name="code" value="{{ $code }}">
        <h2>{{ Text::of('path.join.tap_your_mark') }}</h2>
        @error('group')<p class="error">{{ $message }}</p>@enderror
        @if ($groups->isEmpty())<p class="prose mt-2">{{ Text::of('path.join.no_groups') }}</p>@endif
        <div class="start-strip"><div class="start-boxes">@foreach ($groups as $group)
            <button @class(['start-box', 'is-in' => in_array($group->id, $taken, true)])
                name="group" value="{{ $group->id }}">{{ Glyph::of($group->mark) }}<bdi>{{ $group->name }}</bdi>
                @if (in_array($group->id, $taken, true))<span class="small">{{ Text::of('path.join.taken') }}</span>@endif</button>@endforeach</div></div>
        @if ($taken !== [])<p class="small mt-3">{{ Text::of('path.join.ask') }}</p>@endif
    </form>
</x-layout>

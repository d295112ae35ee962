<x-layout :title="Text::of('path.join.waiting_title')" :line="$challenge->name">
    <div class="py-8 prose" data-again="3">
        <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{{ $group->name }}</span></h2>
        <p class="mt-3">{{ Text::of('path.join.waiting') }}</p>
        <p class="mt-3"><a class="button" href="{{ route('join.home') }}">{{ Text::of('path.page.again') }}</a></p>
    </div>
</x-layout>

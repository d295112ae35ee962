<x-layout :title="Text::of('path.join.not_open')" :line="$challenge->name">
    <div class="py-8 prose" data-again="5"><p>{{ Text::of('path.join.not_open_yet') }}</p>
        <p class="mt-3"><a class="button" href="{{ route('join.home') }}">{{ Text::of('path.page.again') }}</a></p></div>
</x-layout>

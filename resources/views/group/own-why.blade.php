<x-layout :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name">
    <p class="actions mt-3"><a class="button" href="{{ route('groups.own', [$challenge, $group]) }}">{{ Text::of('device.answer.back_to_our_car') }}</a></p>
    <section class="pb-8" data-part="why" aria-labelledby="why">
        <h2 id="why">{{ Text::of('device.why.why_our_car_stopped_where_it_did') }}</h2>
        @if ($works === [])
            <p class="prose mt-2">{{ Text::of('device.why.nothing_to_draw_yet') }}</p>
        @else
            <p class="prose mt-1 mb-4">{{ Text::of('findings.work.on_every_row_the_two_blocks') }}</p>
            <x-own-work :challenge="$challenge" :works="$works" :words="$words" />
        @endif
    </section>
</x-layout>

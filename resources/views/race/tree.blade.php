{{-- One heat of a knockout with the two that lead to it. Byes take no room. --}}
@php
    $heat = $reading->heat($round, $place);
    $before = $round === 1 ? [] : array_values(array_filter([$reading->heat($round - 1, $place * 2 - 1), $reading->heat($round - 1, $place * 2)],
        fn ($each) => ! $reading->isBye($each)));
@endphp
<div class="heats-node">
    @if ($before !== [])
        <div @class(['heats-before', 'is-one' => count($before) === 1])>
            @foreach ([$place * 2 - 1, $place * 2] as $from)
                @unless ($reading->isBye($reading->heat($round - 1, $from)))@include('race.tree', ['round' => $round - 1, 'place' => $from])@endunless
            @endforeach
        </div>
    @endif
    <div class="heats-here round-{{ $round }}"><x-heat :reading="$reading" :heat="$heat" :fresh="$fresh" /></div>
</div>

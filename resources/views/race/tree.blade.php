{{-- One heat of a knockout with the two that lead to it. Byes take no room. --}}
@php
    $heat = $reading->heat($round, $place);
    $before = $reading->before($round, $place);
@endphp
<div class="heats-node">
    @if ($before !== [])
        <div @class(['heats-before', 'is-one' => count($before) === 1])>
            @foreach ($before as [$ofRound, $from])@include('race.tree', ['round' => $ofRound, 'place' => $from])@endforeach
        </div>
    @endif
    <div class="heats-here round-{{ $round }}"><x-heat :reading="$reading" :heat="$heat" :fresh="$fresh" /></div>
</div>

{{-- Read from ten metres: few words, large. --}}
@php
    use App\Wording\GoalWords;
    use App\Wording\Lists;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $names = collect($record->lines)->mapWithKeys(fn ($line) => [$line->standing->entrant->id => \Illuminate\Support\Str::limit($line->group->name, 18)]);
    $last = $record->lastRun();
    $lastGroup = $record->lastGroup();
@endphp
<header class="board-head">
    <h1><bdi>{{ $challenge->name }}</bdi></h1>
    @if ($last !== null && $lastGroup !== null)
        <p class="board-last"><x-mark :mark="$lastGroup->mark" /> <bdi>{{ \Illuminate\Support\Str::limit($lastGroup->name, 24) }}</bdi> <span class="num">{{ $last->void_reason !== null ? 'void' : $units->show($last->distance?->quantity->si() ?? 0.0, Scale::Distance) }}</span></p>
    @endif
</header>
<x-floor :record="$record" :fresh="$last?->id" />
<div class="board-foot">
    @foreach ($challenge->allAwards() as $award)
        @php($standings = $record->standingsFor($award))
        @php($first = array_values(array_filter($standings->places, fn ($place) => $place->rank === 1)))
        <section>
            <h2>{{ GoalWords::award($award, $units) }}</h2>
            @if ($first === [])<p>–</p>
            @else
                <p><strong>{{ Lists::and(array_map(fn ($place) => $names[$place->entrant->id] ?? '', $first), 3) }}</strong> <span class="num">{{ $units->show((float) $first[0]->score, $award->goal->scale()) }}</span></p>
                @if ($standings->tooCloseToLeader() !== [])<p class="board-close">too close to call</p>@endif
            @endif
        </section>
    @endforeach
    <section>
        <h2>Next up</h2>
        <p>{{ Lists::and(array_values(array_filter([...array_map(fn ($standing) => $standing === null ? null : \Illuminate\Support\Str::limit($standing[0]->name, 18), array_values($floor->lanes)), ...array_map(fn ($next) => \Illuminate\Support\Str::limit($next[0]->name, 18), array_slice($floor->next, 0, 1))])), 4) ?: 'all tries are in' }}</p>
    </section>
</div>

{{-- Read from ten metres: few words, large. --}}
@php
    use App\Language\GoalWords;
    use App\Language\MeanWords;
    use App\Language\Lists;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $names = collect($record->lines())->mapWithKeys(fn ($line) => [$line->standing->entrant->id => \Illuminate\Support\Str::limit($line->group->name, 18)]);
    $last = $record->lastRun();
    $lastGroup = $record->lastGroup();
@endphp
<header class="board-head">
    <div><h1><bdi>{{ $challenge->name }}</bdi></h1>@if ($challenge->question !== null)<p
        class="board-question"><bdi>{{ $challenge->question }}</bdi></p>@endif</div>
    @if ($last !== null && $lastGroup !== null)
        <div class="board-last">{{ Glyph::of($lastGroup->mark) }} <bdi>{{ \Illuminate\Support\Str::limit($lastGroup->name, 24) }}</bdi>
        <span class="num">{{ $last->void !== null ? Text::of('board.floor.void')
            : $units->show($last->distanceM ?? 0.0, Scale::Distance) }}</span>
            @php($mean = MeanWords::of(array_values(array_map(fn ($run) => $run->distanceM ?? 0.0,
                $record->tries($lastGroup->newestCar())->counted)), $units))
            @if ($mean !== null)<details class="board-mean"><summary>{{ Text::of('board.floor.how_the_mean_is_made') }}</summary>
            <span class="num">{{ $mean }}</span></details>@endif
        </div>
    @endif
</header>
@if ($last === null)<x-board-start :challenge="$challenge" :start="\App\Pages\Board\BoardStart::of($record)" />@endif
<x-floor :record="$record" :fresh="$last?->id" />
<div class="board-foot">
    @foreach ($challenge->allAwards() as $award)
        @php($standings = $record->standingsFor($award))
        @php($first = array_values(array_filter($standings->places, fn ($place) => $place->rank === 1)))
        <section>
            <h2>{{ GoalWords::award($award, $units) }}</h2>
            @if ($first === [])<p>–</p>
            @else
                <p><strong>{{ Lists::and(array_map(fn ($place) => $names[$place->entrant->id] ?? '', $first), 3) }}</strong>
                <span class="num">{{ \App\Language\ReachWords::said($first[0]->reach, $award, $challenge->scoring, $units) }}</span>
                </p>
                @if ($standings->tooCloseToLeader() !== [])<p class="board-close">{{ Text::of('board.floor.too_close_to_call') }}</p>@endif
            @endif
        </section>
    @endforeach
    <section>
        <h2>{{ Text::of('board.floor.next_up') }}</h2>
        <p>
            {{ Lists::and(array_values(array_filter([...array_map(fn ($standing) => $standing === null ? null
                : \Illuminate\Support\Str::limit($standing[0]->name, 18), array_values($floor->lanes)),
                ...array_map(fn ($next) => \Illuminate\Support\Str::limit($next[0]->name, 18), array_slice($floor->next, 0, 1))])), 4)
                ?: Text::of('board.floor.all_tries_are_in') }}
        </p>
    </section>
</div>

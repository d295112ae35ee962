{{-- A race, read from ten metres: who is on, who is next, and how it stands. --}}
@php
    use App\Pages\Race\RaceWords;
    use Illuminate\Support\Str;
    $state = $reading->state;
    $fresh = $reading->freshHeat();
@endphp
<header class="board-head"><div><h1><bdi>{{ $challenge->name }}</bdi></h1>
    <p class="board-question">{{ RaceWords::rule($reading) }}</p></div></header>
@if ($state->isOver())
    <div class="board-won">
        <p class="board-small">{{ Text::of('race.board.first') }}</p>
        @foreach ($reading->firsts() as $entrant)<p>{{ Glyph::of($reading->group($entrant)->mark) }}
            <bdi>{{ Str::limit($reading->name($entrant), 24) }}</bdi></p>@endforeach
    </div>
@else
    <div class="board-heats">
        @foreach ($state->now as $heat)<x-heat :reading="$reading" :heat="$heat" :fresh="$fresh" />@endforeach
        @if ($state->now === [])<p>{{ Text::of('race.foot.nobody') }}</p>@endif
    </div>
    <div class="board-foot">
        @if ($state->next !== [])<section><h2>{{ Text::of('race.board.next') }}</h2>
            @foreach (array_slice($state->next, 0, 3) as $heat)<p class="board-pair">{{ Glyph::of($reading->group($heat->a)->mark) }}
                <bdi>{{ Str::limit($reading->name($heat->a), 16) }}</bdi> {{ Glyph::of($reading->group($heat->b)->mark) }}
                <bdi>{{ Str::limit($reading->name($heat->b), 16) }}</bdi>@if (RaceWords::mends($reading, $heat) !== null)
                <span class="board-close">{{ RaceWords::mends($reading, $heat) }}</span>@endif</p>@endforeach</section>@endif
        @if ($reading->lastResult() !== null)<section><h2>{{ Text::of('race.board.last') }}</h2>
            <p>{{ RaceWords::said($reading, $reading->lastResult()) }}</p></section>@endif
        <section><h2>{{ Text::of('race.board.how_far') }}</h2><p>{{ RaceWords::progress($reading) }}</p></section>
    </div>
@endif

{{-- Before the first run: how tablets get in, and what the class guessed about its kit. --}}
@props(['challenge', 'start'])
@php($words = new \App\Language\PathWords($challenge->age))
<div class="board-start">
    @if ($start->code !== null)<p class="board-code">{{ Text::of('board.start.join_with') }}
        <strong class="num">{{ substr($start->code, 0, 3) }} {{ substr($start->code, 3) }}</strong></p>@endif
    @foreach ($start->tally as $question => $counts)
        <p><strong>{{ $words->say("warm_up.{$question}") }}</strong>
            @foreach ($counts as $answer => $count)<span>{{ $words->say("direction.{$answer}") }} <span class="num">{{ $count }}</span></span>@endforeach</p>
    @endforeach
</div>

<x-layout :title="$challenge->name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question" live>
    <form id="order" method="post" action="{{ route('order.update', $challenge) }}">@csrf @method('put')</form>
    <form id="undo" method="post" action="{{ route('undo', $challenge) }}">@csrf</form>
    <form method="post" action="{{ route('undo', $challenge) }}" hidden>@csrf<button data-key="u">{{ Text::of('run.show.undo_what_was_last_done_at') }}</button>
    </form>
    <section aria-label="{{ Text::of('run.show.who_runs') }}" data-piece="order" class="no-print">@include('run.order')</section>
    <div class="run-layout">
        <section aria-label="{{ Text::of('run.show.the_floor') }}" class="min-w-0" data-piece="floor">
            @include('run.floor', ['fresh' => session('logged')])</section>
        <section class="said" aria-label="{{ Text::of('run.show.so_far') }}" data-piece="said">@include('run.said')</section>
    </div>
    <section class="pb-8" aria-label="{{ Text::of('run.show.every_car_in_figures') }}" data-piece="figures">@include('run.figures')</section>
    @if (auth()->user() instanceof \App\Models\Device)
        <p class="pb-8 actions no-print"><a class="button" href="{{ route('runs.index', $challenge) }}">{{ Text::of('run.show.every_run_look_correct') }}</a>
            <a class="button" href="{{ route('film.open', $challenge) }}">{{ Text::of('run.show.film_of_runs') }}</a>
            <a class="button" href="{{ route('races.index', $challenge) }}">{{ Text::of('race.index.races') }}</a>
        </p>
    @elseif ($record->groups->isNotEmpty())
        <p class="pb-8 actions no-print">
            <a class="button" href="{{ route('runs.index', $challenge) }}">{{ Text::of('run.show.every_run_correct_take_back') }}</a>
            <a class="button" href="{{ route('film.open', $challenge) }}">{{ Text::of('run.show.film_of_runs') }}</a>
            <a class="button" href="{{ route('races.index', $challenge) }}">{{ Text::of('race.index.races') }}</a>
            <a class="button plain" href="{{ route('devices.index', $challenge) }}">{{ Text::of('run.show.tablets_and_the_board') }}</a>
            <a class="button plain" href="{{ route('sheet.show', $challenge) }}">{{ Text::of('run.show.run_table') }}</a>
        </p>
    @endif
    @if ($record->groups->isNotEmpty() && auth()->user() instanceof \App\Models\User)@include('run.timed')@include('run.sweep')@endif
    @if ($record->groups->isNotEmpty())
        <x-slot:foot>@include('run.entry', ['groups' => $record->groups])</x-slot:foot>
    @endif
    <x-slot:keys>
        <dt><kbd>{{ Text::of('run.show.enter') }}</kbd></dt><dd>{{ Text::of('run.show.in_a_field_of_the_strip') }}</dd>
        <dt><kbd>g</kbd> <kbd>d</kbd> <kbd>t</kbd> <kbd>v</kbd> <kbd>n</kbd></dt><dd>{{ Text::of('run.show.go_to_group_distance_time_void') }}</dd>
        <dt><kbd>p</kbd> <kbd>f</kbd></dt><dd>{{ Text::of('run.show.past_the_end_or_far_wall') }}</dd>
        <dt><kbd>w</kbd></dt><dd>{!! Text::html('run.show.open_the_stopwatch_then_space_starts') !!}</dd>
        <dt><kbd>m</kbd></dt><dd>{{ Text::of('run.show.more_fields_or_fewer') }}</dd>
        <dt><kbd>u</kbd></dt><dd>{{ Text::of('run.show.undo_what_was_last_done_at_2') }}</dd>
    </x-slot:keys>
</x-layout>

@php
    use Skivo\Core\Car\Build\BuildHand;
    $tasks = $own->tasks;
    $open = array_values(array_filter($tasks, fn ($task) => ! $task->step->waits() && ! in_array($task->step->value, $own->ticked, true)));
@endphp
<x-layout
    :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page"
    :words="['outbox']">
    <x-path-head :challenge="$challenge" :group="$group" :own="$own" :words="$words" :here="$here" />
    <x-errors />
    <h2>{{ Text::of('path.station.build') }}</h2>
    @if ($own->car->isEmpty())<p class="prose mt-1">{{ $words->say('at_build.no_car') }}</p>
    @else<p class="prose mt-1">{{ $open === [] ? $words->say('at_build.all_done')
        : $words->say($own->before === null ? 'at_build.lead' : 'at_build.only_the_change') }}</p>@endif
    <ol class="build-steps path-steps" data-part="steps">@foreach ($tasks as $task)
        @php($isDone = in_array($task->step->value, $own->ticked, true))
        <li @class(['build-step', 'waits' => $task->step->waits(), 'is-done' => $isDone, 'is-next' => ($open[0] ?? null) === $task])
            id="step-{{ $steps->number($task) }}">
            <x-step-drawing :layout="$layout" :task="$task" :units="$challenge->units" :label="$steps->say($task)" />
            <div class="build-step-says">
                <h3><span class="step-number num">{{ $steps->number($task) }}</span>{{ Label::of($task->step) }}</h3>
                <p>{{ $steps->say($task) }}</p>
                @if ($task->hand !== BuildHand::Child)<p><strong class="adult">{{ Label::of($task->hand) }}</strong></p>@endif
                @foreach ($steps->cautions($task) as $caution)<p class="step-caution">{{ $caution }}</p>@endforeach
                @if ($own->isClosedForSafety($task))<p class="caution">{{ Text::of('path.page.an_adult_reads_first') }}</p>
                @elseif ($steps->meanwhile($task) !== null)<p class="small">{{ $steps->meanwhile($task) }}</p>
                    <p class="wait-clock"><button type="button" class="button"
                        data-clock="{{ (int) round(60 * $task->minutes) }}">{{ $steps->minutes($task) }}</button></p>
                @else
                    <form method="post" action="{{ route('path.store', [$challenge, $group]) }}" data-outbox="tick">
                        @csrf<input type="hidden" name="kind" value="tick"><input type="hidden" name="step" value="{{ $task->step->value }}">
                        <input type="hidden" name="done" value="{{ $isDone ? '0' : '1' }}">
                        <button class="tick-button" aria-pressed="{{ $isDone ? 'true' : 'false' }}"><span class="tick-box" aria-hidden="true"></span>
                            <span>{{ $steps->doneWhen($task) }}<small>{{ Text::of('path.page.tick') }}</small></span></button></form>
                @endif
            </div>
        </li>@endforeach</ol>
    <x-path-foot :challenge="$challenge" :group="$group" :wants="$own->wantsAdult" />
</x-layout>

{{-- One step of the build: its drawing, its sentence, what it takes, and when it is done; folded, all but its drawing and name wait for a tap. --}}
@props(['task', 'words', 'layout', 'units', 'small' => false, 'folded' => false])
@php
    use Skivo\Core\Car\Build\BuildHand;
    $number = $words->number($task);
@endphp
<li @class(['build-step', 'waits' => $task->step->waits(), 'is-small' => $small]) id="step-{{ $number }}">
    <x-step-drawing :layout="$layout" :task="$task" :units="$units" :label="$words->say($task)" />
    <{{ $folded ? 'details' : 'div' }} class="build-step-says">
        @if ($folded)<summary>@endif
        <h3><span class="step-number num">{{ $number }}</span>{{ Label::of($task->step) }}
            @if ($task->step->waits())<span class="small num">{{ $words->minutes($task) }}</span>@endif</h3>
        @if ($folded && $task->hand !== BuildHand::Child)<strong class="adult">{{ Label::of($task->hand) }}</strong>@endif
        @if ($folded)</summary>@endif
        <p>{{ $words->say($task) }}</p>
        @if ($words->meanwhile($task) !== null)<p class="small">{{ $words->meanwhile($task) }}</p>@endif
        @if ($task->tool !== null || ($task->hand !== BuildHand::Child && ! $folded))
            <p class="small build-step-with">
                @if ($task->tool !== null)<span>{{ Text::of('steps.with', ['tool' => Label::inside($task->tool)]) }}</span>@endif
                @if ($task->hand !== BuildHand::Child && ! $folded)<strong class="adult">{{ Label::of($task->hand) }}</strong>@endif</p>
        @endif
        @foreach ($words->cautions($task) as $caution)<p class="step-caution">{{ $caution }}</p>@endforeach
        @if ($words->doneWhen($task) !== null)
            <p class="done-when"><span class="tick-box" aria-hidden="true"></span><span><strong>{{ Text::of('steps.done_label') }}</strong>
                {{ $words->doneWhen($task) }}</span></p>
        @endif
    </{{ $folded ? 'details' : 'div' }}>
</li>

<x-layout
    :title="Text::of('steps.own.title')" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name">
    <div class="lead-in">
        <div><h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{{ Text::of('steps.own.title') }}</span></h2>
            <p class="small">{{ Text::of('steps.own.steps_for_this_car') }}</p></div>
        <a class="button plain no-print" href="{{ route('groups.own', [$challenge, $group]) }}">{{ Text::of('steps.own.back') }}</a>
    </div>
    <ol class="build-steps">@foreach ($words->steps->tasks as $task)
        <x-build-step :task="$task" :words="$words" :layout="$layout" :units="$challenge->units" />@endforeach</ol>
</x-layout>

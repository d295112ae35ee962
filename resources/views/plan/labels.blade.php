@php($isForHome = request()->boolean('home'))
<x-layout :title="Text::of('plan.labels.kit_labels', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="materials" />
    <div class="lead-in no-print">
        <div><h2>{{ Text::of('plan.labels.kit_labels_2') }}</h2><p class="small">{{ Text::of('plan.labels.one_for_each_kit_to_cut') }}</p></div>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::of('plan.labels.print') }}</button>
        <a class="button" href="{{ route('materials.labels', $isForHome ? [$challenge] : [$challenge, 'home' => 1]) }}">{{ $isForHome
            ? Text::of('plan.labels.for_the_classroom') : Text::of('plan.labels.to_take_home') }}</a>
        <a class="button plain" href="{{ route('materials.show', $challenge) }}">{{ Text::of('plan.labels.back_to_the_list') }}</a>
        </p>
    </div>
    @include('paper.labels')
</x-layout>

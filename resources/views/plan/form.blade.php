{{-- All the rules of a challenge, a line each: what is set, opened in place. --}}
@php
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
    $lines = new \App\Pages\Plan\PlanLines($challenge);
@endphp
<x-errors />
<x-sent-with :units="$formUnits" />
<x-plan-line :name="Text::of('challenge.form.the_question')" :said="$lines->question()">
    @include('plan.form.asks')
    @include('plan.form.way')
</x-plan-line>
<x-plan-line :name="Text::of('challenge.form.the_class')" :said="$lines->class()">
    <div class="grid gap-4 max-w-2xl">@include('plan.form.name')</div>
    @include('plan.form.age')
</x-plan-line>
<x-plan-line :name="Text::of('challenge.form.the_goal')" :said="$lines->goal()">
    @include('plan.form.goal')
    @include('plan.form.awards')
</x-plan-line>
<x-plan-line :name="Text::of('challenge.form.tries')" :said="$lines->tries()">@include('plan.form.tries')</x-plan-line>
<x-plan-line :name="Text::of('challenge.form.the_floor')" :said="$lines->lane()">@include('plan.form.floor')</x-plan-line>
<x-plan-line :name="Text::of('challenge.form.what_may_be_varied')" :said="$lines->varies()">@include('plan.form.vary')</x-plan-line>

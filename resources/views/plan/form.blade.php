{{-- All the rules of a challenge. --}}
@php($formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units)
<x-errors />
<x-sent-with :units="$formUnits" />
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_question') }}</h2>
    <div class="grid gap-4">
        @include('plan.form.asks')
        @include('plan.form.way')
        <div class="grid gap-4 max-w-2xl">@include('plan.form.name')</div>
        @include('plan.form.age')
    </div>
</section>
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_goal') }}</h2>
    <div class="grid gap-4">
        @include('plan.form.goal')
        @include('plan.form.awards')
    </div>
</section>
@include('plan.form.tries')
@include('plan.form.floor')
@include('plan.form.vary')

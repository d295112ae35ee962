{{-- All the rules of a challenge. --}}
@php($formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units)
<x-errors />
<x-sent-with :units="$formUnits" />
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_question') }}</h2>
    <div class="grid gap-4">
        @include('challenges.form.asks')
        <div class="grid gap-4 max-w-2xl">@include('challenges.form.name')</div>
        @include('challenges.form.age')
    </div>
</section>
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_goal') }}</h2>
    <div class="grid gap-4">
        @include('challenges.form.goal')
        @include('challenges.form.awards')
    </div>
</section>
@include('challenges.form.tries')
@include('challenges.form.floor')
@include('challenges.form.vary')

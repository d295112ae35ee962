@php
    use Skivo\Core\Challenge\Limits;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
    $more = ['awards', 'tries', 'lanes', 'surface', 'air_temperature', 'most_balloons', 'most_straws', 'heaviest', 'longest', 'scoring', 'question'];
@endphp
<x-layout :title="Text::of('challenge.create.set_a_challenge')" :line="Text::of('challenge.create.what_the_class_is_after_and')">
    <form method="post" action="{{ route('challenges.store') }}" class="pt-2 quick">
        @csrf
        @if (request('then') === 'sheet' || old('then') === 'sheet')<input type="hidden" name="then" value="sheet">@endif
        <x-errors />
        <x-sent-with :units="$formUnits" />
        <section class="form-part">
            <h2>{{ Text::of('challenge.create.the_question') }}</h2>
            <div class="grid gap-4">
                @include('plan.form.asks')
                @include('plan.form.way')
            </div>
        </section>
        <section class="form-part">
            <h2>{{ Text::of('challenge.create.the_class_and_the_day') }}</h2>
            <div class="grid gap-4">
                <div class="form-grid">
                    <x-field
                        name="groups" :label="Text::of('challenge.create.groups')" :value="$groups" inputmode="numeric"
                        :hint="Text::of('challenge.create.named_later', ['most' => Limits::MOST_GROUPS])" />
                    @include('plan.form.lane')
                    <x-field
                        name="starts_at" type="datetime-local" :label="Text::of('challenge.create.day_and_time')" optional />
                    <x-field
                        name="session_min" :label="Text::of('challenge.create.minutes')" :value="$minutes" inputmode="numeric"
                        :hint="Text::of('challenge.create.for_the_whole_session')" />
                </div>
                @include('plan.form.age')
                @include('plan.form.goal')
            </div>
        </section>
        <section class="form-part">
            <h2>{{ Text::of('challenge.create.safety') }}</h2>
            <div>
                <details class="disclosure"><summary>{{ Text::of('challenge.create.the_usual_cautions', ['count' => count($cautions)]) }}</summary>
                    <x-caution-list :cautions="$cautions" /></details>
                <x-tick name="safety">{{ Text::of('challenge.create.i_have_read_them') }}</x-tick>
                <p class="small">{{ Text::of('challenge.create.build_opens_with_it') }}</p>
            </div>
        </section>
        <details class="disclosure form-more" @if ($errors->hasAny($more)) open @endif>
            <summary>{{ Text::of('challenge.create.more_rules') }}</summary>
            <section class="form-part">
                <h2>{{ Text::of('challenge.create.name_and_awards') }}</h2>
                <div class="grid gap-4 max-w-2xl">
                    @include('plan.form.name')
                    @include('plan.form.awards')
                </div>
            </section>
            <section class="form-part"><h2>{{ Text::of('challenge.form.tries') }}</h2>@include('plan.form.tries')</section>
            <section class="form-part"><h2>{{ Text::of('challenge.form.the_floor') }}</h2>@include('plan.form.floor')</section>
            <section class="form-part"><h2>{{ Text::of('challenge.form.what_may_be_varied') }}</h2>@include('plan.form.vary')</section>
        </details>
        <p class="actions border-t border-rule py-5">
            <button class="button do">{{ Text::of('challenge.create.set_the_challenge') }}</button>
            <a class="button plain" href="{{ route('challenges.index') }}">{{ Text::of('challenge.create.back_without_saving') }}</a>
        </p>
    </form>
</x-layout>

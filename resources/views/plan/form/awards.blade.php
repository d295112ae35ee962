{{-- Further awards, each for itself. --}}
@use('Skivo\Core\Challenge\Goal')
<fieldset>
    <legend class="field-label mb-1">{{ Text::of('challenge.form.further_awards_each_for_itself') }}</legend>
    <div class="ticks">
        @foreach (Goal::cases() as $goal)
            <x-tick name="award_{{ $goal->value }}" :checked="$challenge->exists && $challenge->isAfter($goal) && $challenge->goal !== $goal">
                {{ Label::of($goal) }}</x-tick>
        @endforeach
    </div>
</fieldset>

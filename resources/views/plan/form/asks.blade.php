{{-- What the class asks, by pictures: of an attribute and what it should be better at, or nothing. --}}
@php
    use App\Language\FactorWords;
    use Skivo\Core\Findings\Outcome;
    use Skivo\Core\Findings\Question;
    [$pictured, $others] = [\App\Pages\Plan\AskPicture::drawn(), \App\Pages\Plan\AskPicture::notDrawn()];
    $asked = old('asks', $challenge->asks?->value) ?? '';
@endphp
<div class="asks grid gap-4">
    <fieldset>
        <legend class="field-label mb-1">{{ Text::of('challenge.form.what_the_class_asks') }}</legend>
        <div class="picture-choices">
            <label class="choice"><input type="radio" name="asks" value="" @checked($asked === '')>
                <span><x-ask-picture /><b>{{ Text::of('challenge.form.free_design_no_single_question') }}</b></span></label>
            @foreach ($pictured as $attribute)
                <label class="choice"><input type="radio" name="asks" value="{{ $attribute->value }}" @checked($asked === $attribute->value)
                    @if (! $attribute->explainsAsNumber()) data-kinds @endif>
                    <span><x-ask-picture :attribute="$attribute" /><b>{{ FactorWords::asked($attribute) }}</b></span></label>
            @endforeach
        </div>
        <details class="disclosure mt-2" @if (in_array($asked, array_column($others, 'value'), true)) open @endif>
            <summary>{{ Text::of('challenge.form.something_else') }}</summary>
            <div class="choices mt-2">
                @foreach ($others as $attribute)
                    <label class="choice"><input type="radio" name="asks" value="{{ $attribute->value }}" @checked($asked === $attribute->value)
                        @if (! $attribute->explainsAsNumber()) data-kinds @endif><span>{{ FactorWords::asked($attribute) }}</span></label>
                @endforeach
            </div>
        </details>
        @error('asks')<p class="error">{{ $message }}</p>@enderror
        <p class="small mt-1">{{ Text::of('challenge.form.its_answer_is_judged_by_itself') }}</p>
    </fieldset>
    <div class="asks-kinds">
        <div class="form-grid narrow">
            <x-field name="asks_to" :label="Text::of('challenge.form.for_kinds_this_one')" :value="$challenge->asks_to" maxlength="80" />
            <x-field name="asks_from" :label="Text::of('challenge.form.for_kinds_than_this_one')" :value="$challenge->asks_from" maxlength="80" />
        </div>
    </div>
    <fieldset class="asks-outcome">
        <legend class="field-label mb-1">{{ Text::of('challenge.form.what_it_should_be_better_at') }}</legend>
        <div class="picture-choices">
            @foreach (Outcome::cases() as $outcome)
                <label class="choice"><input type="radio" name="asks_outcome" value="{{ $outcome->value }}"
                    @checked(old('asks_outcome', $challenge->asks_outcome->value ?? 'distance') === $outcome->value)>
                    <span><x-ask-picture :outcome="$outcome" /><b>{{ Text::of("challenge.form.better_{$outcome->value}") }}</b></span></label>
            @endforeach
        </div>
        @error('asks_outcome')<p class="error">{{ $message }}</p>@enderror
    </fieldset>
</div>

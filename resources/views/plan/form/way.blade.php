{{-- How the class goes about its question, by pictures, each with its chance of an answer; and which two are compared. --}}
@use('Skivo\Core\Challenge\Design')
@use('Skivo\Core\Measurement\Scale')
<div class="way grid gap-4"
    data-designs="{{ $challenge->exists ? route('plan.designs', $challenge, absolute: false) : route('challenges.designs', absolute: false) }}">
    <fieldset>
        <legend class="field-label mb-1">{{ Text::of('design.form.how') }}</legend>
        <div class="picture-choices">
            @foreach (Design::cases() as $design)
                <label class="choice"><input type="radio" name="way" value="{{ $design->value }}"
                    @checked(old('way', ($challenge->exists ? $challenge->design : Design::HalfAndHalf)->value) === $design->value)>
                    <span><x-design-picture :design="$design" /><b>{{ Text::of("design.name.{$design->value}") }}</b>
                        <span class="small block">{{ Text::of("design.what.{$design->value}") }}</span>
                        <span class="small block chance" data-chance="{{ $design->value }}" role="status"></span></span></label>
            @endforeach
        </div>
        @error('way')<p class="error">{{ $message }}</p>@enderror
    </fieldset>
    <div class="of-two">
        <p data-compared>{{ $compared ?? '' }}</p>
        <details class="disclosure mt-2" @if ($challenge->design_one !== null || $errors->hasAny(['design_one', 'design_other', 'fill'])) open @endif>
            <summary>{{ Text::of('design.form.other_two') }}</summary>
            <div class="form-grid mt-2">
                <div class="contents two-numbers">
                    <x-field name="design_one" :label="Text::of('design.form.one')" optional :value="$challenge->design_one" maxlength="80" />
                    <x-field name="design_other" :label="Text::of('design.form.other')" optional :value="$challenge->design_other" maxlength="80"
                        :hint="Text::of('design.form.part_or_size')" />
                </div>
                <x-field name="fill" :scale="Scale::Body" :units="$challenge->units" :label="Text::of('design.form.fill')" optional
                    :value="$challenge->exists ? $challenge->sessionPlan()->fill?->text : null" />
            </div>
            @if ($challenge->exists)<x-tick name="is_mass_even" :checked="$challenge->is_mass_even">{{ Text::of('design.form.even_mass') }}</x-tick>@endif
        </details>
    </div>
</div>

@use('Skivo\Core\Challenge\Age')
<fieldset>
    <legend class="field-label mb-1">{{ Text::of('challenge.form.how_old_the_class_is') }}</legend>
    <div class="choices max-w-2xl">
        @foreach (Age::cases() as $age)
            <x-choice name="age" :value="$age->value" :checked="$challenge->age === $age" :hint="Text::of('challenge.form.age_hint.' . $age->name)">
                {{ Text::of('challenge.form.age', ['age' => str_replace('-', ' to ', $age->value)]) }}</x-choice>
        @endforeach
    </div>
    @error('age')<p class="error">{{ $message }}</p>@enderror
</fieldset>

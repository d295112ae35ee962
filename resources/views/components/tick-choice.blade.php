{{-- One of a few, by a tap; or nothing noted. --}}
@props(['choice', 'held' => null])
<fieldset class="tick-choice wide">
    <legend class="field-label">{{ Label::title($choice) }}</legend>
    <div class="quick-ticks">
        @foreach ($choice->options() as $option)
            <label class="choice">
                <input type="radio" name="{{ $choice->value }}" value="{{ $option->value }}" @checked(old($choice->value, $held) === $option->value)>
                <span><x-choice-picture :option="$option" />{{ Label::of($option) }}</span>
            </label>
        @endforeach
        <label class="choice is-none">
            <input type="radio" name="{{ $choice->value }}" value="" @checked(old($choice->value, $held) === null)>
            <span>{{ Text::of('build.car.not_noted') }}</span>
        </label>
    </div>
    @error($choice->value)<p class="error">{{ $message }}</p>@enderror
</fieldset>

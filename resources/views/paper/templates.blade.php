@use('App\Pages\Plan\TemplateSheet')
@use('Skivo\Core\Measurement\UnitSystem')
<div @class(['templates', 'on-letter' => $isOnLetter ?? $challenge->units === UnitSystem::Imperial]) tabindex="0" role="region"
    aria-label="{{ Text::of('steps.templates.heading') }}">
    @foreach ($sheets as $sheet)
        <div class="template">
            <p class="template-says"><strong>{{ Text::of("steps.templates.{$sheet->key}") }}</strong>
                {{ Text::of("steps.templates.{$sheet->key}_how") }}</p>
            <svg class="full-size" width="{{ TemplateSheet::WIDTH }}mm" height="{{ TemplateSheet::HEIGHT }}mm" role="img"
                viewBox="0 0 {{ TemplateSheet::WIDTH }} {{ TemplateSheet::HEIGHT }}" aria-label="{{ Text::of("steps.templates.{$sheet->key}") }}">
                <x-shapes :shapes="$sheet->shapes" />
                @if ($sheet->key !== 'tape')<text class="measure-me" x="0" y="{{ TemplateSheet::HEIGHT - 5 }}">{{ Text::of('steps.templates.measure_me', [
                    'bar' => TemplateSheet::barShown($challenge->units),
                ]) }}</text>@endif
            </svg>
        </div>
    @endforeach
</div>

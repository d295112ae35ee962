@use('App\Pages\Plan\TemplateSheet')
<x-layout :title="Text::of('steps.templates.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="templates" />
    <div class="lead-in no-print">
        <div><h2>{{ Text::of('steps.templates.heading') }}</h2><p class="small prose">{{ Text::of('steps.templates.print_at_full_size', [
            'bar' => TemplateSheet::barShown($challenge->units),
        ]) }}</p>
            @if (TemplateSheet::isChassisTooLarge($layout))<p class="caution">{{ Text::of('steps.templates.too_large') }}</p>@endif</div>
        <button type="button" class="button do" data-print>{{ Text::of('steps.templates.print') }}</button>
    </div>
    @include('paper.templates')
</x-layout>

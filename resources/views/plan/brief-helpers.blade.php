<x-layout :title="Text::of('plan.brief_helpers.helpers_sheet', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="brief-helpers" />
    <div class="lead-in no-print"><p class="small prose">{{ Text::of('plan.brief_helpers.for_adults_who_help_at_the') }}
        </p><button type="button" class="button do" data-print>{{ Text::of('plan.brief_helpers.print') }}</button></div>
    @include('paper.helpers')
</x-layout>

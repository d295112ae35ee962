<x-layout :title="Text::of('plan.brief_class.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="brief-class" />
    <div class="lead-in no-print"><p class="small prose">{{ Text::of('plan.brief_class.one_page_for_the_class_put') }}</p>
        <button type="button" class="button do" data-print>{{ Text::of('plan.brief_class.print') }}</button></div>
    @include('paper.brief')
</x-layout>

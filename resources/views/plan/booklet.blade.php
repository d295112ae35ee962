<x-layout :title="Text::of('steps.booklet.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="steps" />
    <div class="lead-in no-print">
        <p class="small prose">{{ Text::of('steps.booklet.how_to_print') }}</p>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::of('steps.booklet.print') }}</button>
            <a class="button plain" href="{{ route('steps.show', $challenge) }}">{{ Text::of('steps.booklet.back') }}</a></p>
    </div>
    @include('paper.booklet')
</x-layout>

@php
    use App\Pages\Plan\MaterialWords;
    $materials = $plan->materials();
    $open = array_filter($materials->early(), fn ($line) => ! $plan->collecting($line, $materials)->isComplete());
@endphp
<x-layout :title="Text::of('plan.note.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="materials" />
    <div class="lead-in no-print">
        <p class="small prose">{{ Text::of('plan.note.one_for_each_family') }}</p>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::of('plan.note.print') }}</button>
            <a class="button plain" href="{{ route('materials.show', $challenge) }}">{{ Text::of('plan.labels.back_to_the_list') }}</a></p>
    </div>
    <article class="sheet note-home">
        <p class="small">{{ Moment::day(now()) }}</p>
        <h2 class="text-2xl">{{ Text::of('plan.note.we_build_cars') }}</h2>
        <p class="prose mt-3">{{ $plan->plan->starts_at === null ? Text::of('plan.note.soon')
            : Text::of('plan.note.on_the_day', ['day' => Moment::day($plan->plan->starts_at)]) }}</p>
        @if ($open === [])
            <p class="prose mt-3">{{ Text::of('plan.note.nothing_is_missing') }}</p>
        @else
            <p class="prose mt-3">{{ $plan->collectBy() === null ? Text::of('plan.note.please_collect')
                : Text::of('plan.note.please_collect_by', ['day' => Moment::day($plan->collectBy())]) }}</p>
            <ul class="note-list">@foreach ($open as $line)
                <li><span class="num big-figure">{{ $plan->collecting($line, $materials)->missing() }}</span>
                    <span><strong><bdi>{{ $line->part ?? MaterialWords::material($line) }}</bdi></strong>@if (MaterialWords::instead($line) !== [])
                    <span class="small block">{{ Text::of('plan.note.or', [
                        'instead' => implode(', ', array_slice(MaterialWords::instead($line), 0, 3)),
                    ]) }}</span>@endif</span></li>@endforeach</ul>
            <p class="prose small mt-3">{{ Text::of('plan.note.clean_and_whole') }}</p>
        @endif
        <p class="prose small mt-3">{{ Text::of('plan.note.latex') }}</p>
    </article>
</x-layout>

<x-layout
    :title="Text::of('findings.work.findings', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="work" :counting="$findings->counting" />
    <div class="lead-in">
        <div>
            <h2>{{ Text::of('findings.work.why_each_car_stopped_where_it_did') }}</h2>
            <p class="prose mt-1">{{ Text::of('findings.work.on_every_row_the_two_blocks') }}</p>
        </div>
        <span class="switch no-print">@foreach (['distance', 'push', 'hold'] as $each)<a
            href="{{ route('findings.work', [$challenge, 'by' => $each, 'tries' => $findings->counting->value]) }}"
            aria-current="{{ $each === $by ? 'true' : 'false' }}">{{ Text::of("findings.work.by_{$each}") }}</a>@endforeach</span>
    </div>
    <div data-part="work" class="py-3">
        @if ($drawing->works === [])
            <p class="prose">{{ Text::of('findings.work.nothing_to_draw_yet') }}</p>
        @else
            <x-work :drawing="$drawing" :works="$drawing->sorted($by)" :words="$words" :units="$challenge->units" />
            <p class="small mt-1 prose">{{ $words->workedOut() }}</p>
            <p class="actions no-print"><a class="button plain"
                download href="{{ route('findings.download', [$challenge, 'work', 'tries' => $findings->counting->value]) }}">
                {{ Text::of('findings.work.the_numbers_as_csv') }}</a>
                <a class="button plain"
                    download href="{{ route('findings.work-svg', [$challenge, 'by' => $by, 'tries' => $findings->counting->value]) }}">
                    {{ Text::of('findings.work.the_figure_as_svg') }}</a></p>
        @endif
    </div>
</x-layout>

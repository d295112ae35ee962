@use('App\Pages\Findings\IntervalBar')
<x-layout
    :title="Text::of('findings.sources.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="sources" :counting="$findings->counting" />
    <div class="lead-in">
        <div>
            <h2>{{ Text::of('findings.sources.heading') }}</h2>
            <p class="prose mt-1">{{ Text::of('findings.sources.lead') }}</p>
        </div>
    </div>
    <div data-part="sources" class="pb-6">
        @if ($sources->uses === [])
            <p class="prose">{{ Text::of('findings.sources.one_source') }}</p>
        @else
            @if ($effects !== [])<ul class="claims">@foreach ($effects as $effect)
                <x-claim :challenge="$challenge" :sentence="$words->effect($effect)" :cars="$effect->cars()" />@endforeach</ul>
            @else<p class="prose">{{ Text::of('findings.sources.no_like_cars') }}</p>@endif
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('findings.sources.heading') }}">
                <table class="source-table">
                    <thead><tr><td></td>@foreach ($sources->uses as $use)<th scope="col">
                        <x-choice-picture :option="$use->source" />{{ Label::title($use->source) }}
                        <span class="small">{{ Text::plural('findings.sources.groups', count($use->cars)) }}</span></th>@endforeach</tr></thead>
                    <tbody>
                        @foreach ($sources->measures() as $measure => ['most' => $most, 'of' => $of])
                            @php($bar = new IntervalBar($most))
                            <tr><th scope="row">{{ Text::of("findings.sources.measure.{$measure}") }}
                                <span class="small">{{ Text::of("findings.sources.means.{$measure}") }}</span></th>
                                @foreach ($sources->uses as $use)
                                    @php($likely = $of[$use->source->value] ?? null)
                                    <td>@if ($likely === null)<span class="small">{{ Text::of('findings.sources.nothing_known') }}</span>
                                        @else<svg class="interval-bar" viewBox="0 0 200 26" aria-hidden="true">
                                            <line class="axis" x1="4" x2="4" y1="2" y2="24" />
                                            <line class="own-range" x1="{{ $bar->x($likely->low) }}" x2="{{ $bar->x($likely->high) }}" y1="13" y2="13" />
                                            <circle class="own-dot" cx="{{ $bar->x($likely->value) }}" cy="13" r="5" /></svg>
                                            <span class="num source-value">{{ $sources->value($measure, $likely->value) }}</span>
                                            <span class="small num">{{ $sources->between($measure, $likely) }}</span>@endif</td>
                                @endforeach</tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
            <p class="small prose mt-3">{{ Text::of('findings.sources.how_known') }}</p>
            <p class="mt-2"><a href="{{ route('plan.larger', $challenge) }}">{{ Text::of('findings.sources.larger') }}</a></p>
        @endif
    </div>
</x-layout>

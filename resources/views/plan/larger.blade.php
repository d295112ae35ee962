@php
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Measurement\UnitSystem;
    use Skivo\Core\Car\Build\Caution;
    $units = $challenge->units;
    $words = new \App\Pages\Plan\LargerWords($units);
@endphp
<x-layout :title="Text::of('plan.larger.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-dry-run-pages :challenge="$challenge" here="larger" />
    <div class="lead-in"><div class="prose"><h2>{{ Text::of('plan.larger.heading') }}</h2><p class="mt-1">{{ Text::of('plan.larger.lead') }}</p></div></div>
    <x-errors />
    <form method="get" action="{{ route('plan.larger', $challenge) }}" class="form-grid narrow no-print">
        <x-field name="scale" :label="Text::of('plan.larger.how_many_times')" inputmode="decimal" :value="Figure::of($asked->scale)" />
        <x-field name="rider" :label="Text::of('plan.larger.rider')" inputmode="decimal" :value="$words->weight($riderKg)" />
        <x-field name="pump" :label="Text::of('plan.larger.pump')" inputmode="decimal" :value="Figure::of($litres)"
            :hint="Text::of('plan.larger.pump_hint')" />
        <p class="self-end"><button class="button do">{{ Text::of('plan.larger.work_it_out') }}</button></p>
    </form>
    <div class="larger mt-5">
        <div>
        <div class="said prose"><x-sentences :sentences="$words->verdict($asked, $alone, $riderKg)" /></div>
        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('plan.larger.numbers') }}">
        <table class="figures-table mt-4">
            <thead><tr><td></td><th scope="col" class="num">{{ Text::of('plan.larger.as_you_build_it') }}</th>
                <th scope="col" class="num">{{ Text::of('plan.larger.times_as_large', ['scale' => Figure::of($asked->scale)]) }}</th></tr></thead>
            <tbody>@foreach ($words->rows($small, $asked) as $key => [$was, $is])
                <tr><th scope="row">{{ Text::of("plan.larger.row.{$key}") }}</th><td class="num">{{ $was }}</td>
                    <td class="num">{{ $is }}</td></tr>@endforeach</tbody>
        </table></div>
        </div>
        <div>
        <svg class="drawing larger-figure" viewBox="0 0 520 270" role="img" aria-label="{{ Text::of('plan.larger.figure') }}">
            @foreach ($drawing->forces as [$y, $said])<line class="grid" x1="70" x2="490" y1="{{ $y }}" y2="{{ $y }}" /><text x="64" y="{{ $y + 4 }}"
                text-anchor="end">{{ $said }}</text>@endforeach
            <line class="ground" x1="70" x2="490" y1="{{ $drawing->floor }}" y2="{{ $drawing->floor }}" />
            <polyline class="needed" points="{{ $drawing->needed }}" /><polyline class="given" points="{{ $drawing->given }}" />
            <line class="gap" x1="{{ $drawing->asked[0] }}" x2="{{ $drawing->asked[0] }}" y1="{{ $drawing->asked[1] }}" y2="{{ $drawing->asked[2] }}" />
            <circle class="needed-dot" cx="{{ $drawing->asked[0] }}" cy="{{ $drawing->asked[1] }}" r="6" />
            <circle class="given-dot" cx="{{ $drawing->asked[0] }}" cy="{{ $drawing->asked[2] }}" r="6" />
            @foreach ($drawing->sizes as [$x, $said])<text x="{{ $x }}" y="{{ $drawing->floor + 19 }}" text-anchor="middle">{{ $said }}</text>@endforeach
            <text x="280" y="{{ $drawing->floor + 38 }}" text-anchor="middle">{{ Text::of('plan.larger.size_of_the_car') }}</text>
        </svg>
        <p class="small"><span class="larger-key needed">{{ Text::of('plan.larger.needed_to_start') }}</span>
            <span class="larger-key given">{{ Text::of('plan.larger.a_balloon_gives') }}</span></p>
        </div>
    </div>
    <details class="disclosure mt-4"><summary>{{ Text::of('plan.larger.why_so') }}</summary>
        <p class="prose">{{ Text::of('plan.larger.why') }}</p>
    </details>
    <div class="mt-5"><x-caution-list :cautions="[Caution::Gas, Caution::Eyes]" /></div>
</x-layout>

@php
    use App\Reading\WhatIfPage;
    use App\Wording\CarWords;
    use Skivo\Core\Car\PartKind;
    use Skivo\Core\Simulation\Origin;
    use Skivo\Core\Simulation\Setting;
    $units = $challenge->units;
    $page = [
        'settings' => WhatIfPage::settings($units),
        'parts' => WhatIfPage::parts($catalogue),
        'designs' => $designs,
        'run' => $run,
        'sweep' => $sweep,
        'tape' => $units->value,
        'unit' => $units->symbol(\Skivo\Core\Measurement\Scale::Distance),
        'along' => request()->string('x')->toString() ?: 'bore',
        'across' => request()->string('y')->toString(),
    ];
    $main = array_filter($page['settings'], fn ($setting) => $setting['main']);
    $more = array_filter($page['settings'], fn ($setting) => ! $setting['main']);
@endphp
<x-layout :title="'What if · ' . $challenge->name" heading="What if…" :challenge="$challenge" :record="$record" stage="build" :line="$challenge->name . ' · try designs before cutting card'">
    <div class="bench" data-what-if>
        <script type="application/json">@json($page, JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
        <form class="bench-controls" aria-label="The design">
            <div class="bench-tabs" role="group" aria-label="Designs to compare" data-tabs></div>
            @foreach ($main as $setting)
                @include('what-if.setting', ['setting' => $setting])
            @endforeach
            <p class="small" data-friction></p>
            <details class="disclosure">
                <summary>Parts and everything else</summary>
                <div class="grid gap-3">
                    @foreach (PartKind::cases() as $kind)
                        <div class="field">
                            <label for="w-{{ $kind->value }}">{{ $kind->label() }}</label>
                            <select id="w-{{ $kind->value }}" class="input" data-part="{{ $kind->value }}">
                                <option value="">as set below</option>
                                @foreach ($catalogue->of($kind) as $part)<option>{{ $part->name }}</option>@endforeach
                            </select>
                        </div>
                    @endforeach
                    <p><a href="{{ route('parts.index', $challenge) }}">The parts list, with where its values come from</a></p>
                    @foreach ($more as $setting)
                        @include('what-if.setting', ['setting' => $setting])
                    @endforeach
                </div>
            </details>
        </form>
        <div class="bench-figures">
            <div class="bench-top">
                <div>
                    <div class="figure" data-side role="img" aria-label="The car from the side, to scale"></div>
                    <div data-clearance></div>
                </div>
                <div class="said" aria-live="polite">
                    <p><span class="bench-number num" data-number>…</span></p>
                    <p class="small" data-band></p>
                    <p class="error" data-fault hidden></p>
                    <div data-said></div>
                    <div data-schools></div>
                </div>
            </div>
            <div class="factors !mt-2 no-print" role="group" aria-label="What to draw">
                <button type="button" class="button" data-draw="work" aria-pressed="true">Push over distance</button>
                <button type="button" class="button" data-draw="time" aria-pressed="false">Push over time</button>
                <button type="button" class="button" data-draw="speed" aria-pressed="false">Speed over distance</button>
            </div>
            <div class="figure" data-forces></div>
            <div class="figure" data-energy></div>
            <details class="disclosure">
                <summary>The numbers behind the figures</summary>
                <div class="scroll-x" tabindex="0" role="region" aria-label="The numbers behind the figures"><table class="figures-table" data-table></table></div>
            </details>
            <section aria-labelledby="sweep-title" class="mt-6">
                <h2 id="sweep-title">Turn one thing through its range</h2>
                <div class="actions mt-2">
                    <label for="w-x">Along</label>
                    <select id="w-x" class="input !w-auto" data-along>@foreach (Setting::sweepable() as $setting)<option value="{{ $setting->value }}" @selected($page['along'] === $setting->value)>{{ $setting->label() }}</option>@endforeach</select>
                    <label for="w-y">and</label>
                    <select id="w-y" class="input !w-auto" data-across><option value="">nothing else</option>@foreach (Setting::sweepable() as $setting)<option value="{{ $setting->value }}" @selected($page['across'] === $setting->value)>{{ $setting->label() }}</option>@endforeach</select>
                </div>
                <p class="mt-2" data-best aria-live="polite"></p>
                <div class="figure" data-sweep></div>
                <details class="disclosure"><summary>The numbers of the sweep, and what a percent more of each does</summary><div class="scroll-x" tabindex="0" role="region" aria-label="The numbers of the sweep"><table class="figures-table" data-sensitivity></table><table class="figures-table mt-4" data-sweep-table></table></div></details>
            </section>
        </div>
    </div>
    <section class="prose py-5" aria-labelledby="trust-title">
        <h2 id="trust-title" class="mb-2">Start from, and how far to trust it</h2>
        <p class="actions no-print">
            <a class="button" href="{{ route('what-if.show', $challenge) }}">A usual car</a>
            @foreach ($cars as $id => [$group, $car])
                <a class="button" href="{{ route('what-if.show', [$challenge, 'car' => $id]) }}"><x-mark :mark="$group->mark" /><bdi>{{ \Illuminate\Support\Str::limit($group->name, 20) }}</bdi>{{ $group->cars->count() > 1 ? " v{$car->version}" : '' }}</a>
            @endforeach
        </p>
        @if ($from !== null)
            @php([$group, $car, $model] = $from)
            <p class="mt-3"><strong><bdi>{{ $group->name }}</bdi></strong>: {{ $model->count(Origin::Measured) }} of {{ count($model->origins) }} values measured, {{ $model->count(Origin::Catalogue) }} from the parts list, {{ $model->count(Origin::Assumed) }} assumed.</p>
            <details class="disclosure"><summary>Which is which</summary>
                <dl class="grid grid-cols-2 gap-x-4">@foreach (Setting::cases() as $setting)<dt>{{ $setting->label() }}</dt><dd class="small">{{ $model->origins[$setting->value]->value }}</dd>@endforeach</dl>
            </details>
        @endif
        <p class="small mt-3">The model runs a thin rubber sphere, steady flow through the tubes, rolling resistance and air resistance. It knows no wobble, no leak, no crooked axle: a real car goes less far. The band is what an error of a quarter in f (a twelfth if it is measured) and a fifth in the balloon’s pressure would make of it. Four wheels; the car stands still until the push exceeds the breakaway.</p>
    </section>
</x-layout>

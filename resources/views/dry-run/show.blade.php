@php
    use App\Pages\DryRun\DryRunPage;
    use App\Language\CarWords;
    use Skivo\Core\Car\Attribute\EnergySource;
    use Skivo\Core\Car\Attribute\PartKind;
    use Skivo\Core\Simulation\Origin;
    use Skivo\Core\Car\Attribute\CarAttribute;
    $units = $challenge->units;
    $page = [
        'settings' => DryRunPage::settings($units),
        'parts' => DryRunPage::parts($catalogue),
        'designs' => $designs,
        'sources' => $sources,
        'tape' => $units->value,
        'unit' => $units->symbol(\Skivo\Core\Measurement\Scale::Distance),
        'along' => request()->string('x')->toString() ?: CarAttribute::NozzleBore->value,
        'across' => request()->string('y')->toString(),
    ];
    $main = array_filter($page['settings'], fn ($setting) => $setting['main']);
    $more = array_filter($page['settings'], fn ($setting) => ! $setting['main']);
@endphp
<x-layout
    :words="['dry_run']" :title="Text::of('dry_run.show.dry_run', ['challenge' => $challenge->name])"
    :heading="Text::of('dry_run.show.dry_run_2')" :challenge="$challenge" :record="$record" stage="build"
    :line="Text::of('dry_run.show.try_designs_before_cutting_card', ['challenge' => $challenge->name])">
    <x-dry-run-pages :challenge="$challenge" here="dry-run" />
    <div class="bench" data-dry-run>
        <script type="application/json">@json($page, JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
        <div class="bench-side">
        <form class="bench-controls" aria-label="{{ Text::of('dry_run.show.the_design') }}">
            <div class="bench-tabs" role="group" aria-label="{{ Text::of('dry_run.show.designs_to_compare') }}" data-tabs></div>
            <div class="field">
                <label for="w-source">{{ Text::of('dry_run.show.driven_by') }}</label>
                <select id="w-source" class="input" data-source>@foreach (EnergySource::cases() as $number => $source)
                    <option value="{{ $number }}">{{ Label::of($source) }}</option>@endforeach</select>
            </div>
            @foreach ($main as $setting)
                @include('dry-run.setting', ['setting' => $setting])
            @endforeach
            <p class="small" data-friction></p>
            <details class="disclosure">
                <summary>{{ Text::of('dry_run.show.parts_and_everything_else') }}</summary>
                <div class="grid gap-3">
                    @foreach (PartKind::cases() as $kind)
                        <div class="field">
                            <label for="w-{{ $kind->value }}">{{ Label::of($kind) }}</label>
                            <select id="w-{{ $kind->value }}" class="input" data-part="{{ $kind->value }}">
                                <option value="">{{ Text::of('dry_run.show.as_set_below') }}</option>
                                @foreach ($catalogue->of($kind) as $part)<option>{{ $part->name }}</option>@endforeach
                            </select>
                        </div>
                    @endforeach
                    <p><a href="{{ route('parts.index', $challenge) }}">{{ Text::of('dry_run.show.the_parts_list_with_where_its') }}</a></p>
                    @foreach ($more as $setting)
                        @include('dry-run.setting', ['setting' => $setting])
                    @endforeach
                </div>
            </details>
        </form>
        <section class="pt-6" aria-labelledby="trust-title">
            <h2 id="trust-title" class="mb-2">{{ Text::of('dry_run.show.start_from_and_how_far_to') }}</h2>
            <p class="actions no-print">
                <a class="button" href="{{ route('dry-run.show', $challenge) }}">{{ Text::of('dry_run.show.a_usual_car') }}</a>
                @foreach ($cars as $id => [$group, $car])
                    <a class="button" href="{{ route('dry-run.show',
                        [$challenge, 'car' => $id]) }}">{{ Glyph::of($group->mark) }}<bdi>{{ \Illuminate\Support\Str::limit($group->name,
                        20) }}</bdi>{{ $group->cars->count() > 1 ? " v{$car->version}" : '' }}</a>
                @endforeach
            </p>
            @if ($from !== null)
                @php([$group, $car, $model] = $from)
                <p class="mt-3">
                    {!! Text::html('dry_run.show.of_values_measured_from_the_parts', [
                        'group' => $group->name,
                        'count' => $model->count(Origin::Measured),
                        'all' => count($model->origins),
                        'parts' => $model->count(Origin::Catalogue),
                        'assumed' => $model->count(Origin::Assumed),
                    ]) !!}
                </p>
                <details class="disclosure"><summary>{{ Text::of('dry_run.show.which_is_which') }}</summary>
                    <dl class="grid grid-cols-2 gap-x-4">@foreach ($model->origins as $key => $origin)
                        @php($setting = CarAttribute::from($key))
                        <dt>{{ Label::title($setting) }}</dt><dd class="small">{{ Label::of($origin) }}
                        </dd>@endforeach</dl>
                </details>
            @endif
            <details class="disclosure mt-3"><summary>{{ Text::of('dry_run.show.how_far_to_trust_it') }}</summary>
                <p class="small">{{ Text::of('dry_run.show.the_model_runs_a_thin_rubber') }}</p></details>
        </section>
        </div>
        <div class="bench-figures">
            <div class="bench-top">
                <div>
                    <div class="figure" data-side role="img" aria-label="{{ Text::of('dry_run.show.the_car_from_the_side_to') }}"></div>
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
            <div class="factors mt-2 no-print" role="group" aria-label="{{ Text::of('dry_run.show.what_to_draw') }}">
                <button type="button" class="button" data-draw="work" aria-pressed="true">{{ Text::of('dry_run.show.push_over_distance') }}</button>
                <button type="button" class="button" data-draw="time" aria-pressed="false">{{ Text::of('dry_run.show.push_over_time') }}</button>
                <button type="button" class="button" data-draw="speed" aria-pressed="false">{{ Text::of('dry_run.show.speed_over_distance') }}</button>
            </div>
            <div class="figure" data-forces></div>
            <div class="figure" data-energy></div>
            <details class="disclosure">
                <summary>{{ Text::of('dry_run.show.the_numbers_behind_the_figures') }}</summary>
                <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('dry_run.show.the_numbers_behind_the_figures') }}">
                    <table class="figures-table" data-table></table></div>
            </details>
            <section aria-labelledby="sweep-title" class="mt-6">
                <h2 id="sweep-title">{{ Text::of('dry_run.show.turn_one_thing_through_its_range') }}</h2>
                <div class="actions mt-2">
                    <label for="w-x">{{ Text::of('dry_run.show.along') }}</label>
                    <select id="w-x" class="input w-auto" data-along>@foreach (CarAttribute::swept() as $setting)
                        <option value="{{ $setting->value }}" @selected($page['along'] === $setting->value)>
                            {{ Label::title($setting) }}</option>@endforeach</select>
                    <label for="w-y">{{ Text::of('dry_run.show.and') }}</label>
                    <select id="w-y" class="input w-auto" data-across><option value="">
                            {{ Text::of('dry_run.show.nothing_else') }}</option>@foreach (CarAttribute::swept() as $setting)
                        <option value="{{ $setting->value }}" @selected($page['across'] === $setting->value)>
                            {{ Label::title($setting) }}</option>@endforeach</select>
                </div>
                <p class="mt-2" data-best aria-live="polite"></p>
                <div class="figure" data-sweep></div>
                <details class="disclosure"><summary>{{ Text::of('dry_run.show.the_numbers_of_the_sweep_and') }}</summary>
                    <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('dry_run.show.the_numbers_of_the_sweep') }}">
                        <table class="figures-table" data-sensitivity></table><table class="figures-table mt-4" data-sweep-table>
                        </table></div></details>
            </section>
        </div>
    </div>
</x-layout>

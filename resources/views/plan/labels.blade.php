@php
    $contentsOf = fn ($group) => \App\Pages\Plan\MaterialWords::kit(($group instanceof \App\Models\Group
        && ! $challenge->way()->isRebuilt() ? $plan->forGroup($group) : $plan)->materials(), $challenge->units);
    $isForHome = request()->boolean('home');
    $layout = $plan->kitLayout();
    $names = $record->groups->isNotEmpty() ? $record->groups
        : collect(range(1, $plan->plan->groups))->map(fn ($n) => (object) ['name' => Text::of('plan.labels.kit', ['n' => $n]),
        'mark' => null]);
@endphp
<x-layout :title="Text::of('plan.labels.kit_labels', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="materials" />
    <div class="lead-in no-print">
        <div><h2>{{ Text::of('plan.labels.kit_labels_2') }}</h2><p class="small">{{ Text::of('plan.labels.one_for_each_kit_to_cut') }}</p></div>
        <p class="actions"><button type="button" class="button do" data-print>{{ Text::of('plan.labels.print') }}</button>
        <a class="button" href="{{ route('materials.labels', $isForHome ? [$challenge] : [$challenge, 'home' => 1]) }}">{{ $isForHome
            ? Text::of('plan.labels.for_the_classroom') : Text::of('plan.labels.to_take_home') }}</a>
        <a class="button plain" href="{{ route('materials.show', $challenge) }}">{{ Text::of('plan.labels.back_to_the_list') }}</a>
        </p>
    </div>
    <div class="labels">
        @foreach ($names as $group)
            <section class="label" aria-label="{{ Text::of('plan.labels.label_of', ['group' => $group->name]) }}">
                <h3 class="with-mark">@if ($group->mark){{ Glyph::of($group->mark) }}@endif<bdi>{{ $group->name }}</bdi></h3>
                <p class="small">{{ $challenge->name }}</p>
                @php($own = $group instanceof \App\Models\Group ? $builds->of($group) : null)
                @if ($own !== null)<p><strong>{{ $own }}</strong></p>@endif
                <x-cover-car :layout="$group instanceof \App\Models\Group ? $plan->forGroup($group)->kitLayout() : $layout" />
                <ul>@foreach ($contentsOf($group) as [$name, $count])<li><span class="num">{{ $count }}
                ×</span><bdi>{{ $name }}</bdi><span class="tick-box" aria-hidden="true"></span>
                    </li>@endforeach</ul>
                @if ($isForHome)<p class="small mt-2"><strong>{{ Text::of('plan.labels.from_home') }}</strong> {{
                    Text::of('plan.labels.from_home_what', ['pump' => $plan->plan->by_mouth ? '' : Text::of('plan.labels.from_home_pump')]) }}</p>
                <p class="small mt-1">{{ Text::of('plan.labels.send_back') }}</p>@endif
            </section>
        @endforeach
    </div>
</x-layout>

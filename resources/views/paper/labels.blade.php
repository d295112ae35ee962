{{-- A label for each bag of parts. --}}
@php
    use App\Pages\Plan\PreparationWords;
    $contentsOf = fn ($group) => \App\Pages\Plan\MaterialWords::kit(($group instanceof \App\Models\Group
        && ! $challenge->way()->isRebuilt() ? $plan->forGroup($group) : $plan)->materials(), $challenge->units);
    $isForHome = request()->boolean('home');
    $layout = $plan->kitLayout();
    $names = $record->groups->isNotEmpty() ? $record->groups
        : collect(range(1, $plan->plan->groups))->map(fn ($n) => (object) ['name' => Text::of('plan.labels.kit', ['n' => $n]),
        'mark' => null]);
@endphp
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
            @php($done = PreparationWords::onTheLabel($group instanceof \App\Models\Group ? $plan->forGroup($group) : $plan))
            @if ($done !== null)<p class="small mt-2">{{ $done }}</p>@endif
            @if ($isForHome)<p class="small mt-2"><strong>{{ Text::of('plan.labels.from_home') }}</strong> {{
                Text::of('plan.labels.from_home_what', ['pump' => $plan->plan->by_mouth ? '' : Text::of('plan.labels.from_home_pump')]) }}</p>
            <p class="small mt-1">{{ Text::of('plan.labels.send_back') }}</p>
            <p class="small mt-1"><strong>{{ Text::of('plan.labels.on_the_way_back') }}</strong>
                {{ Text::of('plan.labels.questions_for_the_way_back') }}</p>@endif
        </section>
    @endforeach
</div>

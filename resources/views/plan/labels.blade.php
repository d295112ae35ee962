@php
    $contents = $plan->materials()->kitContents($challenge->units);
    $names = $record->groups->isNotEmpty() ? $record->groups : collect(range(1, $plan->plan->groups))->map(fn ($n) => (object) ['name' => "Kit {$n}", 'mark' => null]);
@endphp
<x-layout :title="'Kit labels · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="materials" />
    <div class="lead-in no-print">
        <div><h2>Kit labels</h2><p class="small">One for each kit, to cut out and tick off. Print on one side.</p></div>
        <p class="actions"><button type="button" class="button do" data-print>Print</button><a class="button" href="{{ route('materials.show', $challenge) }}">Back to the list</a></p>
    </div>
    <div class="labels">
        @foreach ($names as $group)
            <section class="label" aria-label="Label of {{ $group->name }}">
                <h3 class="with-mark">@if ($group->mark)<x-mark :mark="$group->mark" class="!w-6 !h-6" />@endif<bdi>{{ $group->name }}</bdi></h3>
                <p class="small">{{ $challenge->name }}</p>
                <ul>@foreach ($contents as [$name, $count])<li><span class="num">{{ $count }} ×</span><bdi>{{ $name }}</bdi><span class="tick-box" aria-hidden="true"></span></li>@endforeach</ul>
            </section>
        @endforeach
    </div>
</x-layout>

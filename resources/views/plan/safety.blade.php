@php($new = $plan->safety()->newCautions())
<x-layout :title="Text::of('plan.safety.safety', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="build">
    <div class="lead-in">
        <div class="prose"><h2>{{ Text::of('plan.safety.safety_sheet') }}</h2>
            <p class="small mt-1">
                {!! Text::html('plan.safety.for_the_materials_of_this_challenge', [
                    'chassis' => $plan->kit->chassis,
                    'wheels' => $plan->kit->wheels,
                    'bearing' => $plan->kit->bearing,
                    'nozzle' => $plan->kit->nozzle,
                    'joint' => $plan->kit->joint,
                    'latex' => $plan->plan->latex_free ? Text::of('plan.safety.free_of_latex') : Text::of('plan.safety.of_latex'),
                    'filled' => $plan->plan->by_mouth ? Text::of('plan.safety.by_mouth') : Text::of('plan.safety.with_a_pump'),
                    'challenge' => route('materials.show', $challenge),
                ]) !!}
            </p></div>
        <button type="button" class="button no-print" data-print>{{ Text::of('plan.safety.print') }}</button>
    </div>
    @if ($new !== [])<p class="caution mt-0 mb-4">
        {{ Text::of('plan.safety.the_materials_changed_since_you_read', [
            'new' => implode(', ', array_map(fn ($caution) => mb_strtolower(Label::of($caution, 'title')), $new)),
        ]) }}
    </p>@endif
    <x-caution-list :cautions="$plan->safety()->cautions()" :new="$new" />
    <form method="post" action="{{ route('safety.update', $challenge) }}" class="border-t border-rule py-5 mt-5 no-print">
        @csrf @method('put')
        @if ($challenge->safety_read_at === null)
            <p class="mb-3">{{ Text::of('plan.safety.build_opens_when_someone_responsible_has') }}</p>
            <button class="button do">{{ Text::of('plan.safety.i_have_read_it_and_hold') }}</button>
        @else
            <p class="actions">@if ($new !== [])<button
                class="button do">{{ Text::of('plan.safety.i_have_read_what_is_new') }}</button>@else<a class="button do"
                href="{{ route('groups.index', $challenge) }}">{{ Text::of('plan.safety.to_the_groups_and_their_cars') }}</a>@endif
            <span class="small">{{ Text::of('plan.safety.read_on', ['day' => Moment::day($challenge->safety_read_at)]) }}</span>
            </p>
        @endif
    </form>
</x-layout>

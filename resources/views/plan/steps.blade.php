@php
    use Skivo\Core\Car\Attribute\Decoration;
    use App\Pages\Plan\PreparationWords;
    use Skivo\Core\Car\Build\MountOrder;
    use Skivo\Core\Car\Build\Points;
    use Skivo\Core\Car\Build\Sets;
    $own = $plan->plan;
    $numbers = array_map($words->number(...), $time->withoutAdult());
@endphp
<x-layout :title="Text::of('steps.page.title', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="steps" />
    <x-errors />
    <div class="lead-in">
        <div><h2>{{ Text::of('steps.page.how_a_car_is_built') }}</h2>
            <p class="small prose">{{ Text::of('steps.page.made_from_the_kit') }}</p></div>
        @if ($isOther !== null)<p class="actions no-print">@foreach ([false, true] as $other)<a @class(['button', 'plain' => $other !== $isOther])
            @if ($other === $isOther) aria-current="page" @endif href="{{ route('steps.show', [$challenge, 'other' => (int) $other]) }}">{{
                Text::of('design.who.steps_of', ['kind' => $builds->one($other)]) }}</a>@endforeach</p>@endif
        <p class="actions no-print"><a class="button do"
            href="{{ route('steps.booklet', [$challenge, 'other' => (int) $isOther]) }}">{{ Text::of('steps.page.booklet') }}</a>
</p>
    </div>
    <div class="said prose pb-4" data-build-time>
        <p>{{ Text::of('steps.time.hands', ['hands' => Figure::minutes($time->handsMin), 'adult' => Figure::minutes($time->adultMinEach)]) }}
            {{ Text::of('steps.time.queue', [
                'adults' => Text::plural('steps.time.adults', $time->adults), 'cars' => Text::plural('steps.time.cars', $time->cars),
                'queue' => Figure::minutes($time->queueMin),
            ]) }}
            @if ($time->isHeldUpByAdults()){{ Text::of('steps.time.held_up', [
                'enough' => ucfirst(Text::plural('steps.time.adults', $time->adultsEnough())),
                'steps' => Text::of('steps.time.step_numbers', ['numbers' => \App\Language\Lists::and($numbers, 20)]),
            ]) }}@else{{ Text::of('steps.time.not_held_up') }}@endif
            @if ($time->idleMin > 0){{ Text::of('steps.time.waits', ['idle' => Figure::minutes($time->idleMin)]) }}@endif</p>
    </div>
    <ol class="build-steps">@foreach ($words->steps->tasks as $task)
        <x-build-step :task="$task" :words="$words" :layout="$layout" :units="$challenge->units" folded />@endforeach</ol>
    <form method="post" action="{{ route('steps.update', $challenge) }}" class="no-print">
        @csrf @method('put')
        <x-plan-line :name="Text::of('steps.page.choices')" :said="Text::of('steps.page.chosen', [
            'held' => Label::inside($own->bearings_by), 'decorated' => Label::inside($own->decoration),
            'adults' => Text::plural('steps.time.adults', $own->adults),
        ])">
                @foreach ([
                    'bearings_by' => [Text::of('steps.page.bearings_are_held_by'), Sets::ofBearings(), $own->bearings_by],
                    'decoration' => [Text::of('steps.page.decorated'), Decoration::cases(), $own->decoration],
                    'decorated_with' => [Text::of('steps.page.decorated_with'), Sets::ofDecoration(), $own->decorated_with],
                    ...($plan->kit->usesSkewers() ? ['points' => [Text::of('steps.page.points'), Points::cases(), $own->points]] : []),
                    ...($plan->kit->source->blows()
                        ? ['mount_order' => [Text::of('steps.page.mount_order'), MountOrder::cases(), $own->mount_order]] : []),
                ] as $name => [$label, $options, $held])
                    <fieldset>
                        <legend class="field-label">{{ $label }}</legend>
                        <div class="quick-ticks">@foreach ($options as $option)
                            <x-choice :name="$name" :value="$option->value" :checked="$held === $option">{{ Label::of($option) }}</x-choice>@endforeach</div>
                        @error($name)<p class="error">{{ $message }}</p>@enderror
                    </fieldset>
                @endforeach
                <x-field name="adults" class="short-field" :label="Text::of('steps.page.adults')" :value="$own->adults" inputmode="numeric"
                    :hint="Text::of('steps.page.adults_hint')" />
                <p><button class="button">{{ Text::of('steps.page.save') }}</button></p>
        </x-plan-line>
        <x-plan-line :name="Text::of('steps.prepared.title')" :said="PreparationWords::inALine($plan->each())">
                <p class="small prose">{{ Text::of('steps.prepared.what') }}</p>
                <div class="ticks">@foreach ($preparable as $task)
                    <x-tick :name="'prepared_' . $task->step->value" :checked="in_array($task->step->value, $own->prepared, true)">{{
                        PreparationWords::pieces($task->step, $task->step->pieces() * $plan->class->groups) }}</x-tick>@endforeach</div>
                <x-field name="helpers" class="short-field" :label="Text::of('steps.prepared.helpers')" :value="$own->helpers" inputmode="numeric" />
                <p><button class="button">{{ Text::of('steps.page.save') }}</button></p>
        </x-plan-line>
    </form>
</x-layout>

@php
    use Skivo\Core\Car\Attribute\Decoration;
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
            <button type="button" class="button" data-print>{{ Text::of('steps.page.print') }}</button></p>
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
        <x-build-step :task="$task" :words="$words" :layout="$layout" :units="$challenge->units" />@endforeach</ol>
    <form method="post" action="{{ route('steps.update', $challenge) }}" class="no-print">
        @csrf @method('put')
        <section class="form-part">
            <h2>{{ Text::of('steps.page.choices') }}</h2>
            <div class="grid gap-4">
                @foreach ([
                    'bearings_by' => [Text::of('steps.page.bearings_are_held_by'), Sets::ofBearings(), $own->bearings_by],
                    'decoration' => [Text::of('steps.page.decorated'), Decoration::cases(), $own->decoration],
                    'decorated_with' => [Text::of('steps.page.decorated_with'), Sets::ofDecoration(), $own->decorated_with],
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
            </div>
        </section>
        <p class="actions border-t border-rule py-5">
            <button class="button do">{{ Text::of('steps.page.save') }}</button>
            <a class="button" href="{{ route('timetable.show', $challenge) }}">{{ Text::of('steps.page.to_the_timetable') }}</a>
        </p>
    </form>
</x-layout>

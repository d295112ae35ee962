@php
    use App\Wording\GoalWords;
    use App\Wording\PlanWords;
    use Skivo\Core\Measurement\Scale;
    $words = new PlanWords($plan, $timetable, $order);
    $clock = fn (float $min) => $plan->plan->starts_at === null ? (int) round($min) . "\u{00A0}min" : $plan->plan->starts_at->addSeconds((int) round(60 * $min))->format('H:i');
@endphp
<x-layout :title="'Class sheet · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="brief-class" />
    <div class="lead-in no-print"><p class="small prose">One page for the class: put it on the wall, or on each table.</p><button type="button" class="button do" data-print>Print</button></div>
    <article class="sheet">
        <h2 class="!text-2xl">{{ $challenge->question ?? 'Build a car that runs on a breath of air.' }}</h2>
        <div class="sheet-columns">
            <section><h3>What wins</h3><ul>@foreach ($challenge->allAwards() as $award)<li><strong>{{ GoalWords::award($award, $challenge->units) }}</strong></li>@endforeach</ul></section>
            <section><h3>Rules</h3><ul>@foreach ($words->rules() as $rule)<li>{{ $rule }}</li>@endforeach</ul></section>
            <section><h3>Your kit</h3><ul>@foreach ($plan->materials()->kitContents($challenge->units) as [$name, $count])<li><span class="num">{{ $count }} ×</span> {{ $name }}</li>@endforeach</ul></section>
            <section><h3>When</h3><ul>@foreach ($timetable->slots as $slot)<li><span class="num">{{ $clock($slot->fromMin) }}</span> {{ $slot->phase->label() }}</li>@endforeach</ul></section>
            <section><h3>How to build</h3><ol>
                <li>Tape the bearings to the chassis, square and parallel. Tape touches the straw, never the axle.</li>
                <li>Push the axles through; put the wheels on, square, with a little room to slide.</li>
                <li>Let glue set. Then decorate, before the balloon goes on.</li>
                <li>Stretch the balloon. Push the nozzle in about {{ $challenge->units->show(0.025, Scale::Body) }} and seal it airtight, without crushing it.</li>
                <li>Tape the nozzle on so that it points straight back, and so that the balloon clears the floor.</li>
                <li>Predict how far it will go. Then change one thing at a time.</li>
            </ol></section>
            <section><h3>Take care</h3><ul>@foreach ($plan->cautions() as $caution)<li>{{ $caution->steps()[0] }}</li>@endforeach</ul></section>
        </div>
        <p class="small mt-4">The school’s own rules come first.</p>
    </article>
</x-layout>

@php
    use App\Wording\PlanWords;
    $words = new PlanWords($plan, $timetable, $order);
@endphp
<x-layout :title="'Helpers’ sheet · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="brief-helpers" />
    <div class="lead-in no-print"><p class="small prose">For adults who help at the tables or at a lane.</p><button type="button" class="button do" data-print>Print</button></div>
    <article class="sheet">
        <h2 class="!text-2xl">For helpers</h2>
        <div class="sheet-columns">
            <section><h3>At the tables</h3><ul>
                <li>Cut, pierce and glue for the children, or watch closely.</li>
                <li>Ask before you mend: “What did you see? What could make it do that?”</li>
                <li>One change at a time, with the reason written down first.</li>
            </ul></section>
            <section><h3>Before a car runs</h3><ol>@foreach (\Skivo\Core\Car\CheckItem::cases() as $item)<li>{{ $item->label() }}: {{ lcfirst($item->how()) }}</li>@endforeach</ol></section>
            <section><h3>At the lane</h3><ol>
                <li>Lane and run-out are clear; nobody stands in the run-out.</li>
                <li>Fill the balloon as the group has noted: the same size or the same strokes each time.</li>
                <li>Close the nozzle with a fingertip. Pinching a straw narrows it.</li>
                <li>Front wheels on the start line, aim, let go. {{ $challenge->push_is_foul ? 'A push makes the try void.' : '' }}</li>
                <li>Write down {{ $words->toMeasure() }}.</li>
                <li>A try is void if the car did not start, hit something, lost a wheel or the balloon, burst{{ $challenge->push_is_foul ? ' or was pushed' : '' }}. Write why.</li>
            </ol></section>
            <section><h3>Take care</h3><ul>@foreach ($plan->cautions() as $caution)@foreach ($caution->steps() as $step)<li>{{ $step }}</li>@endforeach @endforeach</ul><p class="mt-2"><strong>The school’s own rules and its qualified staff come first.</strong></p></section>
        </div>
        <h3 class="mt-5 mb-2">Run order</h3>
        <p class="small mb-2">{{ $words->order() }}</p>
        <x-run-order :order="$order" :groups="$record->groups" />
    </article>
</x-layout>

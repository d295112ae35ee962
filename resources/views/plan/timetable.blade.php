@php
    use App\Http\Requests\TimetableRequest;
    use App\Wording\PlanWords;
    $words = new PlanWords($plan, $timetable, $order);
    $remedies = $timetable->remedies();
@endphp
<x-layout :title="'Timetable · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="timetable" />
    <x-errors />
    <section class="pt-5" aria-labelledby="fits-title">
        <div class="lead-in !pt-0">
            <h2 id="fits-title" class="sr-only">Does it fit?</h2>
            <div class="said prose"><x-sentences :sentences="$words->fit()" big /></div>
            <p class="actions no-print"><a class="button" href="{{ route('timetable.calendar', $challenge) }}">Calendar (.ics)</a><button type="button" class="button" data-print>Print</button></p>
        </div>
        <x-timeline :timetable="$timetable" :start="$plan->plan->starts_at" />
        @if ($remedies !== [])
            <h3 class="mt-4 mb-2">Any one of these makes it fit</h3>
            <ul class="remedies">@foreach ($remedies as $remedy)<li>{{ $words->remedy($remedy) }}</li>@endforeach</ul>
        @elseif (! $timetable->fits())
            <p class="mt-4">Neither more lanes nor fewer tries are enough: shorten other phases, or split the session in two.</p>
        @endif
    </section>
    <form method="post" action="{{ route('timetable.update', $challenge) }}" class="no-print">
        @csrf @method('put')
        <section class="form-part">
            <h2>The session</h2>
            <div class="form-grid">
                <x-field name="starts_at" type="datetime-local" label="Begins" optional :value="$plan->plan->starts_at?->format('Y-m-d\TH:i')" />
                <x-field name="session_min" label="Minutes in all" :value="$plan->plan->session_min" inputmode="numeric" />
            </div>
        </section>
        <section class="form-part">
            <h2>Phases</h2>
            <div class="form-grid narrow">
                @foreach (TimetableRequest::phases() as $phase)
                    <x-field name="phase_{{ $phase->value }}" :label="$phase->label()" :value="(int) $plan->plan->minutes($phase)" inputmode="numeric" :hint="$phase->waits() ? 'min, beside other work' : 'min'" />
                @endforeach
            </div>
        </section>
        <section class="form-part">
            <h2>Runs</h2>
            <div class="form-grid narrow">
                <x-field name="lanes" label="Lanes" :value="$challenge->lanes" inputmode="numeric" />
                <x-field name="tries" label="Tries per group" :value="$challenge->tries" inputmode="numeric" />
                <x-field name="heat_min" label="Minutes for each filling of the lanes" :value="rtrim(rtrim(number_format($plan->plan->heat_min, 1), '0'), '.')" inputmode="decimal" hint="fill, aim, run, measure" />
                <x-field name="tries_again" label="Tries after the change" :value="$plan->plan->tries_again" inputmode="numeric" hint="0 for none" />
            </div>
        </section>
        <p class="actions border-t border-rule py-5">
            <button class="button do">Let the timetable follow</button>
            <a class="button" href="{{ route('safety.show', $challenge) }}">To the safety sheet</a>
        </p>
    </form>
    <section class="py-4" aria-labelledby="order-title">
        <h2 id="order-title">Run order</h2>
        <p class="small prose mb-3">{{ $words->order() }}</p>
        <x-run-order :order="$order" :groups="$record->groups" />
    </section>
</x-layout>

@php
    use App\Pages\Plan\TimetableRequest;
    use App\Pages\Plan\PlanWords;
    $words = new PlanWords($plan, $timetable, $order);
    $remedies = $timetable->remedies();
@endphp
<x-layout :title="Text::of('plan.timetable.timetable', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="timetable" />
    <x-errors />
    <section class="pt-5" aria-labelledby="fits-title">
        <div class="lead-in pt-0">
            <h2 id="fits-title" class="sr-only">{{ Text::of('plan.timetable.does_it_fit') }}</h2>
            <div class="said prose"><x-sentences :sentences="$words->fit()" big /></div>
            <p class="actions no-print"><a class="button"
                download href="{{ route('timetable.calendar', $challenge) }}">{{ Text::of('plan.timetable.calendar_ics') }}</a><button type="button"
                class="button" data-print>{{ Text::of('plan.timetable.print') }}</button>
            </p>
        </div>
        @foreach ($timetable->sessionsMin as $session => $minutes)
            @if (count($timetable->sessionsMin) > 1)<h3 class="mt-3">{{ $words->session($session) }}</h3>@endif
            <x-timeline :timetable="$timetable" :start="$plan->plan->startOf($session)" :session="$session" />
            @if ($words->carriedOver($session) !== null)<p class="small mt-1">{{ $words->carriedOver($session) }}</p>@endif
        @endforeach
        @if ($remedies !== [])
            <h3 class="mt-4 mb-2">{{ Text::of('plan.timetable.any_one_of_these_makes_it') }}</h3>
            <ul class="remedies">@foreach ($remedies as $remedy)<li><x-take-proposal
                :challenge="$challenge" :plan="$plan" :says="$words->remedy($remedy)" :changes="$words->changes($remedy)" /></li>@endforeach</ul>
        @endif
        @if ($words->buildProposals() !== [])
            <h3 class="mt-4 mb-2">{{ Text::of('plan.timetable.the_build_steps_say') }}</h3>
            <ul class="remedies">@foreach ($words->buildProposals() as [$says, $changes])<li><x-take-proposal
                :challenge="$challenge" :plan="$plan" :says="$says" :changes="$changes" /></li>@endforeach</ul>
        @endif
        @if ($remedies === [] && ! $timetable->fits())
            <p class="mt-4">{{ Text::of('plan.timetable.neither_more_lanes_nor_fewer_tries') }}</p>
        @endif
    </section>
    <form method="post" action="{{ route('timetable.update', $challenge) }}" class="no-print">
        @csrf @method('put')
        <section class="form-part">
            <h2>{{ Text::of('plan.timetable.the_session') }}</h2>
            <div class="form-grid">
                <x-field
                    name="starts_at" type="datetime-local" :label="Text::of('plan.timetable.begins')" optional
                    :value="$plan->plan->starts_at?->format('Y-m-d\TH:i')" />
                <x-field name="session_min" :label="Text::of('plan.timetable.minutes_in_all')" :value="$plan->plan->session_min" inputmode="numeric" />
                <x-field name="adults" :label="Text::of('steps.page.adults')" :value="$plan->plan->adults" inputmode="numeric"
                    :hint="Text::of('steps.page.adults_hint')" />
            </div>
            @php($further = array_values($plan->plan->further_sessions))
            <details class="disclosure" @if ($further !== [] || $errors->has('session_*')) open @endif>
                <summary>{{ Text::of('plan.timetable.further_sessions') }}</summary>
                <p class="small prose">{{ Text::of('plan.timetable.what_is_not_over_goes_on') }}</p>
                <div class="form-grid mt-2">
                    @foreach (range(2, TimetableRequest::MOST_SESSIONS) as $n)
                        <x-field
                            name="session_{{ $n }}_starts_at" type="datetime-local" :label="Text::of('plan.timetable.session_begins', ['n' => $n])" optional
                            :value="$further[$n - 2]['starts_at'] ?? null" />
                        <x-field
                            name="session_{{ $n }}_min" :label="Text::of('plan.timetable.session_minutes', ['n' => $n])" optional
                            :value="$further[$n - 2]['minutes'] ?? null" :placeholder="(string) $plan->plan->session_min" inputmode="numeric" />
                    @endforeach
                </div>
            </details>
        </section>
        <section class="form-part">
            <h2>{{ Text::of('plan.timetable.phases') }}</h2>
            <div class="form-grid narrow">
                @foreach (TimetableRequest::phases() as $phase)
                    <x-field
                        name="phase_{{ $phase->value }}" :label="Label::of($phase)" :value="(int) $plan->plan->minutes($phase)"
                        inputmode="numeric"
                        :hint="$phase->waits() ? Text::of('plan.timetable.min_beside_other_work') : Text::of('plan.timetable.min')"
                        />
                @endforeach
            </div>
        </section>
        <section class="form-part">
            <h2>{{ Text::of('plan.timetable.runs') }}</h2>
            <div class="form-grid narrow">
                <x-field name="lanes" :label="Text::of('plan.timetable.lanes')" :value="$challenge->lanes" inputmode="numeric" />
                <x-field name="tries" :label="Text::of('plan.timetable.tries_per_group')" :value="$challenge->tries" inputmode="numeric" />
                <x-field
                    name="heat_min" :label="Text::of('plan.timetable.minutes_for_each_filling_of_the')"
                    :value="rtrim(rtrim(number_format($plan->plan->heat_min, 1), '0'), '.')" inputmode="decimal"
                    :hint="Text::of('plan.timetable.fill_aim_run_measure')" />
                <x-field
                    name="tries_again" :label="Text::of('plan.timetable.tries_after_the_change')"
                    :value="$plan->plan->tries_again" inputmode="numeric" :hint="Text::of('plan.timetable.0_for_none')" />
            </div>
        </section>
        <p class="actions border-t border-rule py-5">
            <button class="button do">{{ Text::of('plan.timetable.update_the_timetable') }}</button>
            <a class="button" href="{{ route('challenges.edit', $challenge) }}">{{ Text::of('plan.timetable.to_the_plan') }}</a>
        </p>
    </form>
    <section class="py-4" aria-labelledby="order-title">
        <h2 id="order-title">{{ Text::of('plan.timetable.run_order') }}</h2>
        <p class="small prose mb-3">{{ $words->order() }}</p>
        <x-run-order :order="$order" :again="$timetable->runsAgain" :groups="$record->groups" :challenge="$challenge" />
    </section>
</x-layout>

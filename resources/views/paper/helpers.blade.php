{{-- What helpers are told. --}}
@php
    use App\Pages\Plan\PlanWords;
    $words = new PlanWords($plan, $timetable, $order);
@endphp
<article class="sheet">
    <h2 class="text-2xl">{{ Text::of('plan.brief_helpers.for_helpers') }}</h2>
    <div class="sheet-columns">
        <section><h3>{{ Text::of('plan.brief_helpers.to_begin_with') }}</h3><ul>@foreach ($words->opening() as $line)<li>{{ $line }}</li>@endforeach
        </ul></section>
        <section><h3>{{ Text::of('plan.brief_helpers.at_the_tables') }}</h3><ul>
            <li>{{ Text::of('plan.brief_helpers.cut_pierce_and_glue_for_the') }}</li>
            <li>{{ Text::of('plan.brief_helpers.ask_before_you_mend_what_did') }}</li>
            <li>{{ Text::of('plan.brief_helpers.one_change_at_a_time_with') }}</li>
        </ul></section>
        <section><h3>{{ Text::of('plan.brief_helpers.before_a_car_runs') }}</h3>
            <ol>@foreach ($record->checksAsked() as $item)<li>{{ Label::of($item) }}: {{ lcfirst(Label::of($item, 'how')) }}
                </li>@endforeach</ol></section>
        <section><h3>{{ Text::of('plan.brief_helpers.at_the_lane') }}</h3><ol>
            <li>{{ Text::of('plan.brief_helpers.lane_and_run_out_are_clear') }}</li>
            @foreach ($words->atTheLane() as $line)<li>{{ $line }}</li>@endforeach
            <li>
                {{ Text::of('plan.brief_helpers.front_wheels_on_the_start_line', [
                    'push' => $challenge->push_is_foul ? Text::of('plan.brief_helpers.a_push_makes_the_try_void') : '',
                ]) }}
            </li>
            <li>{{ Text::of('plan.brief_helpers.write_down', ['to_measure' => $words->toMeasure()]) }}</li>
            <li>
                {{ Text::of($challenge->no_start_is_zero ? 'plan.brief_helpers.a_car_that_does_not_start_counts'
                    : 'plan.brief_helpers.a_try_is_void_if_the', [
                    'or_pushed' => $challenge->push_is_foul ? ' ' . Text::of('plan.brief_helpers.or_was_pushed') : '',
                ]) }}
            </li>
        </ol></section>
        <section><h3>{{ Text::of('plan.brief_helpers.take_care') }}</h3>
            <ul>@foreach ($plan->safety()->cautions() as $caution)
                <li>{{ Label::lines($caution, 'steps')[0] }}</li>@endforeach</ul>
            <p class="mt-2"><strong>{{ Text::of('plan.brief_helpers.the_schools_own_rules_and_its') }}</strong>
            </p></section>
    </div>
    @if (! isset($pack) || $pack->copiesOf(\App\Pages\Paper\Paper::Order) === 0)
    <section class="own-page"><h3 class="mt-5 mb-2">{{ Text::of('plan.brief_helpers.run_order') }}</h3>
        <p class="small mb-2">{{ $words->order() }}</p>
        <x-run-order :order="$order" :again="$timetable->runsAgain" :groups="$record->groups" :challenge="$challenge" /></section>
    @endif
</article>

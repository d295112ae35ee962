{{-- The class brief. --}}
@php
    use App\Language\GoalWords;
    use App\Pages\Plan\MaterialWords;
    use App\Pages\Plan\PlanWords;
    $words = new PlanWords($plan, $timetable, $order);
    $ways = $words->waysToBuild();
@endphp
<article @class(['sheet', 'is-dense' => count($ways) > 1])>
    <h2 class="text-2xl">{{ $challenge->question ?? $words->callToBuild() }}</h2>
    <div class="sheet-columns">
        <section><h3>{{ Text::of('plan.brief_class.what_wins') }}</h3>
            <ul>@foreach ($challenge->allAwards() as $award)<li><strong>{{ GoalWords::award($award, $challenge->units) }}</strong>
                </li>@endforeach</ul></section>
        <section><h3>{{ Text::of('plan.brief_class.rules') }}</h3><ul>@foreach ([...$words->rules(),
            ...$builds->rules()] as $rule)<li>{{ $rule }}</li>@endforeach</ul></section>
        @if ($plan->design->contrast() !== null && $record->groups->isNotEmpty())<section><h3>{{ Text::of('design.who.title') }}</h3>
            <ul>@foreach ($builds->byWhat($record->teams()) as [$what, $groups])<li>{{ $what }}:
                @foreach ($groups as $group)<span class="with-mark inline-flex mr-3">{{ Glyph::of($group->mark) }}
                <bdi>{{ $group->name }}</bdi></span>@endforeach</li>@endforeach</ul></section>@endif
        <section><h3>{{ Text::of('plan.brief_class.your_kit') }}</h3>
            <ul>@foreach (MaterialWords::kit($plan->materials(), $challenge->units) as [$name, $count])
                <li><span class="num">{{ $count }} ×</span> {{ $name }}</li>@endforeach</ul></section>
        <section><h3>{{ Text::of('plan.brief_class.when') }}</h3><ul>@foreach ($timetable->slots as $slot)
                <li><span class="num">{{ Moment::atMinute($plan->plan->startOf($slot->session), $slot->fromMin) }}</span>
                {{ Label::of($slot->phase) }}</li>@endforeach</ul>
            @unless ($words->itFits())<p class="caution mt-2">{{ $words->fit()[0]->lead }} {{ $words->fit()[0]->rest }}</p>@endunless
        </section>
        <section><h3>{{ Text::of('plan.brief_class.how_to_build') }}</h3>
            @foreach ($ways as $kind => $steps)
                @if ($kind !== '')<p><strong>{{ $kind }}</strong></p>@endif
                <ol>@foreach ($steps as $step)<li>{{ $step }}</li>@endforeach</ol>@endforeach
            <p>{{ Text::of('plan.brief_class.predict_how_far_it_will_go') }}</p></section>
        <section><h3>{{ Text::of('plan.brief_class.take_care') }}</h3>
            <ul>@foreach ($plan->safety()->cautions() as $caution)<li>{{ Label::of($caution, 'child') }}</li>@endforeach
                <li>{{ Text::of('plan.brief_class.the_schools_own_rules_come_first') }}</li></ul>
        </section>
    </div>
</article>

{{-- What an adult does before the class comes. --}}
@php
    use App\Pages\Plan\PreparationWords;
    use App\Pages\Plan\StepWords;
@endphp
<article class="sheet">
    <h2 class="text-2xl">{{ Text::of('steps.prepared.sheet') }}</h2>
    @foreach ($plan->each() as $of)
        @php
            $prepared = $of->preparation();
            $words = new StepWords($of->steps(), $challenge->units);
            $own = count($plan->each()) > 1 ? $builds->one($loop->index === 1) : null;
        @endphp
        @if (! $prepared->isEmpty())
            <h3 class="mt-4">@if ($own !== null){{ Text::of('steps.prepared.of_kind', ['kind' => $own]) }} @endif
                {{ Text::of('steps.prepared.for_cars', ['cars' => Text::plural('steps.time.cars', $prepared->cars)]) }}</h3>
            <table class="figures-table"><tbody>@foreach ($prepared->tasks as $task)
                <tr><th scope="row"><span class="tick-box" aria-hidden="true"></span>
                        {{ PreparationWords::pieces($task->step, $prepared->pieces($task)) }}</th>
                    <td>{{ $words->say($task) }} @if ($task->tool !== null)<span class="small">{{
                        Text::of('steps.with', ['tool' => Label::inside($task->tool)]) }}</span>@endif</td>
                    <td class="num">{{ Figure::minutes($prepared->minutesOf($task)) }}</td></tr>@endforeach</tbody></table>
        @endif
    @endforeach
    <p class="mt-3"><strong>{{ PreparationWords::inALine($plan->each()) }}</strong></p>
    <p class="mt-3">{{ Text::of('steps.prepared.safe') }}</p>
    <ul>@foreach (PreparationWords::cautions($plan->each()) as $caution)@foreach (Label::lines($caution, 'steps') as $line)<li>{{ $line }}</li>@endforeach
        @endforeach</ul>
    <p class="mt-2"><strong>{{ Text::of('plan.brief_helpers.the_schools_own_rules_and_its') }}</strong></p>
</article>

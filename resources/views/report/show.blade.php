@php
    use App\Language\CarWords;
    use App\Language\GoalWords;
    use App\Language\ReachWords;
    use App\Pages\Findings\BeliefWords;
    use App\Language\StandingWords;
    use Skivo\Core\Challenge\Award;
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Challenge\Reach;
    use Skivo\Core\Challenge\Scoring;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $standing = new StandingWords($record);
    $headline = $words->headline();
    $found = array_slice(array_filter($standing->soFar(), fn ($sentence) => $sentence->lead !== ''), 0, 2);
    $next = $words->nextTest();
    $farthest = new Award(Goal::Farthest);
    $schools = new BeliefWords($record, $findings, $words);
    // Three in all: the next test, and what people disagree about that these cars could soon settle.
    $open = array_slice(array_values(array_filter(
        $findings->found->rulings,
        fn ($ruling) => $ruling->isSupported === null && $ruling->varies,
    )), 0, $next === null ? 3 : 2);
@endphp
<x-layout
    :title="Text::of('report.show.report', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="StandingWords::rule($challenge)">
    <x-report-pages :challenge="$challenge" :record="$record" here="show" :say="Text::of('report.two_to_four_pages')" />
    <article class="sheet report">
        <header class="report-head">
            <p class="small">
                {{ Moment::day($challenge->day()) }} · {{ Text::of('report.show.that_ran_that_count', [
                    'groups' => Text::plural('report.show.group_groups', $record->groups->count()),
                    'cars' => Text::plural('report.show.car_cars', count($findings->found->cars)),
                    'tries' => Text::plural('report.show.try_tries', $record->countedTries()),
                ]) }}
            </p>
            <h2 class="text-2xl">{{ $challenge->question ?? Text::of('report.show.how_far_does_a_breath_of') }}</h2>
        </header>
        <section class="report-answer said"><x-sentences :sentences="[$headline]" big />
            @if ($figure !== null)<p class="small mt-2">{{ $words->howWeKnow($figure->effect) }}</p>@endif</section>
        @if ($figure !== null)
            <section class="report-figure"><x-answer-figure
                :challenge="$challenge" :figure="$figure" :counting="$findings->counting" :tools="false" /></section>
        @endif
        <section>
            <h3>{{ Text::of('report.show.every_car') }}</h3>
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('report.show.every_car') }}"><table class="figures-table">
                <thead><tr><th scope="col">{{ Text::of('report.show.place') }}</th>
                        <th scope="col">{{ Text::of('report.show.group') }}</th><th scope="col">
                            {{ Text::of('report.show.car') }}</th><th scope="col" class="num">{{ Text::of('report.show.tries') }}
                        </th><th scope="col" class="num whitespace-nowrap">
                            {{ Text::of('report.show.mean', ['distance' => $units->symbol(Scale::Distance)]) }}</th>
                        <th scope="col" class="num">95 %</th><th scope="col" class="num">{{ Text::of('report.show.best') }}</th></tr></thead>
                <tbody>
                    @foreach ($record->lines() as $line)
                        @foreach ([$line->car, ...$line->otherCars] as $index => $car)
                            @php([$sample, $mean] = [$record->tries($car)->distances(),
                                Reach::of($farthest, $record->tries($car), Scoring::Mean)])
                            <tr>
                                <td class="num text-left">
                                    {{ $index === 0 && $line->standing->rank !== null ? $line->standing->rank . ($line->standing->tied ? '=' : '') : '' }}
                                </td>
                                <th scope="row"><span class="with-mark">{{ Glyph::of($line->group->mark) }}<span>{{ $car === null
                                    ? $line->group->name : $words->name($car->id) }}</span></span>
                                </th>
                                <td>{{ CarWords::brief($car?->choices, $units) }}</td>
                                <td class="num">{{ $sample->n ?? 0 }}</td>
                                <td class="num">{{ ReachWords::figure($mean, $farthest, Scoring::Mean, $units) }}<x-other-units
                                    :units="$units" :si="$mean?->value" /></td>
                                <td class="num">@if (($interval = $record->interval(\Skivo\Core\Challenge\Goal::Farthest, $sample)) !== null)
                                    {{ $units->figure(max(0, $interval->low), Scale::Distance) }} –
                                    {{ $units->figure($interval->high, Scale::Distance) }}@else – @endif
                                </td>
                                <td class="num">{{ ReachWords::figure(Reach::of($farthest, $record->tries($car), Scoring::Best), $farthest,
                                    Scoring::Best, $units) }}</td>
                            </tr>
                        @endforeach
                    @endforeach
                </tbody>
            </table></div>
            @if ($words->voids() !== null)<p class="small">{{ $words->voids() }}</p>@endif
        </section>
        @if ($drawing->works !== [])
            <section class="report-figure">
                <h3>{{ Text::of('findings.work.why_each_car_stopped_where_it_did') }}</h3>
                <p class="small">{{ Text::of('findings.work.on_every_row_the_two_blocks') }}</p>
                <x-work :drawing="$drawing" :works="$drawing->sorted('distance')" :words="$words" :units="$units" />
            </section>
        @endif
        <section>
            <h3>{{ Text::of('report.show.what_we_found') }}</h3>
            <ul>
                @foreach ([...$found, ...$words->toldBeside()] as $sentence)
                <li><strong>{{ $sentence->lead }}</strong> {{ $sentence->rest }}</li>@endforeach
            </ul>
        </section>
        <section>
            <h3>{{ Text::of('report.show.next_questions') }}</h3>
            <ul>
                @if ($next !== null)<li><strong>{{ $next->lead }}</strong> {{ $next->rest }}</li>@endif
                @foreach ($open as $ruling)<li>{{ Text::of('report.show.or', [
                    'claim' => $schools->claim($ruling),
                    'otherwise' => Label::of($ruling->belief, 'otherwise'),
                ]) }}</li>@endforeach
                @if ($next === null && count($findings->found->cars) < 3)<li>{{ Text::of('report.show.which_car_goes_farther_when_one') }}</li>@endif
            </ul>
        </section>
        <p class="small">{{ Text::of('report.show.the_schools_own_risk_assessment_local') }}</p>
    </article>
</x-layout>

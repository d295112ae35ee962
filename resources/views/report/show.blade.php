@php
    use App\Wording\CarWords;
    use App\Wording\GoalWords;
    use App\Wording\Lists;
    use App\Wording\Phrase;
    use App\Wording\ModelWords;
    use App\Wording\SchoolWords;
    use App\Wording\StandingWords;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Findings\Confounding;
    $units = $challenge->units;
    $varied = Confounding::varying($findings->cars);
    $standing = new StandingWords($record);
    $headline = $words->headline();
    $next = $words->nextTest();
    $model = new ModelWords($record, $findings, $words);
    $schools = new SchoolWords($record, $findings, $words);
@endphp
<x-layout :title="'Report · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="findings" :line="StandingWords::rule($challenge)">
    <x-report-pages :challenge="$challenge" here="show" say="Two to four pages." />
    <article class="sheet report">
        <header class="report-head">
            <p class="small">{{ Phrase::count($record->groups->count(), 'group') }}, {{ Phrase::count(count($findings->cars), 'car') }} that ran, {{ Phrase::count($record->countedTries(), 'try', 'tries') }} that count</p>
            <h2 class="!text-2xl">{{ $challenge->question ?? 'How far does a breath of air carry a car?' }}</h2>
        </header>
        <section class="report-answer said"><x-sentences :sentences="[$headline]" big /></section>
        <section>
            <h3>What was varied</h3>
            <p>{{ $varied === [] ? (count($findings->cars) < Confounding::FEWEST_CARS ? 'Too few cars ran for that to be said.' : 'Nothing that is on record: all cars were built alike.') : ucfirst(Lists::and(array_map(fn ($factor) => $factor->label(), $varied), 12)) . '.' }}</p>
        </section>
        <section>
            <h3>Every car</h3>
            <div class="scroll-x" tabindex="0" role="region" aria-label="Every car"><table class="figures-table">
                <thead><tr><th scope="col">Place</th><th scope="col">Group</th><th scope="col">Car</th><th scope="col" class="num">Tries</th><th scope="col" class="num whitespace-nowrap">Mean ({{ $units->symbol(Scale::Distance) }})</th><th scope="col" class="num">95 %</th><th scope="col" class="num">Best</th><th scope="col" class="num">Friction f</th><th scope="col" class="num">Push (mN)</th></tr></thead>
                <tbody>
                    @foreach ($record->lines as $line)
                        @foreach ([$line->car, ...$line->otherCars] as $index => $car)
                            @php([$sample, $own] = [$record->tries($car)->distances(), $forces->of($car)])
                            <tr>
                                <td class="num !text-left">{{ $index === 0 && $line->standing->rank !== null ? $line->standing->rank . ($line->standing->tied ? '=' : '') : '' }}</td>
                                <th scope="row"><span class="with-mark"><x-mark :mark="$line->group->mark" /><span>{{ $car === null ? $line->group->name : $words->name($car->id) }}</span></span></th>
                                <td>{{ CarWords::brief($car?->choices, $units) }}</td>
                                <td class="num">{{ $sample->n ?? 0 }}</td>
                                <td class="num">{{ $sample === null ? '–' : $units->figure($sample->mean(), Scale::Distance) }}</td>
                                <td class="num">@if ($sample?->meanInterval() !== null){{ $units->figure(max(0, $sample->meanInterval()->low), Scale::Distance) }} – {{ $units->figure($sample->meanInterval()->high, Scale::Distance) }}@else – @endif</td>
                                <td class="num">{{ $sample === null ? '–' : $units->figure($sample->greatest(), Scale::Distance) }}</td>
                                <td class="num">{{ $own === null ? '–' : ($own->frictionIsMeasured() ? '' : '≈ ') . number_format($own->friction->value, 3) }}</td>
                                <td class="num">{{ $own === null ? '–' : ($own->thrustIsMeasured() ? '' : '≈ ') . number_format(1000 * $own->thrust->value) }}</td>
                            </tr>
                        @endforeach
                    @endforeach
                </tbody>
            </table></div>
            <p class="small">≈ estimated from the parts, not measured.{{ $words->voids() === null ? '' : ' ' . $words->voids() }}</p>
        </section>
        <section class="report-figure">
            <h3>Distance against thrust over resistance</h3>
            <x-class-figure :challenge="$challenge" :figure="$figure" :words="$words" :counting="$findings->counting" :tools="false" />
        </section>
        <section>
            <h3>What we found</h3>
            <ul>
                @foreach ($standing->soFar() as $sentence)@if ($sentence->lead !== '')<li><strong>{{ $sentence->lead }}</strong> {{ $sentence->rest }}</li>@endif @endforeach
                @if (count($findings->cars) >= 3)
                    @foreach ($words->effects() as [$sentence])<li><strong>{{ $sentence->lead }}</strong> {{ $sentence->rest }}</li>@endforeach
                    @foreach ($words->confounded() as $sentence)<li><strong>{{ $sentence->lead }}</strong> {{ $sentence->rest }}</li>@endforeach
                    @foreach ($model->calibration() as $sentence)<li><strong>{{ $sentence->lead }}</strong> {{ $sentence->rest }}</li>@endforeach
                    @php($off = $model->offTheLine())
                    @foreach (array_slice($off, 0, 5) as [$sentence])<li><strong>{{ $sentence->lead }}</strong> {{ $sentence->rest }}</li>@endforeach
                    @if (count($off) > 5)<li>{{ count($off) - 5 }} more cars lie off the line.</li>@endif
                @endif
            </ul>
        </section>
        <section>
            <h3>Next questions</h3>
            <ul>
                @if ($next !== null)<li><strong>{{ $next->lead }}</strong> {{ $next->rest }}</li>@endif
                @foreach ($findings->rulings as $ruling)@if ($ruling->isSupported === null && $ruling->varies)<li>{{ $ruling->school->claim() }}, or {{ $ruling->school->otherwise() }}? {{ $schools->evidence($ruling) }}</li>@endif @endforeach
                @if ($next === null && count($findings->cars) < 3)<li>Which car goes farther when one thing on it is changed?</li>@endif
            </ul>
        </section>
        <section class="report-cautions"><h3>Cautions that held</h3><ul>@foreach ($cautions as $caution)<li>{{ $caution->title() }}: {{ $caution->steps()[0] }}</li>@endforeach</ul><p class="small">The school’s own risk assessment, local rules and qualified staff come first.</p></section>
    </article>
</x-layout>

@php
    use App\Reading\Counting;
    use App\Wording\ModelWords;
    use App\Wording\SchoolWords;
    $headline = $words->headline();
    $effects = $words->effects();
    $next = $words->nextTest();
    $enough = count($findings->cars) >= 3;
    $several = $words->severalFactors();
    $marked = array_map(fn ($id) => $words->name($id), array_keys($findings->marks));
    $off = (new ModelWords($record, $findings, $words))->offTheLine();
    $schools = new SchoolWords($record, $findings, $words);
    $every = array_map(fn ($car) => $car->id, $findings->cars);
@endphp
<x-layout :title="'Findings · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="class" :counting="$findings->counting" />
    <div class="findings-layout" data-part="findings">
        <section class="min-w-0" aria-label="Distance against thrust over resistance">
            <x-class-figure :challenge="$challenge" :figure="$figure" :words="$words" :counting="$findings->counting" />
            @if ($words->notDrawn() !== null)<p class="small mt-2 prose">{{ $words->notDrawn() }}</p>@endif
            <p class="small mt-3 prose">By work and energy, distance = (thrust ÷ resistance) × the stretch over which the balloon blew. @if ($marked !== []) {{ \App\Wording\Lists::and($marked, 9) }} {{ count($marked) === 1 ? 'has' : 'have' }} the ratio straight from two marks on the floor, limp and stop. @endif Filled marks are measured; hollow ones rest on the parts and on the class’s friction.</p>
        </section>
        <section class="said" aria-label="In words">
            <x-sentences :sentences="[$headline]" big />
            @if ($findings->cars !== [])<p><x-behind :challenge="$challenge" :cars="$words->behindHeadline()" /></p>@endif
            @if ($next !== null)<p class="next-test"><strong>{{ $next->lead }}</strong> {{ $next->rest }}</p>@endif
            <form method="get" action="{{ route('findings.show', $challenge) }}" class="mt-4 no-print">
                <span class="switch">@foreach (Counting::cases() as $each)<a href="{{ route('findings.show', [$challenge] + ($each === Counting::Rule ? [] : ['tries' => $each->value])) }}" aria-current="{{ $each === $findings->counting ? 'true' : 'false' }}">{{ $each->label() }}</a>@endforeach</span>
            </form>
            @if ($words->voids() !== null)<p class="small mt-2">{{ $words->voids() }}</p>@endif
            <ul class="claims">@foreach ($words->outliers() as [$sentence, $cars])<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
        </section>
    </div>
    <div data-part="found">
    @if ($enough)
        <section class="findings-part" aria-labelledby="mattered">
            <h2 id="mattered">What mattered</h2>
            <div>
                @if ($effects === [])<p class="prose">No two cars differ in one choice only, so no choice can be judged by itself.</p>@endif
                <ul class="claims">
                    @foreach ($effects as [$sentence, $cars])<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach
                    @foreach ($words->confounded() as $sentence)<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$every" />@endforeach
                    @if ($words->notJudged() !== null)<x-claim :challenge="$challenge" :sentence="$words->notJudged()" />@endif
                    @if ($several !== null)<x-claim :challenge="$challenge" :sentence="$several" :cars="$every" />@endif
                </ul>
                @if ($words->manyLookedAt() !== null)<p class="small mt-2 prose">{{ $words->manyLookedAt() }}</p>@endif
                <p class="small mt-2 prose">A fair pair is two cars that differ in one choice only, sizes within a twentieth counting as the same; a rebuilt car is one with its older self. No car is in two pairs of one choice, so that each pair is a witness of its own.</p>
            </div>
        </section>
        <section class="findings-part" aria-labelledby="schools">
            <h2 id="schools">Which school was right here</h2>
            <div class="scroll-x" tabindex="0" role="region" aria-label="Where teachers disagree">
                <table class="figures-table schools">
                    <thead><tr><th scope="col">Some say</th><th scope="col">Here</th><th scope="col">By what</th><th scope="col">The model</th></tr></thead>
                    <tbody>
                        @php($regime = $findings->typical === null ? null : $schools->regime())
                        @foreach ($findings->rulings as $ruling)
                            <tr>
                                <th scope="row">{{ $ruling->school->claim() }}<span class="small block font-normal">others: {{ $ruling->school->otherwise() }}</span></th>
                                <td @class(['verdict', 'font-bold' => $ruling->isSupported !== null])>{{ $schools->verdict($ruling) }}</td>
                                <td>{{ $schools->evidence($ruling) }} @if ($ruling->effect !== null && ! $ruling->byRegression)<x-behind :challenge="$challenge" :cars="$words->behind($ruling->effect)" />@elseif ($ruling->byRegression)<x-behind :challenge="$challenge" :cars="$every" />@endif</td>
                                <td class="small">{{ $schools->reason($ruling, $regime) }}</td>
                            </tr>
                        @endforeach
                        <tr><th scope="row">Best, mean or median counts<span class="small block font-normal">another name may win by another rule</span></th><td class="verdict font-bold">{{ $schools->scoringVerdict()->lead }}</td><td>{{ $schools->scoringVerdict()->rest }} <x-behind :challenge="$challenge" :cars="$every" /></td><td class="small">The mean uses every try; the best rewards one lucky one; the median shrugs off one bad one.</td></tr>
                        <tr><th scope="row">Same car for all, or free design<span class="small block font-normal">results that compare, or room to invent</span></th><td class="verdict">{{ $effects === [] ? 'no fair pair' : count($findings->effects) . ' choice' . (count($findings->effects) === 1 ? '' : 's') . ' with fair pairs' }}</td><td>{{ $effects === [] ? 'These designs are too free to compare: none differs from another in one thing only.' : 'Where cars were alike but for one thing, results compare; the rest is invention.' }}</td><td class="small"></td></tr>
                    </tbody>
                </table>
            </div>
        </section>
        @if ($off !== [])
            <section class="findings-part" aria-labelledby="off">
                <h2 id="off">Who lies off the line</h2>
                <ul class="claims">@foreach ($off as [$sentence, $cars])<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
            </section>
        @endif
    @endif
    </div>
</x-layout>

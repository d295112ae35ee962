@php
    use App\Language\Lists;
    use App\Record\Counting;
    $next = $words->nextTest();
    $question = $findings->found->question;
    $school = $effect === null ? null : $words->why($effect);
@endphp
<x-layout
    :title="Text::of('findings.show.findings', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="answer" :counting="$findings->counting" />
    <div class="answer-layout" data-part="findings">
        <section class="min-w-0" aria-label="{{ Text::of('findings.show.the_graph') }}">
            @if ($effect === null && $figures !== [])
                <div class="foremost">@foreach ($figures as $figure)<div>
                    <h3>{{ Label::title($figure->effect->factor) }}</h3>
                    <x-answer-figure :challenge="$challenge" :figure="$figure" :counting="$findings->counting" :tools="false" />
                    @if (count($figures) > 1)<p>{{ $words->effect($figure->effect)->lead }}
                        {{ $words->effect($figure->effect)->rest }}</p>@endif</div>@endforeach</div>
            @elseif ($figures !== [])
                <x-answer-figure :challenge="$challenge" :figure="$figures[0]" :counting="$findings->counting" />
                <x-shares :drawing="$shares" />
            @else
                <p class="prose">{{ Text::of('findings.show.no_graph_yet') }}</p>
            @endif
        </section>
        <section class="answer-said" aria-label="{{ Text::of('findings.show.in_words') }}">
            @if ($question === null && $findings->found->cars !== [])
                <p class="answer-asked">{{ Text::of('findings.show.free_design') }}
                    <a href="{{ route('challenges.edit', $challenge) }}">{{ Text::of('findings.show.choose_a_question') }}</a></p>
            @endif
            <x-answer :challenge="$challenge" :words="$words" :question="$question" />
            @if ($shares !== null)<p class="answer-part shares-said">{{ $words->shares($effect) }}</p>@endif
            @if ($effect !== null)
                <p class="answer-part known"><strong>{{ Text::of('findings.show.how_we_know') }}</strong> {{ $words->howWeKnow($effect) }}
                    <x-behind :challenge="$challenge" :cars="$effect->cars()" /></p>
            @endif
            @if ($school !== null)<p class="answer-part"><strong>{{ Text::of('findings.show.why') }}</strong> {{ $school }}</p>@endif
            @if ($next !== null)<p class="answer-part next"><strong>{{ Text::of('findings.show.next') }}</strong> {{ $next->lead }} {{ $next->rest }}</p>
                @can('update', $challenge)
                    @if ($asked->isEmpty())<form method="post" action="{{ route('findings.next', $challenge) }}" class="actions mt-2 mb-4 no-print">
                        @csrf @method('put')<button class="button">{{ Text::of('findings.next.plan') }}</button>
                        <span class="small">{{ Text::of('findings.next.what_planning_does') }}</span></form>
                    @else<form method="post" action="{{ route('findings.no-next', $challenge) }}" class="actions mt-2 mb-4 no-print">
                        @csrf<span class="small">{{ Text::of('findings.next.asked', ['groups' => Lists::and($asked->pluck('name')->all(), 6)]) }}</span>
                        <button class="button plain">{{ Text::of('findings.next.drop') }}</button></form>@endif
                @endcan
            @endif
            @if ($findings->found->cars !== [])
                <form method="post" action="{{ route('findings.tell', $challenge) }}" class="actions mt-4 no-print">
                    @csrf @method('put')
                    <input type="hidden" name="tell" value="{{ $challenge->answer_told_at === null ? '1' : '0' }}">
                    <button @class(['button', 'do' => $challenge->answer_told_at === null])>{{ $challenge->answer_told_at === null
                        ? Text::of('findings.show.tell_the_class') : Text::of('findings.show.back_to_the_floor') }}</button>
                    <span class="small">{{ $challenge->answer_told_at === null ? Text::of('findings.show.what_telling_does')
                        : Text::of('findings.show.the_class_sees_it') }}</span>
                </form>
            @endif
            <form method="get" action="{{ route('findings.show', $challenge) }}" class="mt-4 no-print">
                <span class="switch">@foreach (Counting::cases() as $each)<a
                    href="{{ route('findings.show', [$challenge] + ($each === Counting::Rule ? [] : ['tries' => $each->value])) }}"
                    aria-current="{{ $each === $findings->counting ? 'true' : 'false' }}">{{ Label::of($each) }}</a>@endforeach</span>
            </form>
            @if ($words->voids() !== null)<p class="small mt-2">{{ $words->voids() }}</p>@endif
            <ul class="claims">@foreach ($words->outliers() as [$sentence, $cars])
                <x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
        </section>
    </div>
</x-layout>

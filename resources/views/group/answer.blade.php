@php($words = new \App\Pages\Findings\FindingWords($record, $reading->findings))
<x-layout :title="$group->name" :challenge="$challenge" :record="$record" :heading="$group->name" :line="$challenge->question ?? $challenge->name" live="page">
    <p class="actions mt-3"><a class="button" href="{{ route('groups.own', [$challenge, $group]) }}">{{ Text::of('device.answer.back_to_our_car') }}</a></p>
    <div class="answer-layout" data-part="answer">
        @if ($challenge->answer_told_at === null)
            <p class="prose">{{ Text::of('device.answer.not_told_yet') }}</p>
        @else
            <section>@if ($reading->figure !== null)<x-answer-figure
                :challenge="$challenge" :figure="$reading->figure" :counting="$reading->findings->counting" :tools="false" />@endif</section>
            <section class="answer-said"><x-answer :challenge="$challenge" :words="$words" :question="$reading->findings->found->question" />
                @if ($reading->effect !== null)<p class="answer-part known"><strong>{{ Text::of('findings.show.how_we_know') }}</strong>
                    {{ $words->howWeKnow($reading->effect) }}</p>@endif</section>
        @endif
    </div>
</x-layout>

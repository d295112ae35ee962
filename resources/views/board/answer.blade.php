{{-- The answer to the class's question, read from ten metres. --}}
@php
    $reading = new \App\Pages\Findings\AnswerReading($record, \App\Record\ClassFindings::of($record));
    $words = new \App\Pages\Findings\FindingWords($record, $reading->findings);
@endphp
<header class="board-head"><h1><bdi>{{ $challenge->name }}</bdi></h1></header>
<div class="answer-layout board-answer">
    <section>@if ($reading->figure !== null)<x-answer-figure
        :challenge="$challenge" :figure="$reading->figure" :counting="$reading->findings->counting" :tools="false" />@endif</section>
    <section class="answer-said"><x-answer :challenge="$challenge" :words="$words" :question="$reading->findings->found->question" />
        @if ($reading->effect !== null)<p class="answer-part known">{{ $words->howWeKnow($reading->effect) }}</p>@endif</section>
</div>

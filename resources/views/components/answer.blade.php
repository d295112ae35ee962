{{-- The question and its answer, in words. --}}
@props(['challenge', 'words', 'question'])
@php($headline = $words->headline())
@if ($question !== null)
    <p class="answer-asked">{{ Text::of('findings.show.the_class_asked') }}</p>
    <h2 class="answer-question"><bdi>{{ $challenge->question ?? \App\Language\FactorWords::question($question) }}</bdi></h2>
@endif
<p class="answer-word"><bdi>{{ $headline->lead }}</bdi></p>
<p class="answer-size"><bdi>{{ $headline->unbroken($headline->rest) }}</bdi></p>
@if ($headline->small !== '')<p class="small mt-2">{{ $headline->small }}</p>@endif

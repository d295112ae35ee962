@php
    use App\Wording\StandingWords;
@endphp
<h2 class="mb-2 [column-span:all]">So far</h2>
<x-sentences :sentences="(new StandingWords($record))->soFar()" />
<p class="small">{{ StandingWords::rule($challenge) }}</p>
@if ($record->lastRun() !== null)
    <button class="button plain -ml-3 mt-2 no-print" form="undo" data-key="u"><span>Undo the last: <bdi>{{ \Illuminate\Support\Str::limit($record->lastGroup()->name ?? '', 24) }}</bdi>, try {{ $record->lastRun()->try }}</span></button>
@endif

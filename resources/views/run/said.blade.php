@use('App\Pages\Run\ActWords')
@use('App\Language\StandingWords')
<h2 class="mb-2 [column-span:all]">{{ Text::of('run.said.so_far') }}</h2>
<x-sentences :sentences="(new StandingWords($record))->soFar()" />
<p class="small">{{ StandingWords::rule($challenge) }}</p>
@if ($record->lastAct() !== null)
    <button class="button plain -ml-3 mt-2 no-print" form="undo" name="act"
        value="{{ $record->lastAct()->id }}"><span><bdi>{{ (new ActWords($record->lastAct(),
        $challenge->units))->button() }}</bdi></span></button>
@endif

{{-- Why one group's car stopped where it did: of every version of it that ran, to a scale of their own. --}}
@props(['challenge', 'works', 'words'])
<x-work :drawing="new \App\Pages\Findings\WorkDrawing($challenge->units, $works)" :works="$works" :words="$words" :units="$challenge->units"
    :terms="$challenge->age->seesTerms()" />
@if ($challenge->age->seesTerms())<p class="small mt-1 prose">{{ $words->workedOut($works) }}</p>@endif

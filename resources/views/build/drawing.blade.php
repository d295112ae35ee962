@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $mass = $reading->mass;
    $difference = $mass->differenceKg();
@endphp
<x-car-drawing :reading="$reading" :units="$units" />
@if ($reading->faults !== [])
    <ol class="faults">@foreach ($reading->faults as $fault)<li @class(['stops' => $fault->stops])>{{ $fault->message }}</li>@endforeach</ol>
@else
    <p class="small mt-2">{{ $reading->breaches === [] ? 'Nothing that is recorded speaks against it.' : 'It can be built as recorded; but it breaks the rules, below.' }} What is not recorded is drawn as the parts list has it.</p>
@endif
@if ($reading->beyondModel !== [])<p class="small mt-2">{{ \App\Wording\ModelWords::beyond($reading->beyondModel, $units) }}</p>@endif
@if ($mass->sumKg() !== null)
    <p class="mt-2"><strong>Mass by its parts:</strong> {{ $units->show($mass->sumKg(), Scale::Weight) }}@if (! $mass->isComplete())<span class="small"> so far, without {{ \App\Wording\Lists::and(array_map(fn ($choice) => mb_strtolower($choice->label()), $mass->missing), 6) }}</span>@endif{{ $difference === null ? '.' : ($difference >= 0 ? ', and ' . $units->show($difference, Scale::Weight) . ' more on the scale: glue and tape, or something that was not weighed.' : ', which is ' . $units->show(-$difference, Scale::Weight) . ' more than on the scale. Weigh again.') }}</p>
@endif
@if ($reading->breaches !== [])
    <ul class="breaches">@foreach ($reading->breaches as $breach)<li>{{ $breach->message }}</li>@endforeach</ul>
@endif

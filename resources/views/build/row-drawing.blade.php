@php($say = new Words($challenge->units))
<x-parts-to-scale :car="$reading->car" />
@foreach ($reading->faults as $fault)<p class="small text-do-dark">{{ $say->say($fault->remark) }}</p>@endforeach
@foreach ($reading->breaches as $breach)<p class="small text-do-dark">{{ $say->say($breach->remark) }}</p>@endforeach

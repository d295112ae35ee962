{{-- A distance in the units that the class does not use: averages of other classes may have come in them. --}}
@props(['units', 'si', 'scale' => \Skivo\Core\Measurement\Scale::Distance])
@if ($si !== null && $scale === \Skivo\Core\Measurement\Scale::Distance)<span class="small other-units">{{ $units->other()->show($si, $scale) }}</span>@endif

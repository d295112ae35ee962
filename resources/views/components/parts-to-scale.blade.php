{{-- Balloon, wheel and nozzle beside each other on the ground, all to one scale: 26 cm fill the height. --}}
@props(['car'])
@php
    use Skivo\Core\Car\Choice;
    use Skivo\Core\Findings\Factor;
    $perMetre = 76 / 0.26;
    $balloon = $car === null ? null : Factor::BalloonSize->of($car);
    $wheel = $car?->number(Choice::WheelDiameter);
    $bore = $car?->number(Choice::NozzleBore);
    $outlets = min(8, (int) ($car?->number(Choice::NozzleOutlets) ?? 1));
    $length = $car?->number(Choice::NozzleLength) ?? 0.05;
    $ground = 78;
    $balloonRadius = min(38, $balloon * $perMetre / 2);
    $wheelRadius = min(30, $wheel * $perMetre / 2);
@endphp
<svg class="parts" viewBox="0 0 176 80" role="img" aria-label="Balloon, wheel and nozzle to scale">
    <line class="ground" x1="0" x2="176" y1="{{ $ground + 1 }}" y2="{{ $ground + 1 }}" />
    @if ($balloon !== null)<circle class="balloon" cx="42" cy="{{ $ground - $balloonRadius }}" r="{{ round($balloonRadius, 2) }}" />@endif
    @if ($wheel !== null)<circle class="wheel" cx="104" cy="{{ $ground - $wheelRadius }}" r="{{ round($wheelRadius, 2) }}" /><circle cx="104" cy="{{ $ground - $wheelRadius }}" r="1.4" />@endif
    @if ($bore !== null)
        @for ($i = 0; $i < $outlets; $i++)
            <rect class="tube" x="128" y="{{ round($ground - ($i + 1) * ($bore * $perMetre + 1), 2) }}" width="{{ round(min(46, $length * $perMetre), 2) }}" height="{{ round($bore * $perMetre, 2) }}" />
        @endfor
    @endif
</svg>

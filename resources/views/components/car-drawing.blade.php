{{-- A car from the side and from above, both to one scale, the balloon at full size. Forward is to the right, as on the lane. --}}
@props(['reading', 'units'])
@php
    use Skivo\Core\Car\Spot;
    use Skivo\Core\Measurement\Scale;
    $l = $reading->layout;
    [$bx, $by] = $l->balloonCentre();
    $r = $l->balloonDiameter / 2;
    $wheel = $l->wheelRadius();
    $tubes = $l->tubes();
    $exit = $tubes[0];
    $rear = min($exit['x'], $l->rearAxle - $wheel, 0) - 0.035;
    $front = max($bx + $r, $l->chassisLength, $l->frontAxle() + $wheel) + 0.01;
    $half = max($r, ($l->frontTrack + $l->wheelThickness) / 2, $l->frontAxleLength / 2, $l->rearAxleLength / 2, $l->chassisWidth / 2);
    $top = max($by + $r, 2 * $wheel, $l->chassisTop());
    $width = 560;
    $scale = min(($width - 20) / ($front - $rear), 215 / ($top + 0.005), 235 / (2 * $half));
    $indent = ($width - ($front - $rear) * $scale) / 2;
    $ground = 30 + $top * $scale;
    $middle = $ground + 104 + $half * $scale;
    $height = round($middle + $half * $scale + 34);
    $x = fn (float $m) => round($indent + ($m - $rear) * $scale, 2);
    $y = fn (float $m) => round($ground - $m * $scale, 2);
    $z = fn (float $m) => round($middle + $m * $scale, 2);
    $s = fn (float $m) => round(max(1.5, $m * $scale), 2);
    $body = fn (float $m) => $units->show($m, Scale::Body);
    $axles = [[$l->frontAxle(), $l->frontTrack, $l->frontAxleLength, $l->frontBearing], [$l->rearAxle, $l->rearTrack, $l->rearAxleLength, $l->rearBearing]];
    $axis = $l->nozzleAxis();
    $angle = rad2deg($l->angle);
    $spots = [
        Spot::FrontWheels->value => [[$x($l->frontAxle()), $y($wheel)], [$x($l->frontAxle()), $z(-$l->frontTrack / 2)]],
        Spot::RearWheels->value => [[$x($l->rearAxle), $y($wheel)], [$x($l->rearAxle), $z(-$l->rearTrack / 2)]],
        Spot::FrontAxle->value => [[$x($l->frontAxle()), $y($wheel)], [$x($l->frontAxle()), $z(0)]],
        Spot::RearAxle->value => [[$x($l->rearAxle), $y($wheel)], [$x($l->rearAxle), $z(0)]],
        Spot::Chassis->value => [[$x($l->chassisLength), $y($l->chassisTop())], [$x($l->chassisLength), $z($l->chassisWidth / 2)]],
        Spot::Balloon->value => [[$x($bx), $y($by - $r)], null],
        Spot::Neck->value => [[$x($l->neck()), $y($axis)], null],
        Spot::Nozzle->value => [[$x($exit['x']), $y($axis)], null],
    ];
    $used = [];
    // The neck: from the tube to where lines from it touch the round balloon.
    [$toX, $toY] = [$bx - $l->neck(), $by - $axis];
    $away = max(hypot($toX, $toY), $r * 1.01);
    $turn = acos($r / $away);
    $touch = array_map(fn ($side) => [$bx + $r * cos(atan2(-$toY, -$toX) + $side * $turn), $by + $r * sin(atan2(-$toY, -$toX) + $side * $turn)], [-1, 1]);
@endphp
<svg class="drawing car-drawing" viewBox="0 0 {{ $width }} {{ $height }}" role="img" aria-label="The car to scale, from the side and from above: balloon {{ $body(2 * $r) }}, chassis {{ $body($l->chassisLength) }} by {{ $body($l->chassisWidth) }}, wheelbase {{ $body($l->wheelbase) }}, track {{ $body($l->frontTrack) }}">
    <text class="view-name" x="0" y="14">From the side</text>
    <line class="ground" x1="0" x2="{{ $width }}" y1="{{ $ground + 1 }}" y2="{{ $ground + 1 }}" />
    <path class="skin" d="M{{ $x($l->neck()) }} {{ $y($axis + $exit['bore'] / 2) }}L{{ $x($touch[0][0]) }} {{ $y($touch[0][1]) }}A{{ $s($r) }} {{ $s($r) }} 0 1 1 {{ $x($touch[1][0]) }} {{ $y($touch[1][1]) }}L{{ $x($l->neck()) }} {{ $y($axis - $exit['bore'] / 2) }}Z" />
    <g transform="rotate({{ round(-$angle, 2) }} {{ $x(0) }} {{ $y($axis) }})">
        @foreach (array_reverse($tubes) as $tube)<rect class="tube" x="{{ $x($tube['x']) }}" y="{{ round($y($axis) - $s($tube['bore']) / 2, 2) }}" width="{{ $s($tube['length']) }}" height="{{ $s($tube['bore']) }}" />@endforeach
        <path class="jet" d="M{{ $x($exit['x']) - 4 }} {{ $y($axis) }}h-26m7 -4l-7 4l7 4" />
    </g>
    <rect class="card" x="{{ $x(0) }}" y="{{ $y($l->chassisTop()) }}" width="{{ $s($l->chassisLength) }}" height="{{ $s($l->chassisHeight) }}" />
    @foreach ($axles as [$at])
        <circle class="wheel" cx="{{ $x($at) }}" cy="{{ $y($wheel) }}" r="{{ $s($wheel) }}" />
        <circle class="rod" cx="{{ $x($at) }}" cy="{{ $y($wheel) }}" r="{{ $s($l->axleDiameter / 2) }}" />
    @endforeach
    <g class="dimension">
        <line x1="{{ $x($l->frontAxle()) }}" x2="{{ $x($l->rearAxle) }}" y1="{{ $ground + 14 }}" y2="{{ $ground + 14 }}" />
        <text x="{{ ($x($l->frontAxle()) + $x($l->rearAxle)) / 2 }}" y="{{ $ground + 29 }}" text-anchor="middle">{{ $body($l->wheelbase) }}</text>
        <text x="0" y="{{ $ground + 48 }}">Ground clearance {{ $units->show(max(0, $l->groundClearance()), Scale::Part) }}</text>
        <text x="0" y="{{ $ground + 70 }}">Balloon clears the floor by {{ $units->show(max(0, $l->balloonClearance()), Scale::Part) }}</text>
    </g>
    <text class="view-name" x="0" y="{{ $ground + 98 }}">From above</text>
    @foreach ($axles as [$at, $track, $length, $bearing])
        <rect class="rod" x="{{ round($x($at) - $s($l->axleDiameter) / 2, 2) }}" y="{{ $z(-$length / 2) }}" width="{{ $s($l->axleDiameter) }}" height="{{ $s($length) }}" />
        <rect class="straw" x="{{ round($x($at) - $s($l->bearingBore) / 2, 2) }}" y="{{ $z(-$bearing / 2) }}" width="{{ $s($l->bearingBore) }}" height="{{ $s($bearing) }}" />
    @endforeach
    <rect class="card see-through" x="{{ $x(0) }}" y="{{ $z(-$l->chassisWidth / 2) }}" width="{{ $s($l->chassisLength) }}" height="{{ $s($l->chassisWidth) }}" />
    @foreach ($axles as [$at, $track])
        @foreach ([-1, 1] as $side)<rect class="wheel" x="{{ $x($at - $wheel) }}" y="{{ round($z($side * $track / 2) - $s($l->wheelThickness) / 2, 2) }}" width="{{ $s(2 * $wheel) }}" height="{{ $s($l->wheelThickness) }}" />@endforeach
    @endforeach
    @php($pitch = $exit['bore'] * 1.2)
    @for ($i = 0; $i < min(12, $l->outlets); $i++)
        <rect class="tube" x="{{ $x($exit['x']) }}" y="{{ round($z(($i - (min(12, $l->outlets) - 1) / 2) * $pitch) - $s($exit['bore']) / 2, 2) }}" width="{{ $s($exit['length']) }}" height="{{ $s($exit['bore']) }}" />
    @endfor
    <circle class="skin see-through" cx="{{ $x($bx) }}" cy="{{ $z(0) }}" r="{{ $s($r) }}" />
    <g class="dimension">
        <line x1="6" x2="6" y1="{{ $z(-$l->rearTrack / 2) }}" y2="{{ $z($l->rearTrack / 2) }}" />
        <text class="halo" x="0" y="{{ $z($l->rearTrack / 2) + 20 }}">track {{ $body($l->rearTrack) }}</text>
        <text x="{{ $x($l->chassisLength / 2) }}" y="{{ $height - 6 }}" text-anchor="middle">chassis {{ $body($l->chassisLength) }} × {{ $body($l->chassisWidth) }}</text>
    </g>
    @foreach ($reading->faults as $number => $fault)
        @foreach (array_filter($spots[$fault->spot->value]) as $view => [$atX, $atY])
            @php($used["{$fault->spot->value}{$view}"] = ($used["{$fault->spot->value}{$view}"] ?? -1) + 1)
            @php($atX += 20 * $used["{$fault->spot->value}{$view}"])
            <g @class(['fault-mark', 'stops' => $fault->stops])><circle cx="{{ $atX }}" cy="{{ $atY }}" r="10" /><text x="{{ $atX }}" y="{{ $atY + 4.5 }}" text-anchor="middle">{{ $number + 1 }}</text></g>
        @endforeach
    @endforeach
</svg>

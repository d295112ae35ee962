{{-- The energy of a run as one bar, and the little that pushes the car drawn out below it. --}}
@props(['energy', 'name', 'source'])
@php
    use App\Pages\Findings\EnergyFlowDrawing;
    use Skivo\Core\Car\Attribute\EnergySource;
    $drawing = new EnergyFlowDrawing($energy);
    $percent = Figure::percent($drawing->share, 1);
@endphp
<div class="wide-drawing" tabindex="0">
<svg
    class="drawing energy" viewBox="0 0 {{ EnergyFlowDrawing::WIDTH }} 190" role="img"
    aria-label="{{ Text::of('findings.energy_flow.energy_of_pushes_the_car', ['name' => $name, 'share' => $percent]) }}">
    <text x="0" y="16">{{ Text::of(match (true) {
        $source->winds() => 'findings.energy_flow.wound_up_j', $source === EnergySource::Ramp => 'findings.energy_flow.lifted_j',
        $source->rollsDown() => 'findings.energy_flow.lifted_and_stored_j', default => 'findings.energy_flow.stored_in_rubber_and_air_j',
    }, ['stored' => number_format($energy->putIn(), 2)]) }}</text>
    <rect class="jet-share" x="0" y="26" width="{{ EnergyFlowDrawing::WIDTH }}" height="44" /><rect class="push-share" x="0" y="26"
        width="{{ $drawing->push }}" height="44" />
    <text x="{{ $drawing->besidePush() }}"
        y="53">{{ Text::of(match (true) {
            $source->winds() => 'findings.energy_flow.warmth_in_the_rubber_j', $source === EnergySource::Ramp => 'findings.energy_flow.rolled_away_j',
            $source->rollsDown() => 'findings.energy_flow.jet_nozzle_and_ramp_j', default => 'findings.energy_flow.jet_and_nozzle_j',
        }, ['lost' => number_format($drawing->lostJ, 2)]) }}</text>
    <path class="drawn-out" d="M0 70L0 104L520 104L{{ $drawing->push }} 70Z" />
    <rect class="rolling-share" x="0" y="104" width="{{ $drawing->rolling }}" height="44" />
    <rect class="air-share" x="{{ $drawing->rolling }}" y="104" width="{{ EnergyFlowDrawing::DRAWN_OUT - $drawing->rolling }}" height="44" />
    <text x="534" y="131">{{ Text::of('findings.energy_flow.pushed_the_car_mj', [
        'thrust_work' => number_format(1000 * $drawing->pushJ),
        'share' => $percent,
    ]) }}</text>
    <text x="0" y="168">{{ Text::of('findings.energy_flow.rolling_mj', ['rolling' => number_format(1000 * $energy->rolling)]) }}</text><text
        x="520" y="168" text-anchor="end">{{ Text::of('findings.energy_flow.air_mj',
        ['drag' => number_format(1000 * ($energy->drag + $energy->carriedOff))]) }}</text>
</svg>
</div>

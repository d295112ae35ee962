{{-- A part to scale beside others of its kind. --}}
@props(['part', 'among'])
@php
    use App\Pages\Build\PartPicture;
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Car\Attribute\PartKind;
    $drawing = new PartPicture($part, $among);
    [$middle, $centre] = [PartPicture::MIDDLE, PartPicture::CENTRE];
    $size = $drawing->size(...);
@endphp
<svg class="part-picture" viewBox="0 0 {{ PartPicture::WIDTH }} {{ PartPicture::HEIGHT }}" aria-hidden="true">
    @switch($part->kind)
        @case(PartKind::Chassis)
            <path class="card" d="{{ $drawing->outline() }}" />
            @break
        @case(PartKind::Wheel)
            <circle class="wheel" cx="{{ $middle }}" cy="{{ $centre }}" r="{{ $size(CarAttribute::WheelDiameter) / 2 }}" />
            <circle class="rod" cx="{{ $middle }}" cy="{{ $centre }}" r="1.6" />
            @break
        @case(PartKind::Balloon)
            <circle class="skin" cx="{{ $middle + 4 }}" cy="{{ $centre }}" r="{{ $size(CarAttribute::BalloonNominal) / 2 }}" />
            <path class="skin" d="M{{ $drawing->neckX() }} {{ $centre - 3 }}h-7v6h7" />
            @break
        @case(PartKind::Nozzle)
            @foreach ($drawing->tubes() as $tube)
            <rect class="tube" x="{{ $tube['x'] }}" y="{{ $tube['y'] }}" width="{{ $tube['width'] }}" height="{{ $tube['height'] }}" />
            @endforeach
            @break
        @case(PartKind::Bearing)
            <circle class="tube" cx="{{ $middle }}" cy="{{ $centre }}" r="{{ $size(CarAttribute::BearingBore) / 2 + 3 }}" />
            <circle class="hole" cx="{{ $middle }}" cy="{{ $centre }}" r="{{ $size(CarAttribute::BearingBore) / 2 }}" />
            <circle class="rod" cx="{{ $middle }}" cy="{{ $drawing->axleY() }}" r="{{ $size(CarAttribute::AxleDiameter) / 2 }}" />
            @break
    @endswitch
</svg>

{{-- One of a few as a small picture, where a picture says more than its word. --}}
@props(['option'])
@use('App\Pages\Build\FormPicture')
@use('Skivo\Core\Car\Attribute\ChassisForm')
@use('Skivo\Core\Car\Attribute\EnergySource')
@use('Skivo\Core\Car\Attribute\NoseShape')
@use('Skivo\Core\Physics\Hollow')
@use('Skivo\Core\Physics\WheelMount')
@if ($option instanceof ChassisForm)
    <svg class="choice-picture" viewBox="0 0 {{ FormPicture::WIDTH }} {{ FormPicture::HEIGHT }}" aria-hidden="true">
        <path class="body" d="{{ FormPicture::of($option) }}" />
        @if ($option === ChassisForm::BrickFrame)<path class="holes" d="M10 17h46" />@endif
        @if ($option === ChassisForm::FoldedPlate)<path class="fold" d="M8 10q24 4 48 0M8 24q24 -4 48 0" />@endif
        @if ($option === ChassisForm::Block)<path class="fold" d="M8 8l4 -4h50l-4 4M58 29l4 -4v-21" />@endif
    </svg>
@elseif ($option instanceof NoseShape)
    @php($front = match ($option) {
        NoseShape::Flat => '56v18', NoseShape::Round => '44a9 9 0 0 1 0 18', NoseShape::Wedge => '38l18 18', NoseShape::Point => '42l14 9l-14 9',
    })
    <svg class="choice-picture" viewBox="0 0 64 34" aria-hidden="true"><path class="body" d="M4 8h{{ $front }}H4Z" /></svg>
@elseif ($option instanceof Hollow)
    <svg class="choice-picture" viewBox="0 0 64 34" aria-hidden="true">
        <path class="body" d="M14 13h36v8h-36z" />
        <path class="fold" d="{{ $option === Hollow::Outwards ? 'M8 5h-6M8 29h-6M8 5v24M56 5h6M56 29h6M56 5v24'
            : 'M4 5h8M4 29h8M4 5v24M60 5h-8M60 29h-8M60 5v24' }}" />
    </svg>
@elseif ($option instanceof EnergySource)
    <svg class="choice-picture" viewBox="0 0 64 34" aria-hidden="true">
        @if ($option->rollsDown())<path class="fold" d="M4 8L38 30H62" />@else<path class="fold" d="M2 31h60" />@endif
        @if ($option->blows())<circle class="body" cx="{{ $option->rollsDown() ? 44 : 36 }}" cy="12" r="10" /><path class="fold"
            d="M{{ $option->rollsDown() ? 34 : 26 }} 14h-10" />@endif
        @if ($option->winds())<path class="body" d="M10 17h44v4h-44z" />
            <circle class="fold" cx="18" cy="24" r="6" /><circle class="fold" cx="46" cy="24" r="6" />
            <path class="turn" d="M52 15L20 21a3 3 0 1 0 1 5" />@endif
        @if ($option === EnergySource::Ramp)<path class="body" d="M13 6l14 9l-3 5l-14 -9z" />@endif
    </svg>
@elseif ($option instanceof WheelMount)
    <svg class="choice-picture" viewBox="0 0 64 34" aria-hidden="true">
        <path class="fold" d="M8 17h48" /><path class="body" d="M6 5h6v24h-6zM52 5h6v24h-6z" />
        <path class="turn" d="{{ $option === WheelMount::Fixed ? 'M24 9a9 9 0 1 1 -1 14m1 -14l5 -1m-5 1l1 5'
            : 'M16 9a9 9 0 1 1 -1 14m1 -14l5 -1m-5 1l1 5' }}" />
    </svg>
@endif

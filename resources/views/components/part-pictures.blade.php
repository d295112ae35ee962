{{-- The parts that a step of the build sheet may be built of, as pictures to scale; a tap fills the field. --}}
@props(['kind', 'offers', 'held' => null])
@php
    use Skivo\Core\Car\Attribute\PartKind;
    $among = array_column($offers, 'part');
@endphp
<div class="part-pictures wide no-print" role="group" aria-label="{{ Text::of('build.car.pick_by_picture', ['kind' => Label::inside($kind)]) }}">
    @foreach ($offers as $offer)
        <button
            type="button" class="part-choice" aria-pressed="{{ $offer->isTaken($held) ? 'true' : 'false' }}" data-fill="{{ $kind->named()->value }}"
            data-value="{{ $offer->value }}" data-sizes="{{ json_encode($offer->sizes) }}">
            @if ($kind !== PartKind::Surface)<x-part-picture :part="$offer->part" :among="$among" />@endif
            <span><bdi>{{ $offer->part->name }}</bdi>@if ($offer->isOfKit)<small>{{ Text::of('build.car.in_the_kit') }}</small>@endif</span>
        </button>
    @endforeach
</div>

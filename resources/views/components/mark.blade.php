@props(['mark', 'label' => null])
<svg {{ $attributes->class(['mark', 'mark-' . explode('-', $mark)[0]]) }} @if ($label === null) aria-hidden="true" @else role="img" aria-label="{{ $label }}" @endif><use href="#mark-{{ $mark }}" /></svg>

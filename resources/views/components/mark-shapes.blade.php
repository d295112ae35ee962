{{-- Every mark as a symbol: a shape in its own colour, filled in one of four ways. --}}
@php
    $shapes = [
        'sail' => 'M6 2C15 6 21 13 21.5 21H6Z',
        'buoy' => 'M12 2.5A9.5 9.5 0 1 1 12 21.5A9.5 9.5 0 1 1 12 2.5Z',
        'pennant' => 'M3 3L22.5 12L3 21Z',
        'block' => 'M3.5 3.5H20.5V20.5H3.5Z',
        'dome' => 'M2 18A10 11 0 0 1 22 18Z',
        'cross' => 'M3.5 7L7 3.5L12 8.5L17 3.5L20.5 7L15.5 12L20.5 17L17 20.5L12 15.5L7 20.5L3.5 17L8.5 12Z',
        'hull' => 'M1.5 7H22.5L17.5 18.5H6.5Z',
        'drop' => 'M12 1.5C16 8 20 11 20 15A8 7.5 0 0 1 4 15C4 11 8 8 12 1.5Z',
        'anvil' => 'M3.5 3H20.5L14.5 12L20.5 21H3.5L9.5 12Z',
        'star' => 'M12 1L15.2 8.8L23 12L15.2 15.2L12 23L8.8 15.2L1 12L8.8 8.8Z',
    ];
@endphp
<svg width="0" height="0" class="absolute" aria-hidden="true" focusable="false">
    @foreach ($shapes as $shape => $path)
        <clipPath id="half-{{ $shape }}"><path d="M0 12H24V24H0Z" /></clipPath>
        <symbol id="mark-{{ $shape }}-solid" viewBox="0 0 24 24"><path d="{{ $path }}" fill="currentColor" /></symbol>
        <symbol id="mark-{{ $shape }}-open" viewBox="-1 -1 26 26"><path d="{{ $path }}" fill="#fffcf5" stroke="currentColor" stroke-width="3.2" /></symbol>
        <symbol id="mark-{{ $shape }}-half" viewBox="-1 -1 26 26">
            <path d="{{ $path }}" fill="#fffcf5" stroke="currentColor" stroke-width="2.2" />
            <path d="{{ $path }}" fill="currentColor" clip-path="url(#half-{{ $shape }})" /></symbol>
        <symbol id="mark-{{ $shape }}-ringed" viewBox="-1 -1 26 26">
            <path d="{{ $path }}" fill="#fffcf5" stroke="currentColor" stroke-width="2" />
            <path d="{{ $path }}" fill="currentColor" transform="translate(12 12) scale(.5) translate(-12 -12)" /></symbol>
    @endforeach
</svg>

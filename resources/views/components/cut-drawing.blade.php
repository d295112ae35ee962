{{-- What is cut from each straw or skewer, to scale; the rest is hatched. --}}
@props(['stock', 'units', 'name'])
@php
    use App\Pages\Plan\CutDrawing;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Session\CutPiece;
    $drawing = new CutDrawing($stock);
@endphp
<svg
    class="drawing" viewBox="0 0 560 {{ $drawing->height() }}" role="img"
    aria-label="{{ Text::of('plan.cut_drawing.what_is_cut_from_each', ['name' => $name]) }}">
    @foreach ($drawing->rows as ['y' => $y, 'times' => $times, 'pieces' => $pieces])
        <text class="times" x="0" y="{{ $y + 18 }}">{{ $times }} ×</text>
        <rect class="left-over" x="{{ CutDrawing::LEFT }}" y="{{ $y }}" width="{{ CutDrawing::LENGTH }}" height="24" />
        @foreach ($pieces as $piece)
            <rect class="piece piece-{{ $piece['kind'] }}" x="{{ $piece['x'] }}" y="{{ $y }}" width="{{ $piece['width'] }}" height="24" />
            @if ($piece['isNamed'])
                <text x="{{ $piece['x'] + $piece['width'] / 2 }}" y="{{ $y + 17 }}" text-anchor="middle">
                    {{ Label::inside(CutPiece::from($piece['piece'])) }} {{ $units->show($piece['lengthM'], Scale::Body) }}
                </text>
            @endif
        @endforeach
    @endforeach
</svg>

{{-- What is cut from each straw or skewer, to scale; the rest is hatched. --}}
@props(['stock', 'units', 'name'])
@php
    use Skivo\Core\Measurement\Scale;
    $scale = 460 / $stock->stockM;
    $kinds = array_flip(array_keys($stock->lengthsM));
@endphp
<svg class="drawing" viewBox="0 0 560 {{ 8 + 34 * count($stock->cuts) }}" role="img" aria-label="{{ $name }}: what is cut from each">
    @foreach ($stock->cuts as $row => $cut)
        @php($at = 0.0)
        <text class="times" x="0" y="{{ 26 + 34 * $row }}">{{ $cut['times'] }} ×</text>
        <rect class="left-over" x="70" y="{{ 8 + 34 * $row }}" width="460" height="24" />
        @foreach ($cut['pieces'] as $piece => $count)
            @for ($i = 0; $i < $count; $i++)
                <rect class="piece piece-{{ $kinds[$piece] }}" x="{{ round(70 + $at * $scale, 2) }}" y="{{ 8 + 34 * $row }}" width="{{ round($stock->lengthsM[$piece] * $scale, 2) }}" height="24" />
                @if ($stock->lengthsM[$piece] * $scale > 70)<text x="{{ round(70 + ($at + $stock->lengthsM[$piece] / 2) * $scale, 2) }}" y="{{ 25 + 34 * $row }}" text-anchor="middle">{{ mb_strtolower($piece) }} {{ $units->show($stock->lengthsM[$piece], Scale::Body) }}</text>@endif
                @php($at += $stock->lengthsM[$piece] + $stock->kerfM)
            @endfor
        @endforeach
    @endforeach
</svg>

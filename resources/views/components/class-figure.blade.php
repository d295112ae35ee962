{{-- The class on one figure: drawn by the page, with its numbers in a table, as SVG and as CSV. --}}
@props(['challenge', 'figure', 'words', 'counting', 'tools' => true])
@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $rows = $figure->rows();
@endphp
<div class="figure" data-relation>
    <script type="application/json">@json($figure->figure(), JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
    <div data-stage></div>
</div>
<p class="small mt-2">Each mark is one car: the mean of its tries, with 95 % intervals both ways.@if (count($rows) > 2) <span class="key-line fit">the class’s own straight line, its band, and dashes for one more car</span> <span class="key-line model">the model, for a typical car here as its friction is turned</span>@endif</p>
@if ($tools)
    <p class="actions no-print"><button type="button" class="button plain" data-save-svg="class-figure">Save as SVG</button><a class="button plain" href="{{ route('findings.download', [$challenge, 'class', 'tries' => $counting->value]) }}">The numbers as CSV</a></p>
    <details class="disclosure">
        <summary>The numbers behind the figure</summary>
        <div class="scroll-x" tabindex="0" role="region" aria-label="The numbers behind the figure">
            <table class="figures-table">
                <thead><tr><th scope="col">Car</th><th scope="col" class="num">Thrust ÷ resistance</th><th scope="col" class="num">95 %</th><th scope="col">known from</th><th scope="col" class="num">Mean ({{ $units->symbol(Scale::Distance) }})</th><th scope="col" class="num">95 %</th><th scope="col" class="num">Tries</th></tr></thead>
                <tbody>
                    @foreach ($rows as $row)
                        <tr>
                            <th scope="row"><span class="with-mark"><x-mark :mark="$row['group']->mark" /><bdi class="max-w-60 truncate">{{ $words->name($row['car']->id) }}</bdi></span></th>
                            <td class="num">{{ number_format($row['ratio'], 2) }}</td><td class="num">{{ number_format($row['ratioInterval']->low, 2) }} – {{ number_format($row['ratioInterval']->high, 2) }}</td>
                            <td>{{ ['marks' => 'two marks on the floor', 'bench' => 'measured friction', 'parts' => 'its parts and the class'][$row['known']] }}</td>
                            <td class="num">{{ $units->figure($row['distance'], Scale::Distance) }}</td><td class="num">{{ $row['distanceInterval'] === null ? 'one try' : $units->figure(max(0, $row['distanceInterval']->low), Scale::Distance) . ' – ' . $units->figure($row['distanceInterval']->high, Scale::Distance) }}</td>
                            <td class="num">{{ $row['runs'] }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    </details>
@endif
